import {
  sampleBrakes,
  sampleBuild,
  sampleElement,
  sampleSuspension,
} from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import {
  expect,
  fileOffered,
  fill,
  freshBuild,
  goTo,
  open,
  putBuild,
  refusesNonsense,
  saved,
  test,
  tickAll,
} from './bench'
import type { Locator, Page } from '@playwright/test'

const suspensionSheet = (page: Page) => page.getByRole('dialog', { name: 'Springs, bars and stops' })
const row = (table: Locator, name: string | RegExp) => table.getByRole('row', { name })

/** A build whose brakes somebody has typed; gives the address of a view. */
async function braked(page: Page): Promise<(view: string) => string> {
  const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
  file.brakes.push(sampleBrakes(file.stages[0]!.id, randomUUID()))
  const { at } = await putBuild(page, file)
  return (view) => at(`stance${view && `?view=${view}`}`)
}

/** Springs, bars and what is unsprung, typed from nothing. */
async function typeSuspension(page: Page): Promise<void> {
  const sheet = suspensionSheet(page)
  await expect(sheet).toBeVisible()
  for (const [i, rate] of ['70 N/mm', '340 lb/in'].entries())
    await sheet.getByLabel('Spring rate', { exact: true }).nth(i).fill(rate)
  for (const [i, height] of ['50', '120'].entries())
    await sheet.getByLabel('Roll centre, up', { exact: true }).nth(i).fill(height)
  for (const end of ['front', 'rear'] as const) {
    await sheet.getByLabel(`Anti-roll bar, ${end}`, { exact: true }).check()
    const bar = sheet.getByRole('group', { name: `Anti-roll bar, ${end}` })
    await fill(bar, {
      'Bar, outside': '22',
      'Length that twists': '900',
      'Link over wheel': '0.6',
      Arm: '250',
    })
  }
  await sheet.getByRole('button', { name: 'Save the suspension' }).click()
  await expect(sheet).toBeHidden()
}

test('from nothing to what taking the rear bar off does, with its doubt', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('stance?view=roll'))
  await page.getByRole('button', { name: 'Type springs and bars' }).click()
  await typeSuspension(page)
  await expect(page.getByTestId('roll-says')).toContainText(/take the rear bar off\? It moves the share from/)
  await expect(page.getByTestId('roll-says')).toContainText('pushes more, turns in less')
  const changes = page.getByTestId('roll-changes')
  await expect(row(changes, 'Take the rear bar off')).toContainText('±')
  // Sorted by another effect, the table begins with another change.
  await changes.getByRole('button', { name: 'Roll' }).click()
  await expect(changes.getByRole('columnheader', { name: /Roll/ })).toHaveAttribute('aria-sort', 'descending')

  // A change of one's own stands first, in any unit; what no car has is named.
  await page.getByLabel('Try something of your own').selectOption('rear springs')
  await page.getByLabel('Make it').fill('400 lb/in')
  await expect(changes.getByRole('row').nth(1)).toContainText('Rear springs of 70.1 N/mm yours')
  for (const nonsense of ['blue', '-7777777', '1e99', '12 furlongs', '∞']) {
    await page.getByLabel('Make it').fill(nonsense)
    await expect(page.getByTestId('own-change').getByRole('alert')).not.toHaveText(
      /invalid|NaN|undefined|null/,
    )
    await expect(page.getByLabel('Make it')).toHaveValue(nonsense)
    await expect(changes).not.toContainText('yours')
  }
  await page.getByLabel('Make it').fill('7 N/m')
  await expect(page.getByText(/From 1.0 N\/mm to 1,000.0 N\/mm/)).toBeVisible()
  await expect(changes).not.toContainText('yours')
  await page.getByLabel('Try something of your own').selectOption('centre of mass, up')
  await page.getByLabel('Make it').fill('400')
  await expect(changes.getByRole('row').nth(1)).toContainText('Centre of mass')

  await page.getByRole('link', { name: 'Springs', exact: true }).click()
  await expect(row(page.getByTestId('springs'), /^Spring /)).toContainText('70')
  await expect(page.getByTestId('springs')).toContainText('Hz')
  await page.getByLabel('Motion ratio apart').fill('3')
  await expect(page.getByText('Spring travel over wheel travel, from 0.2 to 2')).toBeVisible()
  await page.getByLabel('Motion ratio apart').fill('0,6')
  await expect(row(page.getByTestId('apart'), /Spring it takes/)).toContainText('N/mm')
  await saved(page)
})

