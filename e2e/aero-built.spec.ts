import { readFileSync } from 'node:fs'
import { expect, fileOffered, fill, freshBuild, goTo, open, refusesNonsense, saved, test } from './bench'
import type { Page } from '@playwright/test'

/** A splitter on two struts and a wing on the lid, typed as a builder would bring them: from a CSV, then by hand. */
async function winged(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Add from CSV' }).click()
  const list = page.getByRole('dialog', { name: 'Elements from a CSV' })
  const csv = [
    'element,kind,behind front axle (m),up (m),width (m),length (m),foils,angle (°)',
    'Body,body,1.2,0.5,1.7,1.3,,',
    'Splitter,splitter,-0.6,0.08,1.6,0.3,,',
    'Wing,wing,2.9,1.3,1.5,0.28,2,4',
    'Moon,moon,0,0,1,1,,',
  ].join('\n')
  await list
    .getByLabel('CSV of elements')
    .setInputFiles({ name: 'elements.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await expect(list.getByTestId('import-list')).toContainText('Line 5: kind: Choose what it is')
  await list.getByRole('button', { name: 'Add 3 elements' }).click()
  await expect(page.getByTestId('elements').getByRole('row')).toHaveCount(4)
}

test('elements come from a CSV, a polar is pasted, and the class draws its box over the car', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('aero'))
  await winged(page)
  await expect(page.getByTestId('balance-bar')).toHaveAccessibleName(
    /Stable when it pitches from .* in front/,
  )
  await page.getByRole('button', { name: 'Change Wing' }).click()
  const form = page.getByRole('dialog', { name: 'Change the element' })
  await form.getByText('Paste a polar').click()
  await fill(form, { 'A line for each angle: degrees, C_L, C_D': '4 0.9 0.06' })
  await form.getByRole('button', { name: 'Take it over' }).click()
  await expect(form.getByText('Two lines or more are wanted')).toBeVisible()
  await fill(form, { 'A line for each angle: degrees, C_L, C_D': 'alpha;CL;CD\n0;0,61;0,05\n8;1,2;0,09' })
  await form.getByRole('button', { name: 'Take it over' }).click()
  await expect(form.getByLabel('At, point 2')).toHaveValue('8')
  await form.getByRole('button', { name: 'Save the element' }).click()
  await expect(form).toBeHidden()
  // Half way between its points: 0.905 on 0.42 m².
  await expect(page.getByTestId('elements').getByRole('row', { name: /Wing/ })).toContainText('0.380')

  await page.getByRole('link', { name: 'Class' }).click()
  await page.getByRole('button', { name: 'Type the rules of a class' }).click()
  const book = page.getByRole('dialog', { name: 'Add a rulebook' })
  await fill(book, { Class: 'Sprint', Limit: '780' })
  await book.getByRole('button', { name: 'Save the rulebook' }).click()
  await expect(book).toBeHidden()
  await page.getByRole('combobox', { name: 'Built for' }).selectOption({ label: 'Sprint' })
  await page.getByRole('button', { name: 'Rules from CSV' }).click()
  const rules = page.getByRole('dialog', { name: 'Rules of Sprint from a CSV' })
  const csv =
    'clause,measure,allows,limit\n5.1,Highest element above the roof,at most,0 mm\n5.2,Overall width,at most,1.9 m\n5.3,Colour,at most,3'
  await rules
    .getByLabel('CSV of rules')
    .setInputFiles({ name: 'rules.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await expect(rules.getByTestId('import-list')).toContainText('2 rules, 1 left out')
  await rules.getByRole('button', { name: 'Add 2 rules' }).click()
  await page.getByRole('button', { name: 'Type what was measured' }).click()
  const measured = page.getByRole('dialog', { name: 'Measured for the class' })
  await fill(measured, { 'Roof, above the ground': '1,150', 'Overall width': '1,700' })
  await measured.getByRole('button', { name: 'Save what was measured' }).click()
  await expect(measured).toBeHidden()
  const drawn = page.getByRole('group', { name: 'From the side' })
  await expect(drawn.getByRole('button', { name: /Wing, .*outside of the class/ })).toBeVisible()
  await expect(drawn.getByRole('button', { name: /Splitter/ })).not.toHaveAccessibleName(/outside/)

  // A change that is thought of: its cost is told before anything is saved.
  await page.getByRole('combobox', { name: 'If it changed' }).selectOption({ label: 'Overall width' })
  await fill(page, { 'By, below zero for less': '250' })
  const cost = page.getByTestId('change-cost')
  await expect(cost).toContainText(/Overall width.*takes 250 mm; 50 mm over the line.*passes → ✗ fails/)
  await page.getByRole('combobox', { name: 'If it changed' }).selectOption({ label: 'Noise, dB(A)' })
  await fill(page, { 'By, below zero for less': '3' })
  await expect(cost).toContainText('Nobody has measured it yet')
  await saved(page)
})

test('a panel is cut from a sheet of one’s own, keeps its gap, and its mass goes to Swaps as a claim', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('aero'))
  await winged(page)
  await page.getByRole('button', { name: 'Change Splitter' }).click()
  const form = page.getByRole('dialog', { name: 'Change the element' })
  await form.getByLabel('How it is built and held').check()
  await form.getByLabel('On struts or cables').check()
  // A cable has a thickness and no wall, and a tube of 8 mm doesn't become one of 8 mm.
  await fill(form, { 'They are': 'cable' })
  await expect(form.getByLabel('Cable, thickness')).toHaveValue('3')
  await expect(form.getByLabel('Wall', { exact: true })).toHaveCount(0)
  await fill(form, { 'They are': 'strut' })
  await expect(form.getByLabel('Tube, outside')).toHaveValue('8')
  await expect(form.getByLabel('Wall', { exact: true })).toHaveValue('1.5')
  await fill(form, {
    'Supports apart, along': '250',
    'Supports apart, across': '500',
    'Lip beyond the last': '60',
  })
  await fill(form, { 'Hidden under the bumper': '200', 'Width at its back': '1.2 m', 'Strut, length': '280' })
  await fill(form, { 'Front corners, radius': '900' })
  await form.getByRole('button', { name: 'Save the element' }).click()
  await page.getByRole('link', { name: 'Will it hold?' }).click()

  const ground = page.getByTestId('ground-says')
  await expect(ground).toContainText('Nobody said how it pitches and rolls.')
  await page.getByRole('button', { name: 'Pitch and roll' }).click()
  const attitude = page.getByRole('dialog', { name: 'Pitch and roll at speed' })
  await attitude.getByLabel('Wheel rates other than').check()
  await refusesNonsense(attitude, 'Save pitch and roll')
  await fill(attitude, {
    'Nose down, braking': '1.5°',
    'To the side, cornering': '2',
    'Kerbs and bumps': '1 in',
    'Braking at': '1',
    'Cornering at': '0.8 g',
  })
  await fill(attitude, { 'One wheel, front': '60', 'One wheel, rear': '400 lb/in' })
  await page.reload()
  await page.getByRole('button', { name: 'Pitch and roll' }).click()
  await expect(attitude.getByText('Brought back what was typed here')).toBeVisible()
  await attitude.getByRole('button', { name: 'Save pitch and roll' }).click()
  await expect(attitude).toBeHidden()
  await expect(ground).toContainText('It touches the ground at its front edge, standing still in that pitch')

  await page.getByRole('button', { name: 'Sheets to be had' }).click()
  const stock = page.getByRole('dialog', { name: 'Sheets to be had' })
  await stock.getByRole('button', { name: 'Add a sheet' }).click()
  const sheet = page.getByRole('dialog', { name: 'Add a sheet' })
  await fill(sheet, { Called: 'Foam board', 'It is': 'sandwich' })
  await refusesNonsense(sheet, 'Save the sheet')
  await fill(sheet, { 'Core, shear modulus': '19' })
  await page.reload()
  await page.getByRole('button', { name: 'Sheets to be had' }).click()
  await stock.getByRole('button', { name: 'Add a sheet' }).click()
  await expect(sheet.getByLabel('Core, shear modulus')).toHaveValue('19')
  await sheet.getByRole('button', { name: 'Start over' }).click()
  await fill(sheet, { Called: 'Hemp board', 'Thicknesses, mm': '8, 12' })
  await fill(sheet, { Modulus: '9', Strength: '40', Density: '600', 'Across the grain': '60' })
  await fill(sheet, { 'A square metre': '10', 'And each mm of it': '2' })
  await sheet.getByRole('button', { name: 'Save the sheet' }).click()
  await expect(stock.getByTestId('stock')).toContainText('Hemp board')
  await stock.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByTestId('sheets').getByRole('rowheader').first()).toContainText('8 mm Hemp board')
  await page.getByRole('button', { name: 'Change Splitter' }).click()
  await form.getByRole('combobox', { name: 'Sheet', exact: true }).selectOption({ label: 'Hemp board' })
  await form.getByRole('button', { name: 'Save the element' }).click()
  await expect(page.getByTestId('panel-says')).toContainText('12.0 mm Hemp board')

  const inHand = async () =>
    Number(
      await page
        .getByTestId('panel-says')
        .locator('span')
        .nth(2)
        .textContent()
        .then((t) => t!.split(' ')[0]),
    )
  const before = await inHand()
  await page.getByRole('button', { name: 'Factors' }).click()
  const factors = page.getByRole('dialog', { name: 'Gusts, kerbs and what is wanted' })
  await refusesNonsense(factors, 'Save the factors')
  await fill(factors, { 'Gusts, times': '2,5', 'Kerbs, times': '1.2', 'Wanted in hand, times': '2' })
  await factors.getByRole('button', { name: 'Save the factors' }).click()
  await expect(factors).toBeHidden()
  await expect.poll(async () => (await inHand()) / before).toBeCloseTo(0.5, 1)

  await page.getByRole('button', { name: 'Cut list and template' }).click()
  const template = page.getByRole('dialog', { name: 'Splitter: cut list and template' })
  await expect(template.getByRole('alert')).toContainText('rounder than it has room for: at most 300 mm')
  await template.getByRole('button', { name: 'Close' }).click()
  await page.getByRole('button', { name: 'Change Splitter' }).click()
  await fill(form, { 'Front corners, radius': '80' })
  await form.getByRole('button', { name: 'Save the element' }).click()
  await page.getByRole('button', { name: 'Cut list and template' }).click()
  await expect(template.getByTestId('cuts')).toContainText('1,600 × 500 mm')
  const file = async (name: string | RegExp) => {
    const offered = await fileOffered(page, () => template.getByRole('button', { name }).click())
    return readFileSync(await offered.path())
  }
  expect((await file('SVG')).toString()).toContain('width="1602mm" height="502mm"')
  expect((await file('DXF')).toString()).toMatch(/^0\nSECTION[\s\S]*POLYLINE[\s\S]*EOF\n$/)
  const pdf = (await file(/sheets of A4/)).toString('latin1')
  expect(pdf.startsWith('%PDF')).toBe(true)
  // Nine across and two down, at 210 by 297 mm.
  expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(18)
  expect(pdf).toContain('595.27')

  await template.getByRole('button', { name: 'Put it into Swaps as a claim' }).click()
  await expect(template).toContainText('In Swaps as')
  await template.getByRole('button', { name: 'Close' }).click()
  await goTo(page, 'Swaps')
  await expect(page.getByText('Splitter').first()).toBeVisible()
  await expect(page.getByText('claim').first()).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByText('Splitter')).toHaveCount(0)
  await saved(page)
})

