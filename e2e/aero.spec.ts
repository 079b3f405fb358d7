import { expect, fill, freshBuild, goTo, open, refusesNonsense, saved, test } from './bench'

test('an aero sheet is typed from nothing, nonsense is named, and the balance follows', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('board'))
  await goTo(page, 'Aero')
  await expect(page.getByRole('heading', { name: 'Nothing in the wind yet' })).toBeVisible()
  await page.keyboard.press('n')
  const form = page.getByRole('dialog', { name: 'Add an element' })
  await refusesNonsense(form, 'Save the element')
  await form.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('n')
  await form.getByRole('button', { name: 'Start over' }).click()
  await fill(form, { 'Above the ground': '500', Width: '1.7 m', Height: '1350' })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Aero', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(form.getByText('Brought back what was typed here')).toBeVisible()
  await expect(form.getByLabel('Width')).toHaveValue('1700')
  await form.getByRole('button', { name: 'Save the element' }).click()
  const says = page.getByTestId('aero-says')
  await expect(says).toContainText('it lifts as a whole')

  await page.keyboard.press('n')
  await fill(form, {
    'It is': 'wing',
    Called: 'Rear wing',
    'Behind the front axle': '2.9 m',
    'Above the ground': '1.25 m',
  })
  await fill(form, { Width: '1.6 m', Length: '300', 'Set to': '8 deg' })
  await form.getByRole('button', { name: 'One more point of its polar' }).click()
  await fill(form, { 'At, point 1': '4°', C_L: '0.9', C_D: '0.08' })
  await form.getByRole('button', { name: 'Save the element' }).click()
  await expect(form.getByText('A polar has two points or more')).toBeVisible()
  await form.getByRole('button', { name: 'Remove point 1' }).click()
  await form.getByRole('button', { name: 'Save the element' }).click()
  await expect(says).toContainText(/far rearward of the mass/)
  const front = page
    .getByTestId('elements')
    .getByRole('row', { name: /Rear wing/ })
    .getByRole('cell')
    .nth(1)
  await expect(front).toContainText('−')

  await page.keyboard.press('n')
  await fill(form, {
    Called: 'Splitter',
    'Behind the front axle': '0.5 m',
    'Above the ground': '80',
    Width: '1.6 m',
    Length: '0',
  })
  await form.getByRole('button', { name: 'Save the element' }).click()
  await expect(form.getByText('From 10 mm to 6 m: check the unit.')).toBeVisible()
  await fill(form, { 'Behind the front axle': '-600', Length: '300' })
  await form.getByRole('button', { name: 'Save the element' }).click()
  await expect(page.getByTestId('aero-doubt')).toContainText(/In \d+ % of the cases the balance is forward/)

  // Moved by its arrow keys, it presses elsewhere; undo puts it back.
  const drawn = page.getByRole('group', { name: 'From the side' }).getByRole('button', { name: /Splitter/ })
  await drawn.press('Shift+ArrowLeft')
  await expect(drawn).toHaveAccessibleName(/Splitter, -700 mm behind/)
  await page.keyboard.press('Control+z')
  await expect(drawn).toHaveAccessibleName(/Splitter, -600 mm behind/)
  const box = (await drawn.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 4 })
  await page.mouse.up()
  await expect(drawn).not.toHaveAccessibleName(/-600 mm behind/)
  await saved(page)

  await page.getByRole('link', { name: 'Trim' }).click()
  await fill(page, { 'Front share wanted': '30 %' })
  await expect(page.getByTestId('trim-says')).toContainText(
    /Rear wing at .*° gives 30.0 % in front|No hole of Rear wing/,
  )
  await expect(page.getByTestId('length-says')).toContainText(/Splitter: \d+ mm long at 1,600 mm wide/)
})

test('an element comes off at a later stage, and its place is taken by another', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('aero'))
  const form = page.getByRole('dialog', { name: 'Add an element' })
  const add = async (fields: Record<string, string>) => {
    await page.keyboard.press('n')
    await fill(form, {
      'Behind the front axle': '2.8 m',
      'Above the ground': '900',
      Width: '1.2 m',
      ...fields,
    })
    await form.getByRole('button', { name: 'Save the element' }).click()
    await expect(form).toBeHidden()
  }
  await add({ 'It is': 'spoiler', Called: 'Lip', Length: '100' })
  await page.getByRole('button', { name: '+ Add a stage' }).click()
  const stage = page.getByRole('dialog', { name: /stage/i })
  await fill(stage, { Name: 'Winged' })
  await stage.getByRole('button', { name: 'Save the stage' }).click()
  await page.getByRole('link', { name: /Winged/ }).click()
  await add({ 'It is': 'wing', Called: 'Wing', Length: '300', 'Takes the place of': 'Lip' })
  const rows = page.getByTestId('elements').getByRole('rowheader')
  await expect(rows).toHaveCount(1)
  await expect(rows).toContainText('Wing')
  await page.keyboard.press('[')
  await expect(rows).toContainText('Lip')
  await saved(page)
})