test('a ratio of one pair, a rubber that falls and an arm of nothing are named, and nothing is lost', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('stance?view=springs'))
  await page.keyboard.press('n')
  const sheet = suspensionSheet(page)
  await sheet.getByRole('button', { name: 'Measure it over the travel of the front' }).click()
  await fill(sheet, { 'Wheel 1, up': '-20', 'Spring, shorter': '-13.5' })
  await sheet.getByLabel('Bump rubber, front', { exact: true }).check()
  const rubber = sheet.getByRole('group', { name: 'Bump rubber, front' })
  await rubber.getByRole('button', { name: /One more point/ }).click()
  await fill(rubber, { 'Gap at the damper, standing': '18' })
  for (const [i, value] of ['10', '8'].entries())
    await rubber.getByLabel('Pressed by', { exact: true }).nth(i).fill(value)
  for (const [i, value] of ['900', '700'].entries())
    await rubber.getByLabel('Carries', { exact: true }).nth(i).fill(value)
  await sheet.getByLabel('Anti-roll bar, front', { exact: true }).check()
  const bar = sheet.getByRole('group', { name: 'Anti-roll bar, front' })
  await fill(bar, { 'Bar, outside': '22', 'Length that twists': '900', 'Link over wheel': '2.4', Arm: '0' })
  await sheet.getByRole('button', { name: 'Save the suspension' }).click()
  await expect(bar.getByText('An arm has a length')).toBeVisible()
  await expect(bar.getByText(/Over 2: spring travel over wheel travel/)).toBeVisible()
  await fill(bar, { 'Link over wheel': '0.6', Arm: '250' })
  await sheet.getByRole('button', { name: 'Save the suspension' }).click()
  // What is wrong with a whole list stands at the foot.
  await expect(
    sheet.getByText(/One pair makes no ratio|rubber’s curve rises|Something above/).first(),
  ).toBeVisible()
  await expect(sheet.getByLabel('Wheel 1, up')).toHaveValue('-20')
  await sheet
    .getByRole('button', { name: /One more pair/ })
    .first()
    .click()
  await sheet.getByLabel('Wheel 2, up').fill('20')
  await sheet.getByLabel('Spring, shorter').nth(1).fill('13.9')
  await rubber.getByLabel('Pressed by', { exact: true }).nth(1).fill('15')
  await rubber.getByLabel('Carries', { exact: true }).nth(1).fill('2100')
  await sheet.getByRole('button', { name: 'Save the suspension' }).click()
  await expect(sheet).toBeHidden()
  await expect(page.getByTestId('springs')).toContainText('at −30 mm')
  await saved(page)
})

