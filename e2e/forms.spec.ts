import { expect, fill, freshBuild, goTo, open, saved, test } from './bench'

test('what is typed into a form comes back after a reload and after Esc, until it is saved', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 2 })
  await open(page, build.at('scales'))
  await page.keyboard.press('n')
  const weigh = page.getByRole('dialog', { name: 'Log a weigh-in' })
  await fill(weigh, { 'Front left': '300', 'Front right': '290', Notes: 'bars still on' })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Scales', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(weigh.getByText('Brought back what was typed here')).toBeVisible()
  await expect(weigh.getByLabel('Front left', { exact: true })).toHaveValue('300')
  await expect(weigh.getByLabel('Notes')).toHaveValue('bars still on')
  await fill(weigh, { 'Rear left': '250', 'Rear right': '240' })
  await weigh.getByRole('button', { name: 'Save the weigh-in' }).click()
  await saved(page)
  await page.keyboard.press('n')
  await expect(weigh.getByText('Brought back')).toHaveCount(0)
  await expect(weigh.getByLabel('Front left', { exact: true })).toHaveValue('')

  // Esc puts the form away, not what was typed; starting over does.
  await fill(weigh, { 'Front left': '111' })
  await page.keyboard.press('Escape')
  await page.keyboard.press('n')
  await expect(weigh.getByLabel('Front left', { exact: true })).toHaveValue('111')
  await weigh.getByRole('button', { name: 'Start over' }).click()
  await expect(weigh.getByLabel('Front left', { exact: true })).toHaveValue('')
  await page.keyboard.press('Escape')

  // The ledger's new line too.
  await goTo(page, 'Swaps')
  await page.getByRole('button', { name: 'Add a line to Swap 0' }).click()
  const entry = page.getByRole('row', { name: 'New line' })
  await fill(entry, { 'Part, new line': 'Heater box', 'Mass each, new line': '4.2 kg' })
  await page.reload()
  await page.getByRole('button', { name: 'Add a line to Swap 0' }).click()
  await expect(entry.getByLabel('Part, new line')).toHaveValue('Heater box')
  await entry.getByLabel('Mass each, new line').press('Enter')
  await expect(page.getByRole('gridcell', { name: 'Part of Heater box' })).toBeVisible()
  await expect(entry.getByLabel('Part, new line')).toHaveValue('')
  await saved(page)
})

/** Every form, how to open it, and what stands on its button. */
const FORMS = [
  { room: 'Scales', form: 'Log a weigh-in', save: 'Save the weigh-in' },
  { room: 'Dyno', form: 'Log a dyno day', save: 'Save the dyno day' },
  { room: 'Board', form: 'Set a mark', save: 'Save the mark' },
] as const
const NONSENSE = ['', 'blue', '-7', '1e99', '12 furlongs', '7 7 7', '∞']

for (const { room, form, save } of FORMS) {
  test(`${form}: nonsense in any field is named beside it, stays there, and nothing is saved`, async ({
    page,
  }) => {
    const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
    await open(page, build.at(room.toLowerCase()))
    await page.keyboard.press('n')
    const sheet = page.getByRole('dialog', { name: form })
    await expect(sheet).toBeVisible()
    const fields = sheet.locator('input[inputmode=decimal]')
    for (const nonsense of NONSENSE) {
      for (let i = 0; i < (await fields.count()); i += 1) await fields.nth(i).fill(nonsense)
      await sheet.getByRole('button', { name: save }).click()
      await expect(sheet.getByRole('alert').first()).toBeVisible()
      for (const words of await sheet.getByRole('alert').allTextContents())
        expect(words).not.toMatch(/invalid|expected|NaN|undefined|null|received/i)
      // 1e99 of something is read as a number and refused for its size, so the field shows it in digits.
      if (nonsense !== '1e99') await expect(fields.first()).toHaveValue(nonsense)
    }
    await expect(sheet).toBeVisible()
  })
}

