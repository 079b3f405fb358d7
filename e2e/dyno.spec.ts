import type { Page } from '@playwright/test'
import { sampleBuild, sampleDrive, sampleDynoDay, samplePull } from '@bold-ballast/contract/sampleBuild'
import { buildSummary, type BuildFile } from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { expect, fileOffered, fill, freshBuild, open, saved, test, refusesNonsense, tickAll } from './bench'

/** A build of the test's own with what it adds to the file. */
async function buildWith(page: Page, add: (file: BuildFile, stageId: string) => void) {
  const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
  file.build.name = `Test ${file.build.id.slice(0, 6)}`
  add(file, file.stages[0]!.id)
  const response = await page.request.post('/api/v1/builds', { data: file })
  const { id, stages } = buildSummary.parse(await response.json())
  return (view = '') => `/builds/${id}/stages/${stages[0]!.id}/dyno${view && `?view=${view}`}`
}
const rollers = (stageId: string) => ({
  ...sampleDynoDay(stageId, randomUUID()),
  dyno: `Rollers ${stageId.slice(0, 6)}`,
})
const bring = (page: Page, name: string, text: string) =>
  page.getByLabel('CSV of a pull').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
const sheet = (page: Page, name: string) => page.getByRole('dialog', { name })

test('a log with several pulls and channels is matched once, and remembered for that dyno', async ({
  page,
}) => {
  const at = await buildWith(page, (file, stageId) => file.dynoDays.push(rollers(stageId)))
  await open(page, at())
  await page.keyboard.press('n')
  const pulls = [0, 1].flatMap((run) =>
    Array.from({ length: 25 }, (_, i) => {
      const n = 2500 + i * 180
      return `${n};${(180 + run * 6 - ((n - 4800) / 700) ** 2).toFixed(1).replace('.', ',')};${i < 3 ? '-' : '1,1'};${run ? 92 : 41}`
    }),
  )
  await bring(page, 'evening.csv', ['n;Md;pL;TW', ...pulls].join('\n'))
  const add = sheet(page, 'Add a pull')
  await expect(add.getByRole('alert')).toContainText('Say which column holds the engine speed')
  await add.getByLabel('Column of engine speed').selectOption({ label: 'n' })
  await add.getByLabel('Unit of engine speed').selectOption('rpm')
  await add.getByLabel('Column of torque').selectOption({ label: 'Md' })
  await expect(add.getByRole('alert')).toContainText('Say which unit the torque column is in')
  await add.getByLabel('Unit of torque').selectOption('N·m')
  await add.getByLabel('Match one more column').selectOption({ label: 'Boost' })
  await add.getByLabel('Unit of boost').selectOption('bar')
  await add.getByLabel('Match one more column').selectOption({ label: 'Coolant' })
  await add.getByLabel('Unit of coolant').selectOption('°C')
  const preview = page.getByTestId('import-preview')
  await expect(preview).toContainText('50 rows read, none left out')
  await expect(preview).toContainText('2 pulls in the file')
  await expect(preview).toContainText('Boost: 6 cells were no figures and are gaps')
  await add.getByLabel('Configuration').fill('short runners')
  await add.getByRole('button', { name: 'Save 2 pulls' }).click()
  const table = page.getByTestId('pulls')
  await expect(table.getByRole('row')).toHaveCount(3)
  await expect(page.getByRole('region', { name: 'What looks wrong' })).toContainText(
    'Pull 1: Coolant never warmed up: 41 °C at most',
  )
  await page.getByRole('radio', { name: 'Boost' }).click()
  await expect(page.getByRole('heading', { name: 'Boost' })).toBeVisible()
  await saved(page)

  // The next file of the same dyno is understood at once, and the next pull is taken for a repeat.
  await page.keyboard.press('n')
  await bring(page, 'later.csv', ['n;Md;pL;TW', ...pulls.slice(0, 25)].join('\n'))
  await expect(add.getByText(/Which column holds what: as last time on Rollers/)).toBeVisible()
  await expect(page.getByTestId('import-preview')).toContainText('25 rows read')
  await expect(add.getByLabel('Configuration')).toHaveValue('short runners')
})