test('a splitter is built of a sheet, nonsense is named, and what holds it is judged', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('aero'))
  await page.keyboard.press('n')
  const form = page.getByRole('dialog', { name: 'Add an element' })
  await fill(form, { 'It is': 'splitter', Called: 'Splitter', 'Behind the front axle': '-600' })
  await form.getByLabel('How it is built and held').check()
  await form.getByLabel('On struts or cables').check()
  await refusesNonsense(form, 'Save the element')
  await fill(form, {
    'Behind the front axle': '-600',
    'Above the ground': '80',
    Width: '1.6 m',
    Length: '400',
  })
  await fill(form, {
    'Pressing down, C_L': '1.2',
    'Drag, C_D': '0.06',
    'May be off by': '40 %',
    Sheet: 'abs',
  })
  await fill(form, { Thickness: '0', 'Supports apart, along': '300', 'Supports apart, across': '700' })
  await fill(form, {
    'Lip beyond the last': '150',
    Struts: '2',
    'They carry': '50',
    'Tube, outside': '8',
    Wall: '5',
  })
  await fill(form, { 'Strut, length': '10 in', 'From the vertical': '30' })
  await form.getByRole('button', { name: 'Save the element' }).click()
  await expect(form.getByText('From 1 to 60 mm: check the unit.')).toBeVisible()
  await expect(form.getByText('A wall is no thicker than half of the tube.')).toBeVisible()
  await fill(form, { Thickness: '6', Wall: '1.5', 'Hidden under the bumper': '0' })
  await fill(form, { 'Width at its back': '', 'Front corners, radius': '0' })
  await form.getByRole('button', { name: 'Save the element' }).click()
  await expect(form).toBeHidden()
  await page.getByRole('link', { name: 'Will it hold?' }).click()
  const says = page.getByTestId('panel-says')
  await expect(says).toContainText(/6\.0 mm ABS bends .* droops .* mm at the lip: .* times what it is asked/)
  await expect(page.getByTestId('struts-say')).toContainText('in hand')
  const bends = async () => Number(await says.locator('.figure').first().textContent())
  const before = await bends()
  await page.getByLabel('At', { exact: true }).fill('115 km/h')
  await expect.poll(bends).toBeLessThan(before / 3)
  await page.getByRole('button', { name: 'Change Splitter' }).click()
  const change = page.getByRole('dialog', { name: 'Change the element' })
  await fill(change, { Sheet: 'honeycomb', Thickness: '19' })
  await change.getByRole('button', { name: 'Save the element' }).click()
  await expect(says).toContainText('19.0 mm carbon on honeycomb')
  await saved(page)
})

