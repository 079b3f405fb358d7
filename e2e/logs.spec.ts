import type { Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { demoAt, expect, fileOffered, open, saved, test } from './bench'
import { addDay, addRun, build, card } from './onDays'

/** m */
const DEGREE = 111_195

/** Speed of the car on a circle of 120 m: two laps and a bit, the second slower, never quite even. */
const speedAt = (at: number, t: number) => (at < 2 * Math.PI ? 25 : 23) + 1.5 * Math.sin(t / 1.7)
/** Where it is, ten times a second. */
function circle(): { t: number; x: number; y: number; speed: number }[] {
  const spots: { t: number; x: number; y: number; speed: number }[] = []
  let at = -0.2
  for (let t = 0; t < 80; t += 0.1) {
    const speed = speedAt(at, t)
    at += (speed * 0.1) / 120
    spots.push({ t, x: 120 * Math.sin(at), y: 120 * Math.cos(at), speed })
  }
  return spots
}

/** Its log, with an oil channel and one that recorded nothing. */
function circleLog(): string {
  const rows = ['time (s),latitude,longitude,speed (km/h),Oil temperature (°C),damper (mm)']
  for (const { t, x, y, speed } of circle())
    rows.push([t.toFixed(1), y / DEGREE, x / DEGREE, speed * 3.6, 90 + t / 2, ''].join(','))
  return `${rows.join('\n')}\n`
}

test('a log is read, says first what recorded nothing, is split into laps, kept, and two laps are laid over each other', async ({
  page,
}) => {
  const at = await build(page)
  await open(page, at())
  await addDay(page, 'Loop, logged')
  await addRun(page, 'Sheet 1')
  await saved(page)
  await page.getByRole('link', { name: 'Logs' }).click()
  await page.getByRole('button', { name: 'Read a log for run 1' }).click()
  const file = page.getByLabel('A logger’s file, CSV or GPX')
  const upload = (text: string) =>
    file.setInputFiles({ name: 'run.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await upload('hello\nworld')
  await expect(page.getByRole('alert')).toContainText('has no line of titles with figures below it')
  await upload(circleLog().slice(0, -3))
  await expect(page.getByTestId('log-read')).toContainText('6 columns')
  await expect(page.getByText('damper (mm) recorded nothing')).toBeVisible()
  await page.getByLabel('damper (mm) is').selectOption({ label: 'kept by its name' })
  await page.getByRole('button', { name: 'Keep it with the run' }).click()
  await expect(page.getByTestId('log-faults')).toContainText('damper (mm) recorded nothing')
  await expect(page.getByTestId('log-laps')).toContainText(/Laps: (29|30|31)\.\d\d/)
  await page.getByRole('button', { name: 'Take them as the run’s laps' }).click()
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('log-laps')).toContainText(/Laps: (29|30|31)\.\d\d/)
  await page.getByRole('link', { name: 'Day', exact: true }).click()
  await expect(card(page, 1).getByTestId('laps')).toContainText(/(29|30|31)\.\d\d/)
})

/** The same drive as a receiver writes it. */
function circleGpx(): string {
  const points = circle().map(({ t, x, y }) => {
    const clock = new Date(Date.UTC(2026, 4, 2, 9) + t * 1000).toISOString()
    return `<trkpt lat="${y / DEGREE}" lon="${x / DEGREE}"><time>${clock}</time></trkpt>`
  })
  return `<?xml version="1.0"?><gpx version="1.1"><trk><trkseg>${points.join('')}</trkseg></trk></gpx>\n`
}
/** Another logger of the same drive, switched on some seven seconds later: speed, and both brake lines. */
function secondLog(times: number, own = false): string {
  const rows = ['time (s),speed (km/h),brake front (bar),brake rear (bar)']
  for (const { t, speed } of circle()) {
    if (t < 7) continue
    const shown = own ? 90 + 40 * Math.sin(t * 2.3) : speed * 3.6 * times
    rows.push([(t - 7).toFixed(1), shown, t % 9 < 2 ? 42 : 0, t % 9 < 2 ? 21 : 0].join(','))
  }
  return `${rows.join('\n')}\n`
}
const fileOf = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })
const reader = (page: Page) => page.getByLabel('A logger’s file, CSV or GPX')

