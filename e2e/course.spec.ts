import { buildList } from '@bold-ballast/contract'
import { sampleBrakes, sampleCourse, sampleSuspension } from '@bold-ballast/contract/sampleBuild'
import type { Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import {
  expect,
  fileOffered,
  fill,
  freshBuild,
  goTo,
  open,
  refusesNonsense,
  saved,
  tabTo,
  test,
  tickAll,
} from './bench'
import { geared } from './geared'

const lineSheet = (page: Page, name = 'Add the line of a course') => page.getByRole('dialog', { name })
const row = (page: Page, table: string, name: string | RegExp) =>
  page.getByTestId(table).getByRole('row', { name })

/** A car with gears, curve, springs and brakes, and a course; gives the address of a view. */
async function driven(page: Page): Promise<(view?: string) => string> {
  const at = await geared(page, undefined, (file, stageId) => {
    file.courses.push(
      sampleCourse(randomUUID()),
      sampleCourse(randomUUID(), { name: 'Second loop', order: 1 }),
    )
    file.suspensions.push(sampleSuspension(stageId, randomUUID()))
    file.brakes.push(sampleBrakes(stageId, randomUUID()))
  })
  return (view = '') => at().replace(/driveline.*/, `course${view && `?view=${view}`}`)
}

test('from nothing to a lap: a course that is typed, named and cut, its corners and what it takes for granted', async ({
  page,
}) => {
  const at = await geared(page)
  await open(page, at().replace('driveline', 'course'))
  await page.getByRole('button', { name: 'Add a course' }).click()
  const sheet = lineSheet(page)
  const text = sheet.getByLabel('Straights and corners, as they come')
  await fill(sheet, { Course: 'Quay' })
  for (const [typed, says] of [
    ['left 90', 'Line 1, “left 90”: write a length; or r or l, a radius and a length.'],
    ['400', 'A course that ends where it starts has a corner'],
    ['400\nr1 20', 'Section 2: No car drives a radius below 3 m'],
    ['', 'at least one section'],
  ] as const) {
    await text.fill(typed)
    await sheet.getByRole('button', { name: 'Save the line' }).click()
    await expect(sheet.getByRole('alert').first()).toContainText(says)
    await expect(text).toHaveValue(typed)
  }
  // Turned the wrong way it crosses itself, or doesn’t come round: that is said while it is typed.
  await text.fill('300\nr40 180°\n300\nl40 180°')
  await expect(sheet.getByTestId('line-read')).toContainText(/its end lies \d+ m from its start/)
  await text.fill('300\nr40 180°\n300\nr40 180°')
  await expect(sheet.getByTestId('line-read')).toHaveText('851 m, 2 corners')
  await sheet.getByRole('button', { name: 'Name its corners' }).click()
  await fill(sheet, { 'Corner 1': 'Crane', At: '360' })
  await fill(sheet, { 'Sectors end at, m': 'soon' })
  await sheet.getByRole('button', { name: 'Save the line' }).click()
  await expect(sheet.getByText(/Write distances from the start/)).toBeVisible()
  await fill(sheet, { 'Sectors end at, m': '426' })
  await sheet.getByRole('button', { name: 'Save the line' }).click()
  await expect(sheet).toBeHidden()

  await expect(page.getByTestId('lap-says')).toContainText('gives up first')
  const crane = row(page, 'corners', /^Crane/)
  await expect(crane).toContainText('40 right')
  await expect(crane).toContainText(/(front: it pushes|rear: it turns in too much)/)
  const parts = page.getByTestId('sectors').getByRole('row')
  await expect(parts).toHaveCount(3)
  // The same place on map and curve, by keys.
  const place = page.getByRole('slider', { name: 'Place' })
  await place.focus()
  await page.keyboard.press('End')
  await expect(page.getByTestId('lap-here')).toContainText(/^8[45]\d m/)
  await page.keyboard.press('Home')
  await expect(page.getByTestId('lap-here')).toContainText(/^0 m/)
  await page.getByRole('radio', { name: 'Gear' }).click()
  await expect(page.getByRole('list', { name: 'What the map’s lines mean' })).toContainText('gear 2')
  // What nobody said is said to be taken for granted, and can be said.
  await expect(page.getByTestId('lap-assumes')).toContainText('ends ride at 2 Hz')
  await page.getByRole('button', { name: 'Say how it is' }).click()
  const basis = page.getByRole('dialog', { name: 'What a lap is worked out with' })
  await basis.getByLabel('Driven axle').selectOption('limited')
  await basis.getByRole('button', { name: 'Save it' }).click()
  await expect(basis.getByText(/Say how much a limited-slip differential locks/)).toBeVisible()
  await fill(basis, { 'Locks by': '40', 'Of the braking, the driver uses': '90' })
  await basis.getByRole('button', { name: 'Save it' }).click()
  await expect(basis).toBeHidden()
  await expect(page.getByTestId('lap-assumes')).not.toContainText('uses all of the braking')
  const csv = await fileOffered(page, () => page.getByRole('button', { name: 'CSV of the lap, SI' }).click())
  expect(readFileSync(await csv.path(), 'utf8')).toMatch(/^distance \(m\),time \(s\),speed/)
  await saved(page)
})

test('a line is drawn on a plan to scale, read from a log with its closing error, and goes out and back', async ({
  page,
}) => {
  const at = await geared(page)
  await open(page, at().replace('driveline', 'course?view=courses'))
  await page.keyboard.press('n')
  const sheet = lineSheet(page)
  await fill(sheet, { Course: 'Drawn' })
  await sheet.getByLabel('Its line is').selectOption('points')
  const pad = sheet.getByRole('application')
  const click = async (x: number, y: number) => {
    const box = (await pad.boundingBox())!
    await page.mouse.click(box.x + box.width * x, box.y + box.height * y)
  }
  for (const [x, y] of [[0.2, 0.3], [0.5, 0.2], [0.8, 0.3], [0.8, 0.7], [0.5, 0.8], [0.2, 0.7]] as const) await click(x, y) // prettier-ignore
  const points = sheet.getByLabel('Points, as they come')
  await expect(points).toHaveValue(/^200 .*\n500 .*\n800 /)
  // Two places of the plan are known to lie 300 m apart: the pad was drawn twice as large.
  await sheet.getByRole('radio', { name: 'Set its scale' }).click()
  await click(0.2, 0.5)
  await click(0.8, 0.5)
  const apart = sheet.getByLabel('Distance between both, m')
  for (const nonsense of ['', 'far', '-40', '0.2']) {
    await apart.fill(nonsense)
    await apart.press('Enter')
    await expect(sheet.getByRole('alert')).toContainText(/Type a number|farther apart/)
  }
  await apart.fill('984.25 ft')
  await sheet.getByRole('button', { name: 'That is its scale' }).click()
  await expect(points).toHaveValue(/^100 .*\n250 .*\n400 /)
  await sheet.getByRole('button', { name: 'Save the line' }).click()
  await expect(sheet).toBeHidden()
  const one = page.getByTestId('course-list').getByRole('listitem').filter({ hasText: 'Drawn' })
  await expect(one).toContainText(/[89]\d\d m, \d corners/)
  const geo = await fileOffered(page, () => one.getByRole('button', { name: 'GeoJSON' }).click())

  // A log that drifts by three metres a lap, driven twice.
  await page.keyboard.press('n')
  await fill(sheet, { Course: 'Logged' })
  await sheet.getByLabel('Its line is').selectOption('points')
  const file = sheet.getByLabel('A log or a file with the line')
  const log = Array.from({ length: 260 }, (_, i) => {
    const turn = (i * 2 * Math.PI) / 128
    return `${(90 * Math.sin(turn) + i * 0.024) / 111_195},${(90 * Math.cos(turn)) / 111_195}`
  })
  const upload = (name: string, text: string) =>
    file.setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  await upload('jump.csv', 'x,y\n0,0\n10,0\n900,0\n910,0')
  await expect(sheet.getByRole('alert').first()).toContainText('From row 2 to the next the line jumps 890 m')
  await upload('still.csv', ['x,y', ...Array.from({ length: 9 }, () => '5,5')].join('\n'))
  await expect(sheet.getByRole('alert').first()).toContainText('It stands still')
  await upload('log.csv', ['latitude,longitude', ...log].join('\n'))
  await expect(sheet.getByText(/the first whole lap of it/)).toBeVisible()
  await expect(sheet.getByTestId('line-read')).toContainText(/the log closed to [123]\.\d m, shared out/)
  await upload('line.geojson', readFileSync(await geo.path(), 'utf8'))
  await expect(sheet.getByTestId('line-read')).toContainText(/[89]\d\d m/)
  await upload('log.csv', ['latitude,longitude', ...log].join('\n'))
  await expect(sheet.getByTestId('line-read')).toContainText(/5[67]\d m/)
  await sheet.getByRole('button', { name: 'Save the line' }).click()
  await expect(sheet).toBeHidden()
  await expect(page.getByTestId('course-list')).toContainText(/logged, closed to [123]\.\d m/)
  await saved(page)

  // Another build of the workshop takes it over.
  const other = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, other.at('course?view=courses'))
  await page
    .getByTestId('course-library')
    .getByRole('button', { name: /Use it here Logged/ })
    .first()
    .click()
  await expect(page.getByTestId('course-list')).toContainText('Logged')
  await saved(page)
})

