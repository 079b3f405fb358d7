import { expect, fill, goTo, open, saved, test } from './bench'
import { geared } from './geared'

test('a set is typed in teeth, refused plainly, kept through a reload, fitted, and undone', async ({
  page,
}) => {
  const at = await geared(page)
  await open(page, at('shelf'))
  await page.keyboard.press('n')
  const form = page.getByRole('dialog', { name: 'Add a set to the shelf' })
  const save = form.getByRole('button', { name: 'Save the set' })
  await fill(form, { Called: 'Short drives', Ratios: 'four ten' })
  await save.click()
  await expect(form.getByRole('alert')).toContainText('“four” is no ratio. Write ratios such as 4.10')
  await fill(form, { Ratios: '41/10, 4.44 43/9' })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Driveline', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(form.getByLabel('Ratios')).toHaveValue('41/10, 4.44 43/9')
  await save.click()
  const shelf = page.getByTestId('shelf')
  const own = shelf.getByRole('listitem').filter({ hasText: 'Short drives', hasNotText: 'noted for' })
  await expect(own).toContainText(/4\.1 fitted\s*4\.44\s*Fit.*4\.778/)
  await own.getByRole('button', { name: 'Fit final drive 4.44' }).click()
  await expect(own).toContainText('4.44 fitted')
  await page.keyboard.press('Control+z')
  await expect(own).toContainText('4.1 fitted')

  // A gearbox whose ratios rise is none.
  await page.keyboard.press('n')
  await fill(form, { Called: 'Odd box', 'It is': 'gearbox', 'Ratios, first to last': '1.9, 3.2' })
  await save.click()
  await expect(form.getByRole('alert')).toContainText('Each gear is taller than the one before')
  await fill(form, { Called: 'Close box', 'Ratios, first to last': '2.8, 1.95, 1.5, 1.2, 1' })
  await save.click()
  await page.keyboard.press('n')
  await fill(form, { Called: 'Big tyre', 'It is': 'tyre', Size: '' })
  await save.click()
  await expect(form.getByRole('alert')).toContainText('Type its size, its roll-out or its diameter')
  await fill(form, { 'Rolls out': '2.01 m' })
  await save.click()
  await expect(
    shelf.getByRole('listitem').filter({ hasText: 'Big tyre', hasNotText: 'noted for' }),
  ).toContainText('radius 320 mm')
  await saved(page)
})