test('a pull in the wrong unit is caught, and so is torque at the hubs', async ({ page }) => {
  const at = await buildWith(page, (file, stageId) => {
    file.dynoDays.push({ ...rollers(stageId), gear: 2 })
    const drive = { ...sampleDrive(), ratios: [2, 1], limiter: 720 }
    file.drivetrains.push({ id: randomUUID(), stageId, drive, note: '' })
  })
  await open(page, at())
  await page.keyboard.press('n')
  const rows = (power: number, torque: number) =>
    Array.from({ length: 12 }, (_, i) => {
      const n = 2500 + i * 300
      return `${n},${200 * torque},${((200 * n) / 9549.297) * power}`
    })
  await bring(page, 'hp.csv', ['rpm,Torque (Nm),Power (kW)', ...rows(1.341, 1)].join('\n'))
  const preview = page.getByTestId('import-preview')
  await expect(preview).toContainText('ratio 1.341')
  await expect(preview).toContainText('the power column is in hp, not kW')
  await sheet(page, 'Add a pull').getByLabel('Unit of power').selectOption('hp')
  await expect(preview).toContainText('Torque and power agree.')
  await bring(page, 'hubs.csv', ['rpm,Torque (Nm),Power (kW)', ...rows(1, 4.1)].join('\n'))
  await expect(preview).toContainText('the torque is at the hubs, behind second gear (4.10 to 1)')
})

test('a dyno day is logged live, without a dyno', async ({ page }) => {
  const at = await buildWith(page, (file, stageId) => file.dynoDays.push(rollers(stageId)))
  await open(page, at())
  await page.keyboard.press('n')
  const add = sheet(page, 'Add a pull')
  await add.getByRole('tab', { name: 'Live' }).click()
  const live = page.getByRole('region', { name: 'Dyno, live' })
  await expect(live.getByRole('status')).toHaveText('Ready.')
  await live.getByLabel('To try it with').selectOption({ label: '1.6 without boost' })
  await live.getByRole('button', { name: 'Run a pull' }).click()
  await expect(live.getByRole('status')).toHaveText('Pulling.')
  await expect(live.getByRole('status')).toContainText('Run up', { timeout: 30_000 })
  await expect(page.getByTestId('import-peaks')).toContainText('points')
  await fill(add, { 'Name of the pull': 'Live one', Configuration: 'as it came' })
  await add.getByRole('button', { name: 'Save the pull' }).click()
  const row = page.getByTestId('pulls').getByRole('row', { name: /Live one/ })
  await expect(row).toContainText('as it came, logged live')
  await saved(page)
})

