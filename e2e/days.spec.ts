import { sampleBuild, sampleCourse, sampleSetup } from '@bold-ballast/contract/sampleBuild'
import type { Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { demoAt, expect, fill, open, putBuild, refusesNonsense, saved, test, tickAll } from './bench'

const dialog = (page: Page, name: string) => page.getByRole('dialog', { name })
const card = (page: Page, order: number) => page.getByRole('listitem', { name: `Run ${order}`, exact: true })

/** A build with a course and two set-up sheets; gives the address of a view. */
async function build(page: Page) {
  const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
  const stageId = file.stages[0]?.id ?? ''
  file.courses.push(sampleCourse(randomUUID()))
  file.setups.push(sampleSetup(stageId, randomUUID(), 1), sampleSetup(stageId, randomUUID(), 2))
  const made = await putBuild(page, file)
  return (view = '') => made.at(`days${view && `?view=${view}`}`)
}

async function addDay(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a day' }).first().click()
  const day = dialog(page, 'Log a day')
  await fill(day, { 'Where and what': name })
  await day.getByLabel('Course', { exact: true }).selectOption({ label: 'Loop' })
  await day.getByRole('button', { name: 'Save the day' }).click()
  await expect(day).toBeHidden()
}

async function addRun(page: Page, sheet: string, change = ''): Promise<void> {
  await page.keyboard.press('n')
  const run = dialog(page, 'Add a run')
  await expect(run).toBeVisible()
  await run.getByLabel('On set-up sheet').selectOption({ label: sheet })
  if (change) await fill(run, { 'The one change': change })
  await fill(run, { Driver: 'Ines' })
  await run.getByRole('button', { name: 'Save the run' }).click()
  await expect(run).toBeHidden()
}

async function addLaps(page: Page, order: number, times: readonly string[]): Promise<void> {
  const laps = card(page, order)
  for (const [i, time] of times.entries()) {
    await laps.getByLabel('Lap time').fill(time)
    await laps.getByRole('button', { name: 'Add the lap' }).click()
    await expect(laps.getByTestId('laps').getByRole('listitem')).toHaveCount(i + 1)
  }
}

test('from nothing to a verdict: a day, three runs with their laps, and whether the change helped', async ({
  page,
}) => {
  test.slow()
  const at = await build(page)
  await open(page, at())
  await addDay(page, 'Loop, test')
  await addRun(page, 'Sheet 1')
  const first = card(page, 1)
  // Nonsense is named and kept; a lap that is far from the others is asked about.
  await first.getByLabel('Lap time').fill('soon')
  await first.getByRole('button', { name: 'Add the lap' }).click()
  await expect(first.getByRole('alert')).toContainText('Write a lap as 1:26.4')
  await expect(first.getByLabel('Lap time')).toHaveValue('soon')
  await addLaps(page, 1, ['1:02.9', '1:02.1', '61.8', '1:01.7', '1:01.75', '1:01.6'])
  await first.getByLabel('Lap time').fill('3')
  await first.getByRole('button', { name: 'Add the lap' }).click()
  await expect(first.getByRole('alert')).toContainText('3.00 is far from the others')
  await first.getByLabel('Lap time').fill('')
  // A lap is marked, not deleted.
  await first.getByRole('button', { name: /^Lap 1: 1:02.90/ }).click()
  await expect(first.getByRole('button', { name: 'Lap 1: 1:02.90, out-lap' })).toBeVisible()
  await expect(page.getByTestId('day-shows')).toContainText('reached by 4 of 5 laps')
  // What the driver says takes a touch, and a second one takes it back.
  const middle = first.getByRole('group', { name: 'Middle' }).getByRole('button', { name: 'pushes' })
  await middle.click()
  await expect(middle).toHaveAttribute('aria-pressed', 'true')
  await addRun(page, 'Sheet 2', 'Rear bar off')
  await expect(first.getByTestId('driver-says')).toContainText('middle pushes')
  await addLaps(page, 2, ['1:00.6', '1:00.5', '1:00.55', '1:00.4', '1:00.5'])
  await addRun(page, 'Sheet 1', 'Rear bar on again')
  await addLaps(page, 3, ['1:01.5', '1:01.45', '1:01.4', '1:01.5', '1:01.35'])
  await page.getByRole('link', { name: 'Did it help' }).click()
  await expect(page.getByTestId('helped-says')).toContainText(
    /Sheet 2 is quicker than Sheet 1: −[01]\.\d\d s a lap/,
  )
  await expect(page.getByTestId('parts')).toContainText('The driver, learning')
  await page.getByRole('link', { name: 'Season' }).click()
  await expect(page.getByTestId('season-says')).toContainText('1 day, 16 laps')
  await saved(page)
  // A sheet that a run was driven on stays as it was.
  await page.goto(at().replace(/days.*/, 'stance'))
  await expect(page.getByTestId('sheet-name')).toContainText('Sheet 2')
})

test('a reading beyond its limit stops the shakedown, and within it the next step is offered', async ({
  page,
}) => {
  const at = await build(page)
  await open(page, at('limits'))
  await page.getByRole('button', { name: 'Set a limit' }).first().click()
  const limit = dialog(page, 'Set a limit')
  await fill(limit, { What: 'Oil temperature', 'Not above': '125' })
  await limit.getByRole('button', { name: 'Save the limit' }).click()
  await expect(limit).toBeHidden()
  await page.getByRole('link', { name: 'Day', exact: true }).click()
  await addDay(page, 'Loop, shakedown')
  await page.keyboard.press('n')
  const run = dialog(page, 'Add a run')
  await run.getByLabel('It is for').selectOption({ label: 'shakedown at 80 %' })
  await run.getByRole('button', { name: 'Type readings' }).click()
  await expect(run.getByLabel('Of', { exact: true })).toHaveValue('Oil temperature')
  await fill(run, { 'Worst reading': '131' })
  await run.getByRole('button', { name: 'Save the run' }).click()
  await expect(page.getByTestId('health')).toContainText(
    /Stop: Oil temperature 131.* °C, beyond its limit of 125/,
  )
  await expect(page.getByTestId('shakedown')).toContainText('no quicker yet')
  await card(page, 1).getByRole('button', { name: 'Change Run 1' }).click()
  const change = dialog(page, 'Change the run')
  await fill(change, { 'Worst reading': '110' })
  await change.getByRole('button', { name: 'Save the run' }).click()
  await expect(page.getByTestId('health')).toContainText('Go on')
  await expect(page.getByTestId('shakedown')).toContainText('next is shakedown at full pace')
  await saved(page)
})

test('a planned day says how many laps it takes, and its runs are begun one after the other; the stopwatch goes on through a reload', async ({
  page,
}) => {
  const at = await build(page)
  await open(page, at())
  await addDay(page, 'Loop, plan')
  await page.getByRole('button', { name: /Plan a change/ }).click()
  await expect(page.getByTestId('runs').getByRole('listitem')).toHaveCount(3)
  await expect(page.getByTestId('before')).toContainText('3 runs are planned')
  await card(page, 1).getByRole('button', { name: 'Begin this run' }).click()
  const run = card(page, 1)
  await run.getByRole('button', { name: 'Start a stopwatch' }).click()
  await expect(run.getByRole('timer')).toBeVisible()
  await saved(page)
  await page.reload()
  await run.getByRole('button', { name: 'Lap', exact: true }).click()
  await expect(run.getByTestId('laps').getByRole('listitem')).toHaveCount(1)
  await run.getByRole('button', { name: 'Stop' }).click()
  await expect(run.getByRole('timer')).toHaveCount(0)
  await saved(page)
})

test('Add a run: nonsense in any field is named and kept, and a reload loses nothing', async ({ page }) => {
  test.slow()
  const at = await build(page)
  await open(page, at())
  await addDay(page, 'Loop, nonsense')
  await page.keyboard.press('n')
  const sheet = dialog(page, 'Add a run')
  await expect(sheet).toBeVisible()
  await sheet.getByRole('button', { name: 'Type its laps' }).click()
  await sheet.getByRole('button', { name: 'A fluid was added' }).click()
  const count = await tickAll(sheet)
  await refusesNonsense(sheet, 'Save the run')
  await fill(sheet, { Driver: 'Bea' })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Days', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(sheet.getByText('Brought back what was typed here')).toBeVisible()
  await expect(sheet.getByLabel('Driver')).toHaveValue('Bea')
  await expect(sheet.locator('input[inputmode=decimal]')).toHaveCount(count)
})

/** Two laps and a bit of a circle of 120 m, the second slower, with an oil channel and one that recorded nothing. */
function circleLog(): string {
  const rows = ['time (s),latitude,longitude,speed (km/h),Oil temperature (°C),damper (mm)']
  let at = -0.2
  for (let t = 0; t < 80; t += 0.1) {
    const speed = at < 2 * Math.PI ? 25 : 23
    at += (speed * 0.1) / 120
    const [x, y] = [120 * Math.sin(at), 120 * Math.cos(at)]
    rows.push([t.toFixed(1), y / 111_195, x / 111_195, speed * 3.6, 90 + t / 2, ''].join(','))
  }
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
  await expect(page.getByTestId('log-laps')).toContainText(/Laps: 30\.\d\d/)
  await page.getByRole('button', { name: 'Take them as the run’s laps' }).click()
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('log-laps')).toContainText(/Laps: 30\.\d\d/)
  await page.getByRole('link', { name: 'Day', exact: true }).click()
  await expect(card(page, 1).getByTestId('laps')).toContainText(/30\.\d\d/)
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