test('the build, stage and new-build forms refuse nonsense field by field and keep it', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('board'))
  const refuses = async (sheet: ReturnType<typeof page.getByRole>, save: string) => {
    await expect(sheet).toBeVisible()
    const fields = sheet.locator('input[inputmode=decimal]')
    for (let i = 0; i < (await fields.count()); i += 1) {
      const before = await fields.nth(i).inputValue()
      await fields.nth(i).fill('a lot')
      await sheet.getByRole('button', { name: save }).click()
      await expect(sheet.getByText(/not a number|can’t read|Type/i).first()).toBeVisible()
      await expect(fields.nth(i)).toHaveValue('a lot')
      await fields.nth(i).fill(before)
    }
    await expect(sheet).toBeVisible()
  }
  await page
    .getByRole('button', { name: /^Edit stage/ })
    .first()
    .click()
  await refuses(page.getByRole('dialog', { name: 'Stage 1' }), 'Save the stage')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Change the build/ }).click()
  await refuses(page.getByRole('dialog', { name: 'The build' }), 'Save the build')
  await open(page, '/')
  await page.keyboard.press('n')
  const start = page.getByRole('dialog', { name: 'New build' })
  await refuses(start, 'Start the build')
  await start.getByLabel('Name').fill('x'.repeat(500))
  await start.getByRole('button', { name: 'Start the build' }).click()
  await expect(start.getByText(/120|too long|shorter/i)).toBeVisible()
})

/** The forms of weight and scales: where, what opens them, what they are called, and a field whose text must last. */
const MORE_FORMS = [
  { at: 'swaps', opens: ['All about Swap 0'], form: 'Swap 0', save: 'Save the swap', field: 'Notes' },
  { at: 'swaps', opens: ['All about Part 0'], form: 'Part 0', save: 'Save the line', field: 'Part' },
  {
    at: 'swaps?view=forecast',
    opens: [/^Growth/],
    form: 'Growth and doubt',
    save: 'Save growth and doubt',
    field: 'A guess grows by',
  },
  {
    at: 'swaps',
    opens: [/^Set up dry, wet/],
    form: 'Conditions',
    save: 'Save the conditions',
    field: 'Condition 1',
  },
  {
    at: 'scales?view=ballast',
    opens: ['Say what it should reach'],
    form: 'Ballast',
    save: 'Save the ballast',
    field: 'Spot 1',
  },
  {
    at: 'scales?view=height',
    opens: ['Log a tilt test'],
    form: 'Log a tilt test',
    save: 'Save the tilt test',
    field: 'Notes',
  },
] as const

for (const { at, opens, form, save, field } of MORE_FORMS) {
  test(`${form}: nonsense in any field is refused and stays, and a reload in the middle loses nothing`, async ({
    page,
  }) => {
    const build = await freshBuild(page, { swaps: 1, linesEach: 1 })
    await open(page, build.at(at))
    const opener = page.getByRole('button', { name: opens[0] }).first()
    await opener.click()
    const sheet = page.getByRole('dialog', { name: form })
    await expect(sheet).toBeVisible()
    const fields = sheet.locator('input[inputmode=decimal]')
    for (let i = 0; i < (await fields.count()); i += 1) {
      await fields.nth(i).fill('a lot')
      await sheet.getByRole('button', { name: save }).click()
      await expect(sheet.getByRole('alert').first()).toBeVisible()
      await expect(fields.nth(i)).toHaveValue('a lot')
    }
    for (const words of await sheet.getByRole('alert').allTextContents())
      expect(words).not.toMatch(/invalid|expected|NaN|undefined|null|received/i)
    await page.keyboard.press('Escape')
    await page.reload()
    await (
      form === 'Conditions' ? page.getByRole('button', { name: /Change the conditions/ }) : opener
    ).click()
    await sheet.getByRole('button', { name: 'Start over' }).click()
    await sheet.getByLabel(field, { exact: true }).first().fill('33')
    await page.reload()
    await (
      form === 'Conditions' ? page.getByRole('button', { name: /Change the conditions/ }) : opener
    ).click()
    await expect(sheet.getByText('Brought back what was typed here')).toBeVisible()
    await expect(sheet.getByLabel(field, { exact: true }).first()).toHaveValue('33')
  })
}