test('set-up sheets: toe in inches, one thing changed, what differs, and a driven one stays', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('stance'))
  await page.getByRole('button', { name: 'Write the first sheet' }).click()
  const sheet = page.getByRole('dialog', { name: 'Next set-up sheet' })
  await fill(sheet, { 'Why it was changed': 'First sheet', 'Brake bar, front': '100' })
  const cold = sheet.getByRole('group', { name: 'Cold', exact: true })
  await fill(cold, { 'Front left': '26 psi', 'Rear left': '1.7' })
  await cold.getByRole('button', { name: /Right as left/ }).click()
  await expect(cold.getByLabel('Front right')).toHaveValue(/^1\.79/)
  const toe = sheet.getByRole('group', { name: /^Toe/ })
  await toe.getByLabel('Front left').fill('0.06 in')
  await expect(toe.getByText('= 0.15°')).toBeVisible()
  const camber = sheet.getByRole('group', { name: 'Camber', exact: true })
  await fill(camber, { 'Front left': '-30' })
  await sheet.getByRole('button', { name: 'Save the sheet' }).click()
  await expect(sheet.getByText(/At 0 or 100 % one axle has no brakes/)).toBeVisible()
  await expect(camber.getByText(/Over 15° the tyre stands on its edge/)).toBeVisible()
  await fill(sheet, { 'Brake bar, front': '52' })
  await fill(camber, { 'Front left': '-3' })
  await sheet.getByRole('button', { name: 'Save the sheet' }).click()
  await expect(sheet).toBeHidden()
  await expect(page.getByTestId('whole-sheet')).toContainText('in 1.5')

  // The next one begins as this one: one thing is changed.
  await page.keyboard.press('n')
  await fill(sheet, { 'Why it was changed': 'Locked the rear', 'Brake bar, front': '54' })
  await sheet.getByRole('button', { name: 'Save the sheet' }).click()
  await expect(page.getByTestId('sheet-differs')).toContainText('One thing differs')
  await expect(page.getByTestId('sheet-differences')).toContainText('52.00 % → 54.00 %')
  await expect(page.getByTestId('all-sheets').getByRole('listitem')).toHaveCount(2)

  // A day points to it; from then on it stays as it was, and may be called good.
  await goTo(page, 'Driveline')
  await page.getByRole('link', { name: 'Life' }).click()
  await page.getByRole('button', { name: 'Log a day' }).first().click()
  const day = page.getByRole('dialog', { name: 'Log a day' })
  await fill(day, { 'Where and what': 'Quarry Hill' })
  await expect(day.getByLabel('On set-up sheet')).toHaveValue(/.+/)
  await day.getByRole('button', { name: 'Save the day' }).click()
  await expect(day).toBeHidden()
  await goTo(page, 'Stance')
  await expect(page.getByText('Driven on Quarry Hill')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Change Sheet 2' })).toHaveCount(0)

  // On paper it is the sheet alone, and says whose it is; all of them go out as a list.
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByTestId('sheet-name')).toContainText(/^[^,]+, Sheet 2/)
  await expect(page.getByTestId('all-sheets')).toBeHidden()
  await page.emulateMedia({ media: 'screen' })
  const csv = await fileOffered(page, () =>
    page.getByRole('button', { name: 'CSV of set-up sheets' }).click(),
  )
  expect(readFileSync(await csv.path(), 'utf8')).toMatch(
    /brake bar, front \(%\)[^]*stage,sheet,wings and splitter\n[^]*Locked the rear[^]*,54,/,
  )
  await page.getByRole('button', { name: 'It is a good one: name it' }).click()
  const naming = page.getByRole('dialog', { name: 'A good one' })
  await fill(naming, { Name: 'Dry' })
  await naming.getByRole('button', { name: 'Save the name' }).click()
  await expect(page.getByTestId('sheet-name')).toContainText('Sheet 2, Dry')
  await saved(page)
})

test('brakes from nothing: which axle locks first, what bar puts it right, heat and wear', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('stance?view=brakes'))
  await page.getByRole('button', { name: 'Type the brakes' }).click()
  const sheet = page.getByRole('dialog', { name: 'Brakes', exact: true })
  await fill(sheet, {
    'Front cylinder': '19.05',
    'Rear cylinder': '0.7 in',
    'Bar, front': '45',
    'Grip of the tyres, μ': '1.2',
  })
  for (const [end, piston, radius, disc] of [
    ['Front', '54', '130', '8'],
    ['Rear', '36', '120', '6'],
  ] as const) {
    const axle = sheet.getByRole('group', { name: end, exact: true })
    await fill(axle, {
      'Piston 1, one side of a caliper': piston,
      'Pads act at': radius,
      Friction: '0.42',
      'One disc': disc,
    })
  }
  await sheet.getByRole('button', { name: 'Type the stops of a lap' }).click()
  await fill(sheet, { From: '60 km/h', to: '600', After: '30' }).catch(() => undefined)
  const stop = sheet.getByRole('group', { name: 'stop 1' })
  await fill(stop, { From: '60 km/h', To: '90 km/h', After: '30' })
  await sheet.getByRole('button', { name: 'Save the brakes' }).click()
  await expect(stop.getByText('A stop ends slower than it began.')).toBeVisible()
  await fill(stop, { From: '190 km/h' })
  await sheet.getByRole('button', { name: 'Save the brakes' }).click()
  await expect(sheet).toBeHidden()
  await expect(page.getByTestId('brakes-say')).toContainText('The rear axle locks first')
  await expect(page.getByTestId('bar-says')).toContainText(/With the bar at|further than it reaches/)
  await expect(page.getByTestId('heat-front')).toContainText('°C')

  await page.getByRole('button', { name: 'Measure linings, discs, pressures' }).click()
  const read = page.getByRole('dialog', { name: 'Measure the brakes' })
  await fill(read, { 'Where and after what': 'Shakedown', 'Laps on the pads': '40' })
  const linings = read.getByRole('group', { name: /^Linings/ })
  await fill(linings, { 'Front left': '12.5', 'Front right': '12.4' })
  await read.getByLabel('Pressures in both lines, at one moment').check()
  await fill(read, { 'Front line': '40 bar', 'Rear line': '44 bar' })
  await read.getByRole('button', { name: 'Save the readings' }).click()
  await expect(page.getByTestId('wear-front')).toContainText('laps left')
  await expect(page.getByText(/% front$/).first()).toBeVisible()
  const csv = await fileOffered(page, () =>
    page.getByRole('button', { name: 'CSV of brake readings' }).click(),
  )
  expect(readFileSync(await csv.path(), 'utf8')).toMatch(
    /logged pressures, front line \(bar\)[^]*Shakedown,40,12\.5,12\.4/,
  )
  await saved(page)
})