test('what the open tab holds is saved, whatever another one holds', async ({ page }) => {
  const at = await buildWith(page, (file, stageId) => file.dynoDays.push(rollers(stageId)))
  await open(page, at())
  await page.keyboard.press('n')
  const add = sheet(page, 'Add a pull')
  const csv = 'rpm,torque (Nm)\n3000,150\n4000,165\n5000,170\n6000,160\n'
  await add
    .getByLabel(/^CSV of a pull/)
    .setInputFiles({ name: 'pull.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await expect(page.getByTestId('import-peaks')).toContainText('100.5 kW')
  await add.getByRole('tab', { name: 'Type the peaks' }).click()
  // Looked at only, it changes nothing.
  await expect(page.getByTestId('import-peaks')).toContainText('100.5 kW')
  await add.getByLabel('Peak power', { exact: true }).fill('150 kW')
  await expect(page.getByTestId('import-peaks')).toHaveCount(0)
  await expect(page.getByTestId('peaks-instead')).toBeVisible()
  await fill(add, { 'Name of the pull': 'By its peaks' })
  await add.getByRole('button', { name: 'Save the pull' }).click()
  const row = page.getByTestId('pulls').getByRole('row', { name: /By its peaks/ })
  await expect(row).toContainText('150')
  await saved(page)
  // And the other way round: the file’s tab brings its curve back.
  await page.keyboard.press('n')
  await add.getByRole('tab', { name: 'Type the peaks' }).click()
  await add.getByLabel('Peak power', { exact: true }).fill('150 kW')
  await add.getByRole('tab', { name: 'From a file' }).click()
  await add
    .getByLabel(/^CSV of a pull/)
    .setInputFiles({ name: 'pull.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await expect(page.getByTestId('import-peaks')).toContainText('100.5 kW')
  await fill(add, { 'Name of the pull': 'By its file' })
  await add.getByRole('button', { name: 'Save the pull' }).click()
  await expect(page.getByTestId('pulls').getByRole('row', { name: /By its file/ })).toContainText('100')
  await saved(page)
})

test('points are typed, and clicked off a picture, which is a claim', async ({ page }) => {
  const at = await buildWith(page, (file, stageId) => file.dynoDays.push(rollers(stageId)))
  await open(page, at())
  await page.keyboard.press('n')
  const add = sheet(page, 'Add a pull')
  await add.getByRole('tab', { name: 'Type points' }).click()
  await add.getByLabel('Points, one a line').fill('3000 150\nfast 160\n4000\n4500 170\n6000 165')
  await expect(add.getByRole('alert')).toContainText('Line 2: “fast” is not a number.')
  await expect(add.getByRole('alert')).toContainText('Line 3: an engine speed and a figure are wanted.')
  await expect(page.getByTestId('import-peaks')).toContainText('103.7 kW at 6,000 rpm')
  await add.getByLabel('Unit of the points').selectOption('lb·ft')
  await expect(page.getByTestId('import-peaks')).toContainText('140.6 kW')
  await fill(add, { 'Name of the pull': 'Typed' })
  await add.getByRole('button', { name: 'Save the pull' }).click()
  await expect(page.getByTestId('pulls').getByRole('row', { name: /Typed/ })).toContainText('points typed')

  await page.keyboard.press('n')
  await add.getByRole('tab', { name: 'Off a picture' }).click()
  // One grey point, stretched to a square as wide as the sheet.
  const pixel =
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mOsr6//DwAFhAKBXmkO5wAAAABJRU5ErkJggg=='
  await add
    .getByLabel('Picture of the sheet')
    .setInputFiles({ name: 'sheet.png', mimeType: 'image/png', buffer: Buffer.from(pixel, 'base64') })
  const picture = add.getByRole('button', { name: 'The picture, to be clicked on' })
  await expect(add.getByRole('status')).toHaveText('Click the low engine speed in the picture.')
  const click = (x: number, y: number) => picture.click({ position: { x, y } })
  await click(40, 400)
  await click(440, 400)
  await click(40, 400)
  await click(40, 100)
  await expect(add.getByRole('status')).toHaveText('Type what stands at the four marks.')
  await add.getByLabel('At the low engine speed').fill('2000')
  await add.getByLabel('At the high engine speed').fill('seven')
  await expect(add.getByText('“seven” is not a number.')).toBeVisible()
  await add.getByLabel('At the high engine speed').fill('6000')
  await add.getByLabel('At the low figure on the upright axis').fill('0')
  await add.getByLabel('At the high figure on the upright axis').fill('150')
  for (const [x, y] of [[140, 300], [240, 220], [340, 160], [440, 200]] as const) await click(x, y) // prettier-ignore
  await expect(add.getByRole('status')).toHaveText('Click along the curve: 4 points so far.')
  await expect(page.getByTestId('import-peaks')).toContainText('120.0 kW at 5,000 rpm')
  await expect(add.getByLabel('Known by')).toHaveValue('claim')
  await add.getByLabel('Known by').selectOption('measured')
  await add.getByRole('button', { name: 'Save the pull' }).click()
  await expect(add.getByText('A curve taken off a photograph is a claim, or a guess.')).toBeVisible()
  await add.getByLabel('Known by').selectOption('claim')
  await add.getByRole('button', { name: 'Save the pull' }).click()
  await expect(page.getByTestId('pulls').getByText('off a picture')).toBeVisible()
  await saved(page)
})

test('smoothing says what it takes off the peak; the air of a pull is that of its time', async ({ page }) => {
  const points = Array.from({ length: 120 }, (_, i) => ({
    speed: 250 + i * 3,
    torque: 190 - ((i - 60) / 8) ** 2 + (i % 2 ? 6 : -6),
  }))
  const at = await buildWith(page, (file, stageId) => {
    const day = { ...rollers(stageId), air: [{ time: '10:00', temperature: 283.15, pressure: 1e5, humidity: 0 }, { time: '12:00', temperature: 303.15, pressure: 1e5, humidity: 0 }] } // prettier-ignore
    file.dynoDays.push(day)
    for (const [i, time] of ['10:00', '12:00'].entries())
      file.pulls.push({ ...samplePull(day.id, randomUUID(), i), name: `At ${time}`, time, source: 'file', points, peakPower: null, peakTorque: null }) // prettier-ignore
  })
  await open(page, at())
  await expect(page.getByText('mean of 2 readings')).toBeVisible()
  // The same engine on a warmer afternoon: J1349 gives it more back.
  const power = async (name: string) =>
    Number((await page.getByTestId('pulls').getByRole('row', { name }).getByRole('cell').nth(1).locator('.figure').textContent())!.replace(',', '')) // prettier-ignore
  await expect(page.getByTestId('pulls').getByRole('row', { name: 'At 10:00' })).toBeVisible()
  expect((await power('At 12:00')) / (await power('At 10:00'))).toBeGreaterThan(1.02)
  await page.getByRole('radio', { name: '±100 rpm' }).click()
  await expect(page.getByTestId('smoothing')).toContainText(/takes up to 3\.\d kW off a peak/)
})

const powers = (dayId: string, configuration: string, kilowatts: number[]) =>
  kilowatts.map((kW, i) => ({ ...samplePull(dayId, randomUUID(), i), name: `${configuration} ${i + 1}`, configuration, peakPower: kW * 1000, peakTorque: null })) // prettier-ignore

test('gains are real or not shown, and two dynos are refused until a bridge joins them', async ({ page }) => {
  const at = await buildWith(page, (file, stageId) => {
    const hubs = { ...sampleDynoDay(stageId, randomUUID()), dyno: 'Hubs', repeatability: 0.008 }
    const inertia = {
      ...sampleDynoDay(stageId, randomUUID()),
      dyno: 'Rollers',
      kind: 'rollerInertia' as const,
      repeatability: 0.02,
    }
    file.dynoDays.push(hubs, inertia)
    file.pulls.push(...powers(hubs.id, 'stock', [100, 100.6, 99.5]), ...powers(hubs.id, 'long', [104, 104.7, 103.6]), ...powers(hubs.id, 'clean', [100.4, 101, 99.9]), ...powers(inertia.id, 'stock', [92, 93]), ...powers(inertia.id, 'wing', [94])) // prettier-ignore
  })
  await open(page, at('compare'))
  const choose = async (before: string, after: string) => {
    const key = async (side: string, words: string) => {
      const options = page.getByLabel(side).locator('option')
      const value = await options.filter({ hasText: words }).first().getAttribute('value')
      await page.getByLabel(side).selectOption(value!)
    }
    await key('Before', before)
    await key('After', after)
  }
  await choose('stock, Hubs', 'long, Hubs')
  const gain = page.getByTestId('gains').getByRole('row', { name: /Peak power/ })
  await expect(gain).toContainText('+4.1')
  await expect(gain).toContainText('Real.')
  await choose('stock, Hubs', 'clean, Hubs')
  await expect(gain).toContainText(/Not shown\. \d+ more pulls of each/)
  await expect(page.getByRole('region', { name: 'What else differs' })).toHaveCount(0)
  await choose('stock, Hubs', 'wing, Rollers')
  const refusal = page.getByRole('region', { name: 'Two dynos' })
  await expect(refusal).toContainText('Two dynos: not compared')
  await expect(page.getByTestId('gains')).toHaveCount(0)
  const bridge = refusal.getByRole('button', { name: 'Bridge the two dynos' })
  await expect(bridge).toBeDisabled()
  await refusal.getByLabel('On Hubs').selectOption({ index: 0 })
  await refusal.getByLabel('Nothing was changed between these').check()
  await bridge.click()
  await expect(page.getByText(/Two dynos, bridged: figures of Hubs × 0\.9/)).toBeVisible()
  await expect(gain).toBeVisible()
  await saved(page)
})

test('gears are typed, and two configurations are run in a straight line', async ({ page }) => {
  const curve = (by: number) =>
    Array.from({ length: 50 }, (_, i) => ({ speed: 200 + i * 11, torque: by * (190 - ((i - 28) / 5) ** 2) }))
  const at = await buildWith(page, (file, stageId) => {
    file.build.baseMass = 1000
    const day = rollers(stageId)
    file.dynoDays.push(day)
    for (const [i, name] of ['stock', 'long'].entries())
      file.pulls.push({ ...samplePull(day.id, randomUUID(), i), name, configuration: name, source: 'file', points: curve(1 + i * 0.1), peakPower: null, peakTorque: null }) // prettier-ignore
  })
  await open(page, at('worth'))
  await page.getByRole('button', { name: 'Type gears and grip' }).click()
  const gears = sheet(page, 'Gears and grip')
  await fill(gears, {
    'First gear': '1.9',
    'Second gear': '3.2',
    'Third gear': '1.3',
    'Fourth gear': '1',
    'Fifth gear': '0.8',
    'Final drive': '4.1',
    'Rolling radius, driven': '300 mm',
  })
  await gears.getByRole('button', { name: 'Save gears and grip' }).click()
  await expect(gears.getByText('Each gear is taller than the one before')).toBeVisible()
  await fill(gears, { 'First gear': '3.2', 'Second gear': '1.9' })
  await gears.getByRole('button', { name: 'Save gears and grip' }).click()
  const run = page.getByTestId('worth').getByRole('row', { name: /Standing 402 m/ })
  await expect(run).toContainText(/1\d\.\d\d ±0\.\d+ s.*1\d\.\d\d ±0\.\d+ s.*−0\.\d\d/s)
  await expect(page.getByTestId('run-notes')).toContainText('with the driver')
  await saved(page)
})

test('a fuel system is typed, found short, and mended with what the room says', async ({ page }) => {
  const at = await buildWith(page, (file, stageId) => {
    file.marks.push({
      id: randomUUID(),
      stageId,
      measure: 'wheelPower',
      comparator: 'atLeast',
      value: 240e3,
      tolerance: 0,
      weight: 1,
      conditionId: null,
      gear: null,
      place: '',
      part: '',
      speed: null,
    })
  })
  await open(page, at('fuel'))
  await page.getByRole('button', { name: 'Type engine, fuel and air' }).click()
  const engine = sheet(page, 'Engine, fuel and air')
  await fill(engine, {
    Displacement: '2.2 l',
    'Ethanol, measured': '79',
    'Boost now': '1.3 bar',
    'Flow of each': '850',
    'Point 1, against': '4 bar',
    'Point 2, against': '3 bar',
  })
  await engine.getByLabel('it gives').nth(0).fill('240')
  await engine.getByLabel('it gives').nth(1).fill('220 l/h')
  await engine.getByRole('button', { name: 'Save engine, fuel and air' }).click()
  await expect(engine.getByText('Write the points from the lowest pressure to the highest')).toBeVisible()
  await fill(engine, { 'Point 1, against': '3 bar', 'Point 2, against': '5 bar' })
  await engine.getByRole('button', { name: 'Save engine, fuel and air' }).click()
  const links = page.getByTestId('fuel-links')
  await expect(links).toContainText('short')
  await expect(page.getByTestId('changes')).toContainText(/Injectors of \d+ cc\/min or more each/)
  await page.keyboard.press('n')
  await fill(engine, { 'Flow of each': '1500', 'How many of it': '2' })
  await engine.getByRole('button', { name: 'Save engine, fuel and air' }).click()
  await expect(page.getByText(/Nothing: the fuel system reaches/)).toBeVisible()
  await page.getByLabel('Sized for, at the crank').fill('600 kW')
  await expect(page.getByTestId('changes')).toBeVisible()
  await page.getByRole('link', { name: 'Air', exact: true }).click()
  await page.getByRole('button', { name: 'Type engine, fuel and air' }).click()
  await engine.getByLabel('Air and boost').check()
  await engine.getByLabel('Intercooler', { exact: true }).check()
  await engine.getByLabel('Rated to, crank').fill('250 kW')
  await engine.getByRole('button', { name: 'Save engine, fuel and air' }).click()
  await expect(page.getByTestId('air')).toContainText('no compressor')
  await expect(page.getByRole('region', { name: 'Ratings' })).toContainText('short')
  await saved(page)
})

test('cooling says too hot, enough or never warm, and what a rear radiator does', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, `${build.at('dyno')}?view=cooling`)
  await page.getByRole('button', { name: 'Type the cooling' }).click()
  const form = sheet(page, 'Cooling')
  await fill(form, { 'Radiator core, frontal': '0' })
  await form.getByRole('button', { name: 'Save the cooling' }).click()
  await expect(form.getByRole('alert').first()).toContainText('0.005 to 3 m²')
  await fill(form, { 'Radiator core, frontal': '0.2 m2' })
  await form.getByRole('button', { name: 'Save the cooling' }).click()
  await expect(page.getByText('Type a power to size for')).toBeVisible()
  const verdict = page.getByTestId('cooling-verdict')
  await page.getByLabel('Sized for, at the crank').fill('400 kW')
  await expect(verdict).toContainText('Too hot')
  await page.getByLabel('Sized for, at the crank').fill('150 kW')
  await expect(verdict).toContainText('Enough')
  // A thermostat is typed, and doesn’t make too much cooling right.
  await page.getByLabel('Sized for, at the crank').fill('70 kW')
  await expect(verdict).toContainText('Too much cooling')
  await page.getByLabel('Sized for, at the crank').fill('150 kW')
  await expect(page.getByTestId('radiator-move')).toContainText('front share')
  await page.getByRole('button', { name: 'Cooling' }).click()
  await fill(form, { 'Radiator core, frontal': '0.6', 'Thermostat opens at': '', 'Outside air': '5 °C' })
  await form.getByRole('button', { name: 'Save the cooling' }).click()
  await page.getByLabel('Sized for, at the crank').fill('150 kW')
  await expect(verdict).toContainText(/never reaches running temperature at this load. Blank \d+ %/)
  await saved(page)
})

test('a loom is typed, its faults are named, and it comes out as a CSV', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, `${build.at('dyno')}?view=electrics`)
  await page.getByRole('button', { name: 'Type battery, alternator and module' }).click()
  const supply = sheet(page, 'Battery, alternator, module')
  await supply.getByRole('button', { name: 'One more class' }).click()
  await fill(supply, { 'Class 1': 'Small', 'How many': '1', 'Each for good': '8', 'at the start': '20' })
  await fill(supply, { 'Alternator at idle': '10' })
  await supply.getByRole('button', { name: 'Save battery, alternator and module' }).click()
  await page.keyboard.press('n')
  const circuit = sheet(page, 'Add a circuit')
  await fill(circuit, { Circuit: 'Fuel pump', Draws: '13', 'At the start': '45', 'One way': '3.2 m' })
  await expect(circuit.getByRole('status')).toContainText('Advised: 2.5 mm²')
  await circuit.getByLabel('Output').selectOption('Small')
  await circuit.getByRole('button', { name: 'Save the circuit' }).click()
  const row = page.getByTestId('circuits').getByRole('row', { name: /Fuel pump/ })
  await expect(row).toContainText('The class “Small” switches 8 A; this draws 13 A.')
  await expect(row).toContainText('stands 20 A at the start; this takes 45 A.')
  await expect(page.getByTestId('electrics')).toContainText('−3.0 A')
  await page.getByLabel('Show').selectOption('wrong')
  await expect(row).toBeVisible()
  const csv = await fileOffered(page, () => page.getByRole('button', { name: 'CSV', exact: true }).click())
  expect(csv.suggestedFilename()).toMatch(/loom\.csv$/)
  // What the room wrote, and a row that is none, come back with a preview.
  const text = `${readFileSync(await csv.path(), 'utf8')}\nWiper,plenty,28,0.05,now and then,1.2\n`
  await page.getByRole('button', { name: 'From a CSV' }).click()
  await page.getByLabel('CSV of the loom').setInputFiles({ name: 'loom.csv', mimeType: 'text/csv', buffer: Buffer.from(text) }) // prettier-ignore
  await expect(page.getByTestId('import-list')).toContainText('1 circuit, 1 left out')
  await expect(page.getByTestId('import-list')).toContainText('Line 4: draws (A): “plenty” is not a current.')
  await page.getByRole('button', { name: 'Add 1 circuit' }).click()
  await expect(row).toHaveCount(2)
  await page.keyboard.press('Control+z')
  await expect(row).toHaveCount(1)
  await row.getByRole('button', { name: 'Remove Fuel pump' }).click()
  await expect(row).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(row).toBeVisible()
  await saved(page)
})