test('everything on the shelf is tried on a course, ranked, stopped and fitted', async ({ page }) => {
  const at = await geared(page, undefined, (file) => {
    file.gearsets.push(
      ...[
        { kind: 'finalDrive' as const, ratios: [3.7, 4.4, 4.9] },
        { kind: 'gearbox' as const, ratios: [2.8, 1.95, 1.5, 1.2, 1] },
      ].map((set, order) => ({ id: crypto.randomUUID(), name: `Set ${order}`, order, set, note: '' })),
    )
  })
  await open(page, at('shelf'))
  await page.getByRole('button', { name: 'Add speeds' }).click()
  const form = page.getByRole('dialog', { name: 'Add the speeds of a course' })
  await fill(form, { Course: 'Test loop', 'Seconds and speed, one lap': '0 90\n4 x' })
  await form.getByRole('button', { name: 'Save the speeds' }).click()
  await expect(form.getByRole('alert')).toContainText('Line 2: “x” is not a number')
  await fill(form, { 'Seconds and speed, one lap': '0 90\n6 170\n9 60\n14 140\n18 90' })
  await expect(form.getByTestId('course-read')).toContainText('5 points read, 18.0 s')
  await form.getByRole('button', { name: 'Save the speeds' }).click()
  await expect(page.getByTestId('courses')).toContainText('Test loop')

  const by = page.getByRole('combobox', { name: 'Best by' })
  await by.selectOption('shifts')
  await page.getByRole('button', { name: 'Try all combinations' }).click()
  const ranked = page.getByTestId('ranked').getByRole('row')
  await expect(page.getByText('8 combinations tried')).toBeVisible()
  const shifts = await ranked.locator('td:nth-child(6)').allTextContents()
  expect(shifts.map(Number)).toEqual(shifts.map(Number).sort((a, b) => a - b))
  const best = ranked.nth(1)
  const named = await best.getByRole('rowheader').textContent()
  await by.selectOption('topSpeed')
  await expect(best.getByRole('rowheader')).not.toHaveText(named!)
  await best.getByRole('button', { name: /^Fit/ }).click()
  await expect(page.getByText('Fitted at this stage. Ctrl+Z takes it back.')).toBeVisible()
  await saved(page)

  // The choices know the course and the boxes as well.
  await page.getByRole('link', { name: 'Choices' }).click()
  const table = page.getByTestId('choices')
  await expect(
    table
      .getByRole('row', { name: /Shifts a lap, Test loop/ })
      .getByRole('cell')
      .nth(1),
  ).toContainText(/\d/)
  await page.getByLabel('Gearbox 1').selectOption('Set 1')
  const limiter = table
    .getByRole('row', { name: /At the limiter/ })
    .getByRole('cell')
    .nth(1)
  const before = await limiter.textContent()
  await page.getByLabel('Tyre 1').fill('wide ones')
  await expect(table.getByRole('alert')).toContainText('Type a size such as 265/35R18, or a rolling radius')
  await page.getByLabel('Tyre 1').fill('285/35 ZR19')
  await expect(table).toContainText('rolls on 331 mm')
  await expect(limiter).not.toHaveText(before!)
  await page.getByRole('radio', { name: 'change the tyre' }).check()
  await page.getByRole('button', { name: 'Fewest shifts a lap' }).click()
  await expect(page.getByTestId('solved')).toContainText(/a rolling radius of \d+ mm, \d+ shifts a lap/)
  await fill(page, { 'Window from': '100', 'Window to': '60' })
  await page.getByRole('button', { name: 'That window in one gear' }).click()
  await expect(page.getByTestId('solved')).toContainText('A layout is entered faster than it is left')
})

test('a launch says its best engine speed, and more grip makes it quicker', async ({ page }) => {
  const at = await geared(page, () => ({ clutchTorque: 500, grip: 0.9 }))
  await open(page, at('launch'))
  const says = page.getByTestId('launch-says')
  const time = says.locator('.figure').first()
  await expect(says).toContainText(/Best at [\d,]+ rpm: 20 m in .* held back by grip/)
  await expect(page.getByTestId('launch-facts')).toContainText('it spins')
  const before = Number(await time.textContent())
  await page.keyboard.press('n')
  const gears = page.getByRole('dialog', { name: 'Gears and grip' })
  await fill(gears, { 'Grip of the tyres, μ': '1.3', 'Rolls out': '1.9 m' })
  await gears.getByRole('button', { name: 'Take 302 mm from the roll-out' }).click()
  await gears.getByRole('button', { name: 'Save gears and grip' }).click()
  await expect.poll(async () => Number(await time.textContent())).toBeLessThan(before)
  await saved(page)
})

test('gears that are changed at a later stage leave the stages before as they were', async ({ page }) => {
  const at = await geared(page)
  await open(page, at())
  const top = page.getByTestId('top-speed').locator('.figure').first()
  const before = await top.textContent()
  await page.getByRole('button', { name: '+ Add a stage' }).click()
  const stage = page.getByRole('dialog', { name: /stage/i })
  await fill(stage, { Name: 'Shorter' })
  await stage.getByRole('button', { name: 'Save the stage' }).click()
  await page.getByRole('link', { name: /Shorter/ }).click()
  await goTo(page, 'Driveline')
  await expect(top).toHaveText(before!)
  await page.keyboard.press('n')
  const gears = page.getByRole('dialog', { name: 'Gears and grip' })
  await expect(gears).toContainText('Carried on from As bought')
  await fill(gears, { 'Final drive': '5.5' })
  await gears.getByRole('button', { name: 'Save gears and grip' }).click()
  await expect(top).not.toHaveText(before!)
  await page.keyboard.press('[')
  await expect(top).toHaveText(before!)
  await saved(page)
})