test('what each change is worth, with its doubt, and what is traded for what', async ({ page }) => {
  test.slow()
  const at = await driven(page)
  await open(page, at('worth'))
  const rates = page.getByTestId('rates')
  await expect(rates.getByRole('row', { name: /^1 kg where/ })).toContainText(/\+0\.\d{3}/)
  await expect(page.getByTestId('rates-progress')).toHaveCount(0, { timeout: 120_000 })
  await expect(rates.getByRole('row', { name: /^1 % of grip/ })).toContainText(/−0\.\d{3} ±0\.\d{3}/)
  // The same car on the other course beside it.
  await expect(rates.getByRole('row', { name: /^1 % of grip/ }).getByRole('cell')).toHaveCount(2)
  await page.getByRole('button', { name: 'The largest first' }).click()
  await expect(rates.getByRole('row').nth(1)).not.toContainText(/^1 kg where/)
  const csv = await fileOffered(page, () => page.getByRole('button', { name: 'CSV' }).click())
  expect(readFileSync(await csv.path(), 'utf8')).toContain('1 % of grip')
  await page.getByRole('link', { name: 'Trade-offs' }).click()
  await expect(page.getByTestId('trade-progress')).toContainText('Each by itself', { timeout: 120_000 })
  await expect(page.getByTestId('trade-final')).toContainText(/Now a final drive of/)
  await expect(page.getByTestId('trade-shift')).toContainText(/Now a shift of 0\.\d\d s/)
  await expect(page.getByTestId('trade-mass')).toContainText(/20 kW are worth/)
})

