import { expect, open, saved, test, totals } from './bench'

test('a season from nothing: build, strip, weigh, dyno, and power to weight moves stage by stage', async ({
  page,
}) => {
  await open(page, '/')
  await page.keyboard.press('n')
  const start = page.getByRole('dialog', { name: 'New build' })
  await start.getByLabel('Name').fill('Petrel')
  await start.getByLabel('Discipline').selectOption('timeAttack')
  await start.getByLabel('Layout').selectOption('front')
  await start.getByLabel('Wheelbase').fill('2.45 m')
  await start.getByLabel('Front track').fill('1.46 m')
  await start.getByLabel('Rear track').fill('1.45 m')
  await start.getByLabel('Mass as bought').fill('1,100')
  await start.getByLabel('Known how').selectOption('measured')
  await start.getByRole('button', { name: 'Start the build' }).click()
  await expect(page.getByRole('heading', { name: 'Swaps' })).toBeVisible()

  // Each room says what to do first.
  for (const [key, first] of [
    ['c', 'Not weighed at this stage'],
    ['d', 'No dyno day at this stage'],
    ['b', 'No marks set'],
  ] as const) {
    await page.keyboard.press('g')
    await page.keyboard.press(key)
    await expect(page.getByText(first)).toBeVisible()
  }

  // As bought: typed peaks from somebody's sheet.
  await page.keyboard.press('g')
  await page.keyboard.press('d')
  await expect(page.getByRole('heading', { name: 'Dyno', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await page.getByLabel('Dyno', { exact: true }).last().fill('Hill rollers')
  await page.getByRole('button', { name: 'Save the dyno day' }).click()
  const pull = async (name: string, power: string, at: string) => {
    await page.getByRole('button', { name: 'Add a pull' }).first().click()
    const sheet = page.getByRole('dialog', { name: 'Add a pull' })
    await sheet.getByRole('tab', { name: 'Type the peaks' }).click()
    await sheet.getByLabel('Name of the pull').fill(name)
    await sheet.getByLabel('Peak power').fill(power)
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
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await page.keyboard.press('g')
  await page.keyboard.press('s')
  await expect(page.getByText('Nothing swapped in this stage yet')).toBeVisible()
  await page.keyboard.press('n')
  await page.keyboard.type('Seats')
  await page.keyboard.press('Enter')
  const entry = page.getByRole('row', { name: 'New line' })
  await entry.getByLabel('Part, new line').fill('Rear bench')
  await entry.getByLabel('Mass each, new line').fill('21.4')
  await entry.getByLabel('Mass each, new line').press('Enter')
  await entry.getByLabel('Part, new line').fill('Front seats')
  await entry.getByLabel('Pcs, new line').fill('2')
  await entry.getByLabel('Mass each, new line').fill('40 lb')
  await entry.getByLabel('Place, new line').fill('1400 0 500')
  await entry.getByLabel('Place, new line').press('Enter')
  await page.keyboard.press('Escape')
  await expect(totals(page)).toContainText('−57.7')
  await expect(page.getByText('banked', { exact: true })).toBeVisible()

  // Weighed, with the driver aboard: the books are brought to the same condition.
  await page.keyboard.press('g')
  await page.keyboard.press('c')
  await expect(page.getByText('Not weighed at this stage')).toBeVisible()
  await page.keyboard.press('n')
  const weigh = page.getByRole('dialog', { name: 'Log a weigh-in' })
  for (const [pad, kg] of [
    ['Front left', '308'],
    ['Front right', '296'],
    ['Rear left', '262'],
    ['Rear right', '246'],
  ] as const) {
    await weigh.getByLabel(pad, { exact: true }).fill(kg)
  }
  await weigh.getByLabel('Driver aboard').fill('85')
  await weigh.getByLabel('Fuel aboard').fill('20 l')
  await weigh.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(page.getByText(/The books balance/)).toBeVisible()
  await expect(page.getByText(/driver aboard \(85.0 kg\), 20.0 l fuel/)).toBeVisible()
  await page.getByRole('button', { name: 'Show working: Do the books balance?' }).click()
  await expect(page.getByText(/z = /).first()).toBeVisible()
  await page.keyboard.press('Escape')

  // The Board has moved: stage 1 measured, stage 2 weighed, its power only planned.
  await page.keyboard.press('g')
  await page.keyboard.press('b')
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
  await page.keyboard.press('g')
  await page.keyboard.press('c')
  const ticket = page.getByRole('article', { name: 'Weigh ticket' })
  await expect(ticket).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(ticket).toBeVisible()
  await expect(ticket.getByRole('heading', { name: /Wren/ })).toBeVisible()
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden()
  await expect(page.getByRole('complementary', { name: 'Stages' })).toBeHidden()
  await expect(page.getByRole('button', { name: 'Log a weigh-in' })).toBeHidden()
})