test('a receiver’s track becomes laps and a course, a second logger is laid beside it, and both go out as one table', async ({
  page,
}) => {
  test.slow()
  const at = await build(page)
  await open(page, at())
  await addDay(page, 'Old airfield', null)
  await addRun(page, 'Sheet 1')
  await saved(page)
  await page.getByRole('link', { name: 'Logs' }).click()
  await page.getByRole('button', { name: 'Read a log for run 1' }).click()
  await reader(page).setInputFiles(fileOf('walk.gpx', '<gpx><wpt lat="1" lon="2"/></gpx>'))
  await expect(page.getByRole('alert')).toContainText('That GPX has no track')
  await reader(page).setInputFiles(fileOf('run.gpx', circleGpx()))
  await expect(page.getByTestId('log-read')).toContainText('3 columns')
  await page.getByRole('button', { name: 'Keep it with the run' }).click()
  await expect(page.getByTestId('log-laps')).toContainText(/Laps: \d\d\.\d\d/)
  // Its own first lap is the line: where that starts is said on it, and it is kept as a course.
  const line = page.getByRole('region', { name: 'Line of the log' })
  await line.getByRole('slider', { name: 'Start line' }).focus()
  for (let i = 0; i < 12; i += 1) await page.keyboard.press('PageUp')
  await line.getByRole('button', { name: /^A lap starts here/ }).click()
  await expect(page.getByTestId('log-laps')).toContainText(/Laps: \d\d\.\d\d/)
  await line.getByRole('button', { name: 'Keep it as a course' }).click()
  await expect(line).toHaveCount(0)
  await saved(page)
  // The other logger: one of another run is refused, its own is laid beside, and what they don't agree in is said.
  await page.getByRole('button', { name: 'Another log for run 1' }).click()
  await reader(page).setInputFiles(fileOf('other.csv', secondLog(1, true)))
  await page.getByRole('button', { name: 'Lay it beside run.gpx' }).click()
  await expect(page.getByRole('alert')).toContainText('They can’t be one log: both loggers need a speed')
  await reader(page).setInputFiles(fileOf('run.csv', circleLog()))
  await page.getByRole('button', { name: 'Keep it in place of the other' }).click()
  await page.getByRole('button', { name: 'Another log for run 1' }).click()
  await reader(page).setInputFiles(fileOf('other.csv', secondLog(1, true)))
  await page.getByRole('button', { name: 'Lay it beside run.csv' }).click()
  await expect(page.getByRole('alert')).toContainText('of different runs')
  await reader(page).setInputFiles(fileOf('brakes.csv', secondLog(1.05)))
  await page.getByRole('button', { name: 'Lay it beside run.csv' }).click()
  await expect(page.getByTestId('log-join')).toContainText('laid 7.1 s later, by speed')
  await expect(page.getByTestId('log-join')).toContainText('the second reads 5.0 % more')
  await page.getByRole('button', { name: 'Keep both as one' }).click()
  await expect(page.getByTestId('logs')).toContainText('run.csv + brakes.csv')
  const gives = page.getByTestId('log-gives')
  await expect(gives).toContainText('42.0 bar in front, 21.0 bar behind')
  await gives.getByRole('button', { name: 'Keep it for Brakes' }).click()
  await saved(page)
  const offered = await fileOffered(page, () =>
    page.getByRole('button', { name: 'CSV of the log of run 1' }).click(),
  )
  const csv = readFileSync(await offered.path(), 'utf8')
  expect(csv.split('\n')[0]).toContain('time (s),latitude,longitude,speed (km/h)')
  expect(csv.split('\n')[0]).toContain('brake front (bar)')
})