test('a driven lap is set beside the one worked out, and fitted when somebody asks', async ({ page }) => {
  const at = await driven(page)
  await open(page, at())
  await expect(page.getByTestId('driven')).toContainText('Nobody has driven here at this stage')
  await goTo(page, 'Driveline')
  await page.getByRole('link', { name: 'Life' }).click()
  await page.getByRole('button', { name: 'Log a day' }).first().click()
  const day = page.getByRole('dialog')
  await fill(day, { 'Where and what': 'Loop, test day', 'Best lap': '40' })
  await day.getByRole('button', { name: 'Save the day' }).click()
  await expect(day).toBeHidden()
  await page.goto(at())
  await expect(page.getByTestId('driven')).toContainText(/40\.00 s on .*: \d+\.\d % slower than worked out/)
  await page.getByRole('button', { name: 'Fit grip to that lap' }).click()
  await expect(page.getByTestId('driven')).toContainText(/Fitted: grip times 0\.\d{3} ±0\.\d{3}/)
  await expect(page.getByTestId('driven')).toContainText(/: 0\.[01] % (slower|quicker) than/)
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('driven')).not.toContainText('Fitted')
  await saved(page)
})

test('What a lap is worked out with: nonsense in any field is named and kept, and a reload loses nothing', async ({
  page,
}) => {
  test.slow()
  const at = await driven(page)
  await open(page, at())
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'What a lap is worked out with' })
  await expect(sheet).toBeVisible()
  const count = await tickAll(sheet)
  await refusesNonsense(sheet, 'Save it')
  const field = sheet.getByLabel('Of the braking, the driver uses')
  await field.fill('77')
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Course', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(sheet.getByText('Brought back what was typed here')).toBeVisible()
  await expect(field).toHaveValue('77')
  await expect(sheet.locator('input[inputmode=decimal]')).toHaveCount(count)
})