test('the bar that puts the brakes right goes onto a sheet, and is reckoned with from then on', async ({
  page,
}) => {
  const at = await braked(page)
  await open(page, at('brakes'))
  await page.getByRole('button', { name: 'Put that bar on the next sheet' }).click()
  await expect(page.getByTestId('bar-says')).toContainText('The bar is where both axles lock at once')
  await page.getByRole('link', { name: 'Set-up' }).click()
  await expect(page.getByTestId('sheet-why')).toContainText(/Brake bar from \d+\.\d to \d+\.\d % front/)
  await saved(page)
})

test('a packer and a spring that keep a gap go onto the next sheet, and the gap is kept then', async ({
  page,
}) => {
  const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
  const stageId = file.stages[0]!.id
  const suspension = sampleSuspension(stageId, randomUUID())
  const rubber = { gap: 0.03, points: [{ travel: 0.005, force: 1500 }] }
  suspension.front = { ...suspension.front, rubber }
  file.suspensions.push(suspension)
  file.aeroElements.push({ ...sampleElement(stageId, randomUUID()), lift: 2.4, z: 0.11 })
  const level = { pitch: 0, roll: 0, bump: 0, braking: 0, cornering: 0, wheelRate: null, note: '' }
  file.attitudes.push({ id: randomUUID(), stageId, ...level })
  const build = await putBuild(page, file)
  await open(page, build.at('stance?view=travel'))
  const gap = page.getByLabel('Gap to keep')
  const kept = page.getByTestId('keep-gap')
  const says = page.getByText(/^Now .* under Element 0/)
  for (const end of ['packer', 'spring']) {
    const now = Number(/[\d.]+/.exec((await says.textContent())!)![0])
    await gap.fill(`${now + 3} mm`)
    await page.getByRole('button', { name: `Put the front ${end} on the next sheet` }).click()
    await expect(page.getByText('It is kept already.')).toBeVisible()
    await expect(kept).toHaveCount(0)
    await page.getByRole('link', { name: 'Set-up' }).click()
    await expect(page.getByTestId('sheet-why')).toContainText(/Front (packed|springs) to keep/)
    await page.goto(build.at('stance?view=travel'))
    await gap.waitFor()
  }
  await saved(page)
})

test('tyres are read on a phone, and say what cold pressure another day takes', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await page.setViewportSize({ width: 390, height: 800 })
  await open(page, build.at('stance'))
  await page.getByRole('button', { name: 'Write the first sheet' }).click()
  const sheet = page.getByRole('dialog', { name: 'Next set-up sheet' })
  const hot = sheet.getByRole('group', { name: 'Wanted hot' })
  await fill(hot, { 'Front left': '2.1', 'Rear left': '2.0' })
  await hot.getByRole('button', { name: /Right as left/ }).click()
  await sheet.getByRole('button', { name: 'Save the sheet' }).click()
  await expect(sheet).toBeHidden()
  await page.goto(build.at('stance?view=tyres'))
  await expect(page.getByTestId('cold-today')).toContainText('read it hot once first')
  await page.getByRole('button', { name: 'Read the tyres' }).first().click()
  const read = page.getByRole('dialog', { name: 'Read the tyres' })
  await fill(read, { 'Where and what run': 'First run', 'Tyres cold at': '20' })
  await fill(read.getByRole('group', { name: 'Hot, straight after' }), {
    'Front left': '2.376',
    'Front right': '2.3',
  })
  await fill(read.getByRole('group', { name: 'Cold, before' }), { 'Front left': '1.8', 'Front right': '1.8' })
  const treads = read.getByRole('group', { name: 'Treads' })
  await treads.getByLabel('Front left', { exact: true }).check()
  await fill(treads, { Inside: '96', Middle: '84', Outside: '78' })
  await read.getByRole('button', { name: 'Save the readings' }).click()
  await expect(read).toBeHidden()
  // 1.80 bar at 20 °C became 2.376: the air in it was at 80.
  await expect(page.getByTestId('tyre-reading')).toContainText('air in it 80 °C')
  await expect(page.getByTestId('tyre-reading')).toContainText('less camber')
  await expect(page.getByTestId('cold-today')).toContainText('for 2.10 bar at 80 °C')
  const cold = (await page
    .getByTestId('cold-today')
    .getByText(/^1\.\d\d bar$/)
    .first()
    .textContent())!
  const csv = await fileOffered(page, () =>
    page.getByRole('button', { name: 'CSV of tyre readings' }).click(),
  )
  expect(readFileSync(await csv.path(), 'utf8')).toMatch(/hot, front left \(bar\)[^]*First run[^]*2\.376/)
  await page.getByRole('button', { name: 'Put them on the next sheet' }).click()
  await page.goto(build.at('stance'))
  await expect(page.getByTestId('sheet-why')).toContainText('Cold pressures for tyres at 12')
  await expect(row(page.getByTestId('whole-sheet'), /^Cold, bar/)).toContainText(cold.replace(' bar', ''))
  await saved(page)
})

