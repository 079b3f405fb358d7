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