test('a wing’s tube, bolts and what its feet stand on are judged, and a lid is warned of', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('aero'))
  await winged(page)
  await page.getByRole('button', { name: 'Change Wing' }).click()
  const form = page.getByRole('dialog', { name: 'Change the element' })
  await form.getByLabel('How it stands').check()
  await fill(form, { 'It stands on': 'lid', 'Upright, height': '300', 'Along the car': '80', Plate: '8' })
  await fill(form, { 'Outer bolts apart': '60' })
  await form.getByLabel('Held a second way').uncheck()
  await form.getByRole('button', { name: 'Save the element' }).click()
  await page.getByRole('link', { name: 'Will it hold?' }).click()
  const mount = page.getByTestId('mount')
  await expect(mount.getByRole('listitem').filter({ hasText: 'Lid under the foot' })).toContainText(
    'nobody said',
  )
  await expect(mount).toContainText('fit cables that don’t hang from the skin')
  await page.getByRole('button', { name: 'Change Wing' }).click()
  await form.getByLabel('A tube inside carries the wing').check()
  await form.getByLabel('What the feet stand on').check()
  await fill(form, { 'Uprights apart': '1 m', 'Spar, wall': '20', 'Free field, along': '400' })
  await fill(form, { 'Free field, across': '600', 'Backing plate, radius': '300' })
  await form.getByRole('button', { name: 'Save the element' }).click()
  await expect(form.getByText('A wall is no thicker than half of the tube.')).toBeVisible()
  await expect(form.getByText('no wider than the field')).toBeVisible()
  await fill(form, { 'Spar, wall': '2', 'Backing plate, radius': '30' })
  await form.getByRole('button', { name: 'Save the element' }).click()
  await expect(form).toBeHidden()
  await expect(mount.getByRole('listitem')).toHaveCount(6)
  for (const line of await mount.getByRole('listitem').allTextContents()) expect(line).toMatch(/in hand$/)
  await expect(page.getByTestId('mount-angle')).toContainText(/takes 0\.\d\d° off its angle/)
  await saved(page)
})

