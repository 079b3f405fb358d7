import { expect, fill, goTo, open, saved, test, totals } from './bench'

test('a season from nothing: build, strip, weigh, dyno, and power to weight moves stage by stage', async ({
  page,
}) => {
  await open(page, '/')
  await page.keyboard.press('n')
  const start = page.getByRole('dialog', { name: 'New build' })
  await fill(start, {
    Name: 'Petrel',
    Discipline: 'timeAttack',
    Layout: 'front',
    Wheelbase: '2.45 m',
    'Front track': '1.46 m',
    'Rear track': '1.45 m',
    'Mass as bought': '1,100',
    'Known how': 'measured',
  })
  await start.getByRole('button', { name: 'Start the build' }).click()
  await expect(page.getByRole('heading', { name: 'Swaps' })).toBeVisible()

  // Each room says what to do first.
  for (const [room, first] of [
    ['Scales', 'Not weighed at this stage'],
    ['Dyno', 'No dyno day at this stage'],
    ['Board', 'No marks set'],
  ] as const) {
    await goTo(page, room)
    await expect(page.getByText(first)).toBeVisible()
  }

  // As bought: typed peaks from somebody's sheet.
  await goTo(page, 'Dyno')
  await page.keyboard.press('n')
  await page.getByLabel('Dyno', { exact: true }).last().fill('Hill rollers')
  await page.getByRole('button', { name: 'Save the dyno day' }).click()
  const pull = async (name: string, power: string, at: string) => {
    await page.getByRole('button', { name: 'Add a pull' }).first().click()
    const sheet = page.getByRole('dialog', { name: 'Add a pull' })
    await sheet.getByRole('tab', { name: 'Type the peaks' }).click()
    await fill(sheet, { 'Name of the pull': name, 'Peak power': power })
    await sheet.getByLabel('at engine speed').first().fill(at)
    await sheet.getByLabel('This pull stands for the stage').check()
    await sheet.getByRole('button', { name: 'Save the pull' }).click()
    await expect(sheet).toHaveCount(0)
  }
  await pull('first', '100 kW', '6500')
  await pull('second', '101 kW', '6,550 rpm')
  await expect(page.getByText(/Wheel power of this stage/)).toContainText('proven from 2 pulls')

  // A second stage, and what comes off in it.
  await page.getByRole('button', { name: '+ Add a stage' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Stripped')
  await page.getByLabel('Planned wheel power').fill('150 hp')
  await page.getByRole('button', { name: 'Save the stage' }).click()
  await goTo(page, 'Swaps')
  await expect(page.getByText('Nothing swapped in this stage yet')).toBeVisible()
  await page.keyboard.press('n')
  await page.keyboard.type('Seats')
  await page.keyboard.press('Enter')
  const entry = page.getByRole('row', { name: 'New line' })
  await fill(entry, { 'Part, new line': 'Rear bench', 'Mass each, new line': '21.4' })
  await entry.getByLabel('Mass each, new line').press('Enter')
  await fill(entry, {
    'Part, new line': 'Front seats',
    'Pcs, new line': '2',
    'Mass each, new line': '40 lb',
    'Place, new line': '1400 0 500',
  })
  await entry.getByLabel('Place, new line').press('Enter')
  await page.keyboard.press('Escape')
  await expect(totals(page)).toContainText('−57.7')
  await expect(page.getByText('banked', { exact: true })).toBeVisible()

  // Weighed, with the driver aboard: the books are brought to the same condition.
  await goTo(page, 'Scales')
  await expect(page.getByText('Not weighed at this stage')).toBeVisible()
  await page.keyboard.press('n')
  const weigh = page.getByRole('dialog', { name: 'Log a weigh-in' })
  await fill(weigh, {
    'Front left': '308',
    'Front right': '296',
    'Rear left': '262',
    'Rear right': '246',
    'Driver aboard, in gear': '85',
    'Fuel aboard': '20 l',
  })
  await weigh.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(page.getByText(/The books balance/)).toBeVisible()
  await expect(page.getByText(/driver aboard \(85.0 kg\), 20.0 l fuel/)).toBeVisible()
  await page.getByRole('button', { name: 'Show working: Do the books balance?' }).click()
  await expect(page.getByText(/z = /).first()).toBeVisible()
  await page.keyboard.press('Escape')

  // The Board has moved: stage 1 measured, stage 2 weighed, its power only planned.
  await goTo(page, 'Board')
  const rows = page.getByRole('table', { name: /Power to weight of each stage/ }).getByRole('row')
  await expect(rows.nth(1)).toContainText(/9\d\.\d/)
  await expect(rows.nth(2)).toContainText('not yet')
  await page.keyboard.press('[')
  await expect(page.getByRole('link', { name: /1 As bought/ })).toHaveAttribute('aria-current', 'step')
  await saved(page)

  // Everything is there after a reload, and the build goes as it came.
  await page.reload()
  await expect(rows.nth(1)).toContainText(/9\d\.\d/)
  await expect(rows.nth(2)).toContainText('not yet')
})

test('a weigh ticket prints without the frame', async ({ page }) => {
  await open(page, '/')
  await page.getByRole('link', { name: 'Wren' }).click()
  await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible()
  await goTo(page, 'Scales')
  const ticket = page.getByRole('article', { name: 'Weigh ticket' })
  await expect(ticket).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(ticket).toBeVisible()
  await expect(ticket.getByRole('heading', { name: /Wren/ })).toBeVisible()
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden()
  await expect(page.getByRole('complementary', { name: 'Stages' })).toBeHidden()
  await expect(page.getByRole('button', { name: 'Log a weigh-in' })).toBeHidden()
})
