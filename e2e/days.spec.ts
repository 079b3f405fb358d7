import type { Page } from '@playwright/test'
import { demoAt, expect, fill, open, refusesNonsense, saved, tabTo, test, tickAll } from './bench'
import { addDay, addRun, build, card, dialog } from './onDays'

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
  await expect(card(page, 2).getByTestId('many-changes')).toContainText(
    /^2 things differ from run 1, so no lap says which of them it was: brake bar, front/,
  )
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

test('what is due after a run is ticked, what gave trouble becomes a job and a failure, and the next day says what is open', async ({
  page,
}) => {
  test.slow()
  const at = await build(page)
  await open(page, at())
  await addDay(page, 'Loop, May')
  await addRun(page, 'Sheet 1', 'Front bar off')
  await addLaps(page, 1, ['1:02.9', '1:02.1', '1:01.8', '1:01.7', '1:01.75', '1:01.6'])
  const due = card(page, 1).getByTestId('after-run')
  await expect(due).toContainText('Wheel nuts to torque after the first run of the day')
  await expect(due).toContainText('it was undone for this run: Front bar off')
  await due.getByRole('button', { name: 'Done wheel nuts to torque' }).click()
  await due.getByRole('button', { name: 'Done cooled down' }).click()
  await due.getByRole('button', { name: 'Done what was undone, to torque again' }).click()
  await expect(due).toHaveCount(0)
  // Pressures in another unit are asked about before they are kept.
  await card(page, 1).getByRole('button', { name: 'Change Run 1' }).click()
  const change = dialog(page, 'Change the run')
  const cold = change.getByRole('group', { name: 'Cold, before' })
  await fill(cold, { 'Front left': '6.2' })
  await expect(change.getByTestId('ask-unit-cold')).toHaveCount(0)
  await fill(cold, { 'Front left': '0.3' })
  await expect(change.getByTestId('ask-unit-cold')).toHaveCount(0)
  await fill(cold, { 'Front left': '1.9', 'Front right': '27 psi' })
  await expect(change.getByTestId('ask-unit-cold')).toHaveCount(0)
  await fill(cold, { 'Front right': '9.7' })
  await fill(change, { 'What gave trouble': 'Front left wheel bearing hums' })
  await fill(cold, { 'Front right': '1.9' })
  await change.getByRole('button', { name: 'Save the run' }).click()
  await expect(change).toBeHidden()
  await card(page, 1)
    .getByRole('button', { name: /^Make it a job/ })
    .click()
  await expect(card(page, 1).getByText('It is a job already.')).toBeVisible()
  await card(page, 1)
    .getByRole('button', { name: /^Something gave out/ })
    .click()
  const failure = dialog(page, 'Log a failure')
  await expect(failure.getByLabel('What gave out')).toHaveValue('Front left wheel bearing hums')
  await expect(failure.getByLabel('Changed shortly before')).toHaveValue('Front bar off')
  await failure.getByRole('button', { name: 'Save the entry' }).click()
  await expect(failure).toBeHidden()
  await saved(page)
  // The next day: jobs that are open, tools by a list that is carried on.
  await page.getByRole('button', { name: 'Another day' }).click()
  const day = dialog(page, 'Log a day')
  await fill(day, { 'Where and what': 'Loop, June', Date: '2027-06-05' })
  await day.getByLabel('Still to come').check()
  await day.getByRole('button', { name: 'Save the day' }).click()
  await expect(day).toBeHidden()
  await expect(page.getByTestId('must-be-ready')).toContainText('One job is open before it')
  await page.getByTestId('must-be-ready').getByRole('checkbox').click()
  await expect(page.getByTestId('must-be-ready')).toHaveCount(0)
  const tools = page.getByRole('region', { name: 'Tools to take' })
  await tools.getByRole('button', { name: 'Begin with the usual list' }).click()
  await tools.getByLabel('Something more').fill('Spare wheel bearing')
  await page.keyboard.press('Enter')
  await tools.getByRole('checkbox', { name: 'Spare wheel bearing' }).click()
  await expect(tools.getByTestId('tools-left')).toHaveText('12 of 13 not packed yet')
  await saved(page)
  await page.reload()
  await expect(tools.getByTestId('tools-left')).toHaveText('12 of 13 not packed yet')
})