test('The line of a course: nonsense in its rows is named and kept, and a reload loses neither them nor what was drawn', async ({
  page,
}) => {
  test.slow()
  const at = await driven(page)
  await open(page, at('courses'))
  await page.keyboard.press('n')
  const sheet = lineSheet(page)
  await fill(sheet, { Course: 'Traced' })
  await sheet.getByLabel('Its line is').selectOption('points')
  // What is no picture is said to be none; a picture lies under the pad.
  const picture = sheet.getByLabel(/Trace over a picture|Another picture/)
  await picture.setInputFiles({ name: 'plan.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
  await expect(sheet.getByRole('alert')).toContainText('can’t be shown as a picture')
  await picture.setInputFiles('docs/screenshots/course.png')
  const pad = sheet.getByRole('application')
  await expect(pad.locator('image')).toHaveAttribute('href', /^blob:/)
  await sheet.getByRole('radio', { name: 'Draw', exact: true }).click()
  const box = (await pad.boundingBox())!
  for (const [x, y] of [[0.2, 0.2], [0.8, 0.2], [0.8, 0.8], [0.2, 0.8]] as const) await page.mouse.click(box.x + box.width * x, box.y + box.height * y) // prettier-ignore
  const points = sheet.getByLabel('Points, as they come')
  await expect(points).toHaveValue(/^(-?\d.*\n){3}-?\d/)
  await sheet.getByRole('button', { name: 'Name its corners' }).click()
  await fill(sheet, { 'Corner 1': 'Crane' })
  await sheet.getByRole('button', { name: /A stretch that climbs/ }).click()
  const count = await tickAll(sheet)
  await refusesNonsense(sheet, 'Save the line')
  const drawn = await points.inputValue()
  await fill(sheet, { Width: '11' })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Course', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(sheet.getByText('Brought back what was typed here')).toBeVisible()
  await expect(points).toHaveValue(drawn)
  await expect(sheet.getByLabel('Corner 1')).toHaveValue('Crane')
  await expect(sheet.locator('input[inputmode=decimal]')).toHaveCount(count)
})

test('with keys only: a course is typed, driven, walked along and taken to other views; on paper it is the lap alone', async ({
  page,
}) => {
  const at = await geared(page)
  await open(page, at().replace('driveline', 'board'))
  await page.keyboard.press('g')
  await page.keyboard.press('o')
  await expect(page.getByRole('heading', { name: 'Course', level: 1 })).toBeVisible()
  const add = page.getByRole('button', { name: 'Add a course' })
  await add.focus()
  await page.keyboard.press('Enter')
  const sheet = lineSheet(page)
  await expect(sheet.getByLabel('Course', { exact: true })).toBeFocused()
  await page.keyboard.type('Quay')
  const text = sheet.getByLabel('Straights and corners, as they come')
  await tabTo(text)
  await page.keyboard.type('300\nr40 180°\n300\nr40 180°')
  await tabTo(sheet.getByRole('button', { name: 'Save the line' }))
  await page.keyboard.press('Enter')
  await expect(sheet).toBeHidden()
  const place = page.getByRole('slider', { name: 'Place' })
  await tabTo(place)
  await page.keyboard.press('End')
  await expect(page.getByTestId('lap-here')).toContainText(/^8[45]\d m/)
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('img', { name: /^Map of Quay/ })).toBeVisible()
  await expect(page.getByTestId('corners')).toBeVisible()
  await expect(place).toBeHidden()
  await expect(page.getByRole('button', { name: 'CSV of the lap, SI' })).toBeHidden()
  await page.emulateMedia({ media: 'screen' })
  await saved(page)
})

test('a lap from standing, and a layout driven as one slide', async ({ page }) => {
  const at = await geared(
    page,
    () => ({ layout: { entry: 24, exit: 14 } }),
    (file) => {
      file.build.discipline = 'drift'
      file.courses.push(sampleCourse(randomUUID()))
    },
  )
  await open(page, at().replace('driveline', 'course'))
  await expect(page.getByTestId('lap-here')).not.toContainText('0 m: 0 km/h')
  await page.getByRole('radio', { name: 'From standing' }).click()
  await expect(page.getByTestId('lap-here')).toContainText('0 m: 0 km/h, gear 1')
  await expect(page.getByTestId('as-slide')).toContainText(/In at 86 km\/h, out at 50 km\/h/)
  await expect(page.getByTestId('as-slide')).toContainText(/holds it|No gear holds/)
})

test('what to do next is ranked by what it saves on a lap', async ({ page }) => {
  const list = buildList.parse(await (await page.request.get('/api/v1/builds')).json())
  const nightjar = list.find((b) => b.name === 'Nightjar')!
  const diet = nightjar.stages.find((s) => s.name === 'Diet')!
  await open(page, `/builds/${nightjar.id}/stages/${diet.id}/board`)
  await page.getByLabel('Most for').selectOption({ label: 'a lap of Longmere' })
  await expect(page.getByTestId('next-steps').getByRole('listitem').first()).toContainText(/s quicker a lap/)
})