test('an alignment is read more than once, and goes onto the next sheet', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('stance'))
  await page.getByRole('button', { name: 'Write the first sheet' }).click()
  const sheet = page.getByRole('dialog', { name: 'Next set-up sheet' })
  await sheet.getByRole('button', { name: 'Save the sheet' }).click()
  await expect(sheet).toBeHidden()
  await page.goto(build.at('stance?view=alignment'))
  await page.getByRole('button', { name: 'Measure alignment' }).first().click()
  const session = page.getByRole('dialog', { name: 'Measure alignment' })
  for (const [corner, ...readings] of [
    ['Front left', '1', '1.2'],
    ['Front right', '1'],
    ['Rear left', '0.5'],
    ['Rear right', '2.5'],
  ] as const) {
    const wheel = session.getByRole('group', { name: corner, exact: true })
    for (const [i, reading] of readings.entries()) {
      await wheel.getByRole('button', { name: i === 0 ? /Read toe/ : /One more toe reading/ }).click()
      await wheel.getByLabel(`Toe ${i + 1}`).fill(reading)
    }
  }
  await session.getByRole('button', { name: 'Save the alignment' }).click()
  await expect(session).toBeHidden()
  await expect(page.getByTestId('alignment-says')).toContainText(/The rear axle pushes 0\.10° to the left/)
  const csv = await fileOffered(page, () => page.getByRole('button', { name: 'CSV of alignments' }).click())
  expect(readFileSync(await csv.path(), 'utf8')).toMatch(
    /toe, front left \(°\)[^]*thrust \(°\)\n[^]*,0\.095\n/,
  )
  await page.getByRole('button', { name: 'Write the next set-up sheet from it' }).click()
  await page.getByRole('link', { name: 'Set-up' }).click()
  await expect(page.getByTestId('sheet-name')).toContainText('Sheet 2')
  await expect(page.getByTestId('whole-sheet')).toContainText('in 1.1')
  await saved(page)
})

test('a shell that is cut takes the rear axle with it, and the stage before keeps its own', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 1 })
  await open(page, build.at('stance?view=geometry'))
  await page.getByRole('button', { name: 'Add a stage' }).click()
  const stage = page.getByRole('dialog')
  await fill(stage, { Name: 'Shortened' })
  await stage.getByRole('button', { name: 'Save the stage' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.keyboard.press('g')
  await page.keyboard.press('t')
  await page.getByRole('link', { name: 'Geometry' }).click()
  await expect(page.getByText(/Shortened/).first()).toBeVisible()
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'Geometry' })
  await sheet.getByLabel('The shell was cut at this stage').check()
  await fill(sheet, { 'Cut at, behind the front axle': '1.5 m', 'Shorter by': '80 mm' })
  await expect(sheet.getByLabel('Wheelbase')).toHaveValue('2320')
  await expect(sheet.getByTestId('what-moves')).toContainText('and the rear axle with')
  await sheet.getByRole('button', { name: 'Save the geometry' }).click()
  await expect(sheet).toBeHidden()
  const table = page.getByTestId('geometry')
  await expect(row(table, /Shortened/)).toContainText('2,320 mm')
  await expect(row(table, /As bought/)).toContainText('2,400 mm')
  await saved(page)
})