test('alternatives for a job stand side by side, with what is priced apart', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, `${build.at('dyno')}?view=options`)
  await page.keyboard.press('n')
  const form = sheet(page, 'Compare for a job')
  await fill(form, { 'The job': 'Ten kilowatts', 'Alternative 1': 'Cams', 'Alternative 2': 'Bodies' })
  const item = async (at: number, name: string, price: string, mass: string) => {
    await form.getByLabel('Item 1').nth(at).fill(name)
    await form.getByLabel('Price').nth(at).fill(price)
    await form.getByLabel('Mass', { exact: true }).nth(at).fill(mass)
  }
  await item(0, 'Pair of cams', '640', '0.2 kg')
  await item(1, 'Four bodies', 'dear', '3 kg')
  await form.getByLabel('Brings at the wheels').nth(0).fill('6 kW')
  await form.getByRole('button', { name: 'Save the comparison' }).click()
  await expect(form.getByText('Type an amount of money.')).toBeVisible()
  await form.getByLabel('Price').nth(1).fill('1450')
  await form.getByRole('button', { name: 'One more item' }).nth(1).click()
  await form.getByLabel('Item 2').fill('Logging')
  await form.getByLabel('Price').nth(2).fill('240')
  await form.getByLabel('can’t do without it').nth(2).uncheck()
  await form.getByRole('button', { name: 'Save the comparison' }).click()
  const table = page.getByTestId('options')
  await expect(table.getByRole('row', { name: /Price, complete/ })).toContainText(/640.*1,690/)
  await table.getByLabel('Logging, priced apart').uncheck()
  await expect(table.getByRole('row', { name: /Price, complete/ })).toContainText('1,450')
  await saved(page)
})