test('a car that rolled out is read, a log that speeds up is refused, and the sheet is put right', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('aero'))
  await page.keyboard.press('n')
  const element = page.getByRole('dialog', { name: 'Add an element' })
  await fill(element, { 'Above the ground': '500', Width: '1.7 m', Height: '1350' })
  await element.getByRole('button', { name: 'Save the element' }).click()
  await expect(element).toBeHidden()
  await page.getByRole('link', { name: 'Measured' }).click()
  await page.getByRole('button', { name: 'Log a coast-down' }).last().click()
  const form = page.getByRole('dialog', { name: 'Log a coast-down' })
  await refusesNonsense(form, 'Save the coast-down')
  await form.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('n')
  await form.getByRole('button', { name: 'Start over' }).click()
  await fill(form, { Where: 'Long straight', 'Mass, everybody aboard': '1260', 'Wheels, felt as mass': '50' })
  await form.getByRole('button', { name: 'Save the coast-down' }).click()
  await expect(form.getByText('Add a run: a log of time and speed')).toBeVisible()

  const log = (of: (t: number) => number) =>
    `time (s),speed (km/h)\n${Array.from({ length: 200 }, (_, i) => `${i * 0.3},${(of(i * 0.3) * 3.6).toFixed(3)}`).join('\n')}`
  const bring = (way: string, text: string) =>
    form
      .getByLabel(`CSV of a run ${way}`)
      .setInputFiles({ name: `${way}.csv`, mimeType: 'text/csv', buffer: Buffer.from(text) })
  await bring(
    'out',
    log((t) => 15 + t / 2),
  )
  await expect(form.getByRole('alert').first()).toContainText('It doesn’t slow down')
  // m dv/dt = −(A + Cv²) has the tangent for its answer: A 170 N, C 0.43 N·s²/m².
  const [a, c, m, v0] = [170, 0.43, 1310, 48]
  const speed = (t: number) =>
    Math.sqrt(a / c) * Math.tan(Math.atan(v0 * Math.sqrt(c / a)) - (t * Math.sqrt(a * c)) / m)
  await bring('out', log(speed))
  await bring('back', log(speed))
  await expect(form.getByTestId('coast-runs').getByRole('listitem')).toHaveCount(2)
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Aero', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(form.getByTestId('coast-runs').getByRole('listitem')).toHaveCount(2)
  await form.getByRole('button', { name: 'Save the coast-down' }).click()
  const says = page.getByTestId('coast-says')
  // C_D·A = 2C/ρ in air of 1.219 kg/m³.
  await expect(says).toContainText(/Drag area 0\.70\d/)
  await expect(page.getByTestId('coast-rolling')).toContainText('Rolling resistance 0.0138')
  await page.getByRole('button', { name: 'Put the body’s drag right by it' }).click()
  await expect(says).toContainText('they agree')
  await expect(page.getByText('The sheet was put right by this one.')).toBeVisible()
  await page.getByRole('link', { name: 'Loads' }).click()
  await expect(page.getByTestId('elements')).toContainText('measured')
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('elements')).toContainText('guess')
  await saved(page)
})

test('a class is typed, nonsense is named, its report follows, and another class says what it closes', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('aero?view=class'))
  await page.getByRole('button', { name: 'Type the rules of a class' }).click()
  const form = page.getByRole('dialog', { name: 'Add a rulebook' })
  await refusesNonsense(form, 'Save the rulebook')
  await form.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('n')
  await form.getByRole('button', { name: 'Start over' }).click()
  await fill(form, {
    Class: 'Club',
    Edition: '2',
    'Rule 1 is about': 'massWithDriver',
    Limit: '4900 kg',
    Clause: '4.1',
  })
  await form.getByRole('button', { name: 'One more rule' }).click()
  const second = form.getByRole('group', { name: 'Rule 2' })
  await fill(second, { 'Rule 2 is about': 'noise', 'It allows': 'atMost', 'Limit, dB(A)': '98' })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Aero', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(form.getByLabel('Class', { exact: true })).toHaveValue('Club')
  await form.getByRole('button', { name: 'Save the rulebook' }).click()
  await expect(form).toBeHidden()
  await page.getByRole('combobox', { name: 'Built for' }).selectOption({ label: 'Club' })
  await expect(page.getByTestId('class-says')).toContainText('1 can’t be told yet, 1 passes.')

  await page.getByRole('button', { name: 'Type what was measured' }).click()
  const measured = page.getByRole('dialog', { name: 'Measured for the class' })
  await refusesNonsense(measured, 'Save what was measured')
  for (const field of await measured.locator('input[inputmode=decimal]').all()) await field.fill('')
  await fill(measured, { 'Noise, dB(A)': '104' })
  await measured.getByRole('button', { name: 'Save what was measured' }).click()
  await expect(page.getByTestId('class-says')).toContainText('1 fails, 1 passes.')
  await expect(page.getByTestId('rules').getByRole('listitem').filter({ hasText: 'Noise' })).toContainText(
    '6.0 dB over the line',
  )

  await page.keyboard.press('n')
  await fill(form, { Class: 'Open', 'Rule 1 is about': 'massWithDriver', Limit: '6 t' })
  await form.getByRole('button', { name: 'Save the rulebook' }).click()
  await expect(form).toBeHidden()
  await page.getByRole('combobox', { name: 'Moved to' }).selectOption({ label: 'Open' })
  const moves = page.getByTestId('moves').getByRole('listitem')
  await expect(moves.first()).toContainText(/closes.*Mass, driver aboard/)
  await expect(moves.last()).toContainText(/opens.*Noise.*no limit/)
  await expect(page.getByTestId('move-says')).toContainText('There 1 would fail and 0 pass of 1.')
  await saved(page)
})