test('a stint says its pace and how far the fuel goes, drift runs are judged, and the season says what worked', async ({
  page,
}) => {
  test.slow()
  const at = await build(page)
  await open(page, at())
  await addDay(page, 'Loop, six hours')
  await page.keyboard.press('n')
  const run = dialog(page, 'Add a run')
  await run.getByLabel('It is', { exact: true }).selectOption({ label: 'a stint of an endurance race' })
  await fill(run, { Driver: 'Ines', 'Set of tyres': 'Set 2', 'Fuel at the start': '40' })
  await run.getByRole('button', { name: 'Save the run' }).click()
  await expect(run).toBeHidden()
  await addLaps(page, 1, ['1:02.0', '1:02.1', '1:02.2', '1:02.3', '1:02.4'])
  await expect(card(page, 1).getByTestId('stint')).toContainText(
    '5 laps, 5 min · pace 1:02.20 · 0.10 s a lap slower as it goes',
  )
  await page.keyboard.press('n')
  const slide = dialog(page, 'Add a run')
  await slide.getByLabel('It is', { exact: true }).selectOption({ label: 'drift runs' })
  await slide.getByRole('button', { name: 'Save the run' }).click()
  await expect(slide).toBeHidden()
  const drift = card(page, 2)
  await drift.getByLabel('Entry, km/h').fill('fast')
  await drift.getByRole('button', { name: 'Add the run' }).click()
  await expect(drift.getByRole('alert')).toBeVisible()
  await drift.getByLabel('Entry, km/h').fill('92')
  await drift.getByLabel('Angle, °').fill('48')
  await drift.getByLabel('Judged').fill('84')
  await drift.getByRole('button', { name: 'Add the run' }).click()
  await expect(drift.getByTestId('laps')).toContainText('92 km/h, 48 °, 84 points')
  await page.getByRole('link', { name: 'Season' }).click()
  await expect(page.getByTestId('what-worked').getByRole('row', { name: /^Loop, dry/ })).toContainText(
    'Set 2',
  )
  await saved(page)
})

test('marks stand on a sector, a corner and what a gauge reads, and say which is missing', async ({
  page,
}) => {
  test.slow()
  await open(page, await demoAt(page, 'Nightjar', 4, 'board'))
  const set = async (measure: string, fields: Readonly<Record<string, string>>) => {
    await page.getByRole('button', { name: 'Set a mark' }).first().click()
    const sheet = dialog(page, 'Set a mark')
    await sheet.getByLabel('Measure').selectOption({ label: measure })
    if ('Which' in fields) {
      await fill(sheet, { 'This much': fields['This much'] ?? '' })
      await sheet.getByRole('button', { name: 'Save the mark' }).click()
      await expect(sheet.getByText(/^Say which: the number of the sector/)).toBeVisible()
    }
    await fill(sheet, fields)
    await sheet.getByRole('button', { name: 'Save the mark' }).click()
    await expect(sheet).toBeHidden()
  }
  await set('Sector', { Which: '1', Where: 'Longmere', 'This much': '38' })
  await set('Least speed in a corner', { Which: 'Pump House', Where: 'Longmere', 'This much': '68 km/h' })
  await set('Temperature, off a gauge', { Which: 'Oil temperature', 'This much': '125 °C' })
  await expect(page.getByTestId('mark-sectorTime')).toContainText('Sector 1, Longmere')
  await expect(page.getByTestId('mark-cornerSpeed')).toContainText('Least speed at Pump House, Longmere')
  await expect(page.getByTestId('mark-temperatureRead')).toContainText('Oil temperature')
  for (let i = 0; i < 3; i += 1) {
    await saved(page)
    await page.keyboard.press('Control+z')
  }
  await expect(page.getByTestId('mark-sectorTime')).toHaveCount(0)
  await saved(page)
})

test('Set a limit: nonsense in any field is named and kept, and a reload loses nothing', async ({ page }) => {
  const at = await build(page)
  await open(page, at('limits'))
  await page.keyboard.press('n')
  const sheet = dialog(page, 'Set a limit')
  await expect(sheet).toBeVisible()
  await tickAll(sheet)
  await refusesNonsense(sheet, 'Save the limit')
  await fill(sheet, { What: 'Coolant' })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Days', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(sheet.getByText('Brought back what was typed here')).toBeVisible()
  await expect(sheet.getByLabel('What', { exact: true })).toHaveValue('Coolant')
})

test('a day is logged by keys alone: the day, a run, its laps, what one was, and what is due', async ({
  page,
}) => {
  const at = await build(page)
  await open(page, at())
  await page.keyboard.press('n')
  const day = dialog(page, 'Log a day')
  await expect(day.getByLabel('Where and what')).toBeFocused()
  await page.keyboard.type('Loop, keys')
  await page.keyboard.press('Enter')
  await expect(day).toBeHidden()
  await page.keyboard.press('n')
  const run = dialog(page, 'Add a run')
  await tabTo(run.getByLabel('Driver'))
  await page.keyboard.type('Ines')
  await page.keyboard.press('Enter')
  await expect(run).toBeHidden()
  const first = card(page, 1)
  await tabTo(first.getByLabel('Lap time'))
  for (const [i, time] of ['1:02.5', '1:01.9'].entries()) {
    await page.keyboard.type(time)
    await page.keyboard.press('Enter')
    await expect(first.getByTestId('laps').getByRole('listitem')).toHaveCount(i + 1)
  }
  const lap = first.getByRole('button', { name: /^Lap 1: 1:02.50/ })
  await lap.focus()
  await page.keyboard.press('Enter')
  await expect(first.getByRole('button', { name: 'Lap 1: 1:02.50, out-lap' })).toBeVisible()
  const done = first.getByRole('button', { name: 'Done wheel nuts to torque' })
  await tabTo(done)
  await page.keyboard.press('Enter')
  await expect(done).toHaveCount(0)
  await saved(page)
})