/** Every form of sizing and gears: how to open it, and what stands on its button. */
const FORMS = [
  { view: 'worth', by: 'Type gears and grip', form: 'Gears and grip', save: 'Save gears and grip' },
  {
    view: 'fuel',
    by: 'Type engine, fuel and air',
    form: 'Engine, fuel and air',
    save: 'Save engine, fuel and air',
  },
  { view: 'cooling', by: 'Type the cooling', form: 'Cooling', save: 'Save the cooling' },
  {
    view: 'electrics',
    by: 'Type battery, alternator and module',
    form: 'Battery, alternator, module',
    save: 'Save battery, alternator and module',
  },
  { view: 'electrics', by: 'Add a circuit', form: 'Add a circuit', save: 'Save the circuit' },
  { view: 'options', by: 'Compare for a job', form: 'Compare for a job', save: 'Save the comparison' },
] as const
for (const { view, by, form, save } of FORMS) {
  test(`${form}: nonsense in any field is named and kept, and a reload loses nothing`, async ({ page }) => {
    const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
    await open(page, `${build.at('dyno')}?view=${view}`)
    await page.getByRole('button', { name: by }).first().click()
    const open_ = sheet(page, form)
    await expect(open_).toBeVisible()
    const fields = open_.locator('input[inputmode=decimal]')
    await tickAll(open_)
    const more = open_.getByRole('button', { name: 'One more point of the map' })
    if ((await more.count()) > 0) await more.click()
    const count = await fields.count()
    await refusesNonsense(open_, save)
    await fields.first().fill('7')
    await fields.last().fill('9')
    await page.reload()
    await expect(page.getByRole('heading', { name: 'Dyno', level: 1 })).toBeVisible()
    await page.getByRole('button', { name: by }).first().click()
    await expect(open_.getByText('Brought back what was typed here')).toBeVisible()
    await expect(fields.first()).toHaveValue('7')
    await expect(fields).toHaveCount(count)
    await expect(fields.last()).toHaveValue('9')
    await open_.getByRole('button', { name: 'Start over' }).click()
    await expect(fields.first()).not.toHaveValue('7')
  })
}