test('downforce is read from a log of held speeds, and puts the sheet right', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('aero'))
  await winged(page)
  await page.getByRole('link', { name: 'Measured' }).click()
  await page.getByRole('button', { name: 'Log downforce' }).click()
  const form = page.getByRole('dialog', { name: 'Log downforce' })
  await refusesNonsense(form, 'Save the downforce log')
  await form.getByRole('button', { name: 'Close' }).click()
  await page.getByRole('button', { name: 'Log downforce' }).click()
  await form.getByRole('button', { name: 'Start over' }).click()
  await fill(form, {
    Where: 'Long straight',
    'Damper over wheel, front': '1',
    'Damper over wheel, rear': '1',
  })
  await fill(form, { 'One wheel, front': '60', 'One wheel, rear': '60' })
  const bring = (text: string) =>
    form
      .getByLabel(/CSV of a run/)
      .setInputFiles({ name: 'held.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await bring('time (s),speed (km/h)\n1,80\n')
  await expect(form.getByRole('alert').last()).toContainText('front and rear')
  // Front 0.25 and rear 0.45 m² in air of 1.219 kg/m³, on two springs of 60 N/mm.
  const area = { front: 0.25, rear: 0.45 }
  const rows = [80, 120, 160, 200].flatMap((kmh, k) =>
    Array.from({ length: 60 }, (_, i) => {
      const q = 0.5 * 1.219 * (kmh / 3.6) ** 2
      const at = (end: 'front' | 'rear') => 30 + ((area[end] * q) / 120_000) * 1000 + 0.02 * Math.sin(i + k)
      return `${k * 10 + i / 10},${kmh},${at('front').toFixed(4)},${at('rear').toFixed(4)}`
    }),
  )
  await bring(`time (s),speed (km/h),front (mm),rear (mm)\n${rows.join('\n')}`)
  await expect(form.getByTestId('ride-runs').getByRole('listitem')).toHaveCount(1)
  await page.reload()
  await page.getByRole('button', { name: 'Log downforce' }).click()
  await expect(form.getByTestId('ride-runs').getByRole('listitem')).toHaveCount(1)
  await form.getByRole('button', { name: 'Save the downforce log' }).click()
  await expect(page.getByTestId('ride-says')).toContainText(/35\.\d ±0\.\d % of the downforce is in front/)
  await expect(page.getByTestId('rides')).toContainText('0.25')
  await page.getByRole('button', { name: 'Put the sheet right by it' }).click()
  await expect(page.getByText('The sheet was put right by this one.')).toBeVisible()
  await page.getByRole('link', { name: 'Loads' }).click()
  await expect(page.getByTestId('elements').getByRole('row', { name: /Splitter/ })).toContainText('measured')
  await expect(page.getByTestId('aero-says')).toContainText(/3[3-7]\.\d % of it in front/)
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('elements').getByRole('row', { name: /Splitter/ })).toContainText('guess')
  await saved(page)
})