test('a logger is read live, and its laps come while it drives', async ({ page }) => {
  test.slow()
  const at = await build(page)
  await open(page, at())
  await addDay(page, 'At sea', null)
  await addRun(page, 'Sheet 1')
  await saved(page)
  await page.getByRole('link', { name: 'Logs' }).click()
  await page.getByRole('button', { name: 'Read a log for run 1' }).click()
  const live = page.getByRole('region', { name: 'Logger, live' })
  await expect(live.getByTestId('live-says')).toContainText('Ready')
  await live.getByRole('button', { name: 'Record' }).click()
  await expect(live.getByText(/^\d\d\.\d\d$/)).toBeVisible({ timeout: 40_000 })
  await live.getByRole('button', { name: 'End it and keep it with the run' }).click()
  await expect(page.getByTestId('log-laps')).toContainText(/Laps: \d\d\.\d\d/)
  await saved(page)
})

test.describe('without the server', () => {
  test.use({ expectsErrors: true })
  test('a log waits on the device, outlives a reload, and is sent once somebody answers', async ({
    page,
  }) => {
    const at = await build(page)
    await open(page, at())
    await addDay(page, 'Loop, far out')
    await addRun(page, 'Sheet 1')
    await saved(page)
    await page.getByRole('link', { name: 'Logs' }).click()
    await page.route('**/log', (route) =>
      route.request().method() === 'PUT' ? route.abort() : route.continue(),
    )
    await page.getByRole('button', { name: 'Read a log for run 1' }).click()
    await reader(page).setInputFiles(fileOf('run.csv', circleLog()))
    await page.getByRole('button', { name: 'Keep it with the run' }).click()
    await expect(page.getByTestId('logs')).toContainText('kept here until the workshop has it')
    await expect(page.getByTestId('log-laps')).toContainText(/Laps: \d\d\.\d\d/)
    await page.reload()
    await expect(page.getByTestId('logs')).toContainText('kept here until the workshop has it')
    await expect(page.getByTestId('log-laps')).toContainText(/Laps: \d\d\.\d\d/)
    await page.unroute('**/log')
    await expect(page.getByTestId('logs')).not.toContainText('kept here until')
    await expect(page.getByTestId('log-laps')).toContainText(/Laps: \d\d\.\d\d/)
  })
})

test('in the demo two laps are laid over each other, corner by corner, with keys alone', async ({ page }) => {
  await open(page, await demoAt(page, 'Nightjar', 4, 'days?view=logs'))
  await expect(page.getByTestId('overlay-says')).toContainText(/against 1:54\.\d\d: \+\d\.\d\d s/)
  const place = page.getByRole('slider', { name: 'Place' })
  await place.focus()
  await page.keyboard.press('End')
  await expect(page.getByTestId('overlay-here')).toContainText(/^5,\d{3} m: \+\d\.\d\d s/)
  await expect(page.getByTestId('overlay-corners').getByRole('row', { name: /^Pump House/ })).toBeVisible()
})

test('in the demo a log shows grip used, how alike the laps are, and hands on what other rooms can use', async ({
  page,
}) => {
  test.slow()
  await open(page, await demoAt(page, 'Nightjar', 4, 'days?view=logs'))
  await expect(page.getByTestId('grip-used')).toContainText(/this one uses 9\d %/)
  await expect(page.getByTestId('scatter-says')).toContainText('18 laps of Bea')
  await page.getByRole('group', { name: 'Channels' }).getByRole('button', { name: 'Gear' }).click()
  await expect(
    page.getByTestId('overlay-channels').getByRole('heading', { name: 'Gear of both' }),
  ).toBeVisible()
  const gives = page.getByTestId('log-gives')
  await expect(gives).toContainText(/They are alike with the grip times 1\.0\d\d ±0\.01/)
  await expect(gives).toContainText('Fuel a lap')
  await page
    .getByLabel('Laps of another day beside')
    .count()
    .then((others) => expect(others).toBe(0))
  await gives.getByRole('button', { name: 'Keep them for gears on the shelf' }).click()
  await saved(page)
  await page.keyboard.press('Control+z')
  await saved(page)
})