/** Every form of the room: what opens it beside the key, its button, a field of it, and what adds rows to it first. */
const FORMS = [
  { view: '', form: 'Next set-up sheet', save: 'Save the sheet', first: 'Fuel' },
  {
    view: 'springs',
    form: 'Springs, bars and stops',
    save: 'Save the suspension',
    first: 'Smallest part of a turn',
    adds: ['Measure it over the travel of the front'],
  },
  {
    view: 'alignment',
    form: 'Measure alignment',
    save: 'Save the alignment',
    first: 'Driver in the seat',
    adds: ['Read toe Front left', 'Read camber Rear right', 'Turn it on the plate of the left wheel'],
  },
  { view: 'tyres', form: 'Read the tyres', save: 'Save the readings', first: 'Tyres cold at' },
  {
    view: 'brakes',
    form: 'Brakes',
    save: 'Save the brakes',
    first: 'Pedal ratio',
    adds: ['One more stop of the lap', 'Put other brakes beside them'],
  },
  {
    view: 'brakes',
    by: 'Measure linings, discs, pressures',
    form: 'Measure the brakes',
    save: 'Save the readings',
    first: 'Laps on the pads',
  },
  { view: 'geometry', form: 'Geometry', save: 'Save the geometry', first: 'Front track' },
  {
    view: 'geometry',
    by: 'Measure the body',
    form: 'Measure the body',
    save: 'Save the measurements',
    first: 'Out of true by at most',
  },
] as const

for (const { view, form, save, first, ...more } of FORMS)
  test(`${form}: nonsense in any field is named and kept, and a reload in the middle loses nothing`, async ({
    page,
  }) => {
    test.slow()
    const at = await braked(page)
    await open(page, at(view))
    const begin = async () => {
      if ('by' in more) await page.getByRole('button', { name: more.by }).click()
      else await page.keyboard.press('n')
    }
    await begin()
    const sheet = page.getByRole('dialog', { name: form, exact: true })
    await expect(sheet).toBeVisible()
    if ('adds' in more)
      for (const name of more.adds) await sheet.getByRole('button', { name, exact: true }).click()
    const count = await tickAll(sheet)
    await refusesNonsense(sheet, save)
    const field = sheet.getByLabel(first, { exact: true })
    await field.fill('7')
    await page.reload()
    await expect(page.getByRole('heading', { name: 'Stance', level: 1 })).toBeVisible()
    await begin()
    await expect(sheet.getByText('Brought back what was typed here')).toBeVisible()
    await expect(field).toHaveValue(/^7(000)?$/)
    await expect(sheet.locator('input[inputmode=decimal]')).toHaveCount(count)
    await sheet.getByRole('button', { name: 'Start over' }).click()
    await expect(field).not.toHaveValue(/^7(000)?$/)
  })

test('a place that can’t be read is named, and what is out of true is said with its way', async ({
  page,
}) => {
  const at = await braked(page)
  await open(page, at('geometry'))
  await page.getByRole('button', { name: 'Measure the body' }).click()
  const sheet = page.getByRole('dialog', { name: 'Measure the body' })
  await fill(sheet, { 'What was worked on': 'Front rails', 'Point 1': 'Rail end', 'Left, after': '-520 431' })
  await sheet.getByRole('button', { name: 'Save the measurements' }).click()
  await expect(sheet.getByText(/Type three lengths/)).toBeVisible()
  await expect(sheet.getByLabel('Left, after')).toHaveValue('-520 431')
  await fill(sheet, { 'Left, after': '-520 431 318', 'Right, after': '-526 -431 318' })
  await sheet.getByRole('button', { name: 'Save the measurements' }).click()
  await expect(sheet).toBeHidden()
  await expect(page.getByTestId('body-check')).toContainText('1 of 1 points are out by more than 3.0 mm')
  await expect(page.getByTestId('body-check')).toContainText('6.0 back')
  await saved(page)
})

test('the room is worked by keys alone', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('board'))
  await goTo(page, 'Stance')
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'Next set-up sheet' })
  await expect(sheet.getByLabel('Why it was changed')).toBeFocused()
  await page.keyboard.type('Keys only')
  await page.keyboard.press('Enter')
  await expect(sheet).toBeHidden()
  await expect(page.getByTestId('sheet-why')).toContainText('Keys only')
  await page.keyboard.press('Control+z')
  await expect(page.getByText('No set-up sheet yet')).toBeVisible()
  await saved(page)
})
