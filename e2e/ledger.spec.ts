import { expect, fill, freshBuild, goTo, open, saved, test, totals } from './bench'

test('a part is weighed with tare and repeats, and its mass and grade follow', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 2 })
  await open(page, build.at('swaps'))
  await page.getByRole('button', { name: 'All about Part 0' }).first().click()
  const sheet = page.getByRole('dialog', { name: 'Part 0' })
  await sheet.getByRole('button', { name: 'Weigh it: scale, tare, readings' }).click()
  await fill(sheet, { 'Reading 1': '4.21 kg', 'Tare: box or strap': '5', 'Its step': '10 g' })
  await expect(page.getByTestId('live-part')).toContainText('tare weighs as much as the whole')
  await fill(sheet, { 'Tare: box or strap': '350 g' })
  await expect(page.getByTestId('live-part')).toContainText('3.86')
  await sheet.getByRole('button', { name: 'Take it off, put it on, read again' }).click()
  await fill(sheet, { 'Reading 2': '4.22' })
  await expect(page.getByTestId('live-part')).toContainText('proven')
  await sheet.getByRole('button', { name: 'Save the line' }).click()
  await expect(page.getByRole('gridcell', { name: 'Mass each of Part 0' })).toHaveText(/3\.8[67]/)
  await expect(page.getByRole('gridcell', { name: 'Known by of Part 0' })).toContainText('proven')
  await saved(page)
  // A figure typed over it is no longer what was weighed.
  await page.getByRole('gridcell', { name: 'Mass each of Part 0' }).click()
  await page.keyboard.type('4')
  await page.keyboard.press('Enter')
  await saved(page)
  await page.getByRole('button', { name: 'All about Part 0' }).first().click()
  await expect(sheet.getByRole('button', { name: 'Weigh it: scale, tare, readings' })).toBeVisible()
})

test('lines are weighed together and shared out; undo takes them all back', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 3 })
  await open(page, build.at('swaps'))
  await page.getByRole('button', { name: 'All about Swap 0' }).click()
  await page.getByRole('button', { name: 'Weigh lines together' }).click()
  const sheet = page.getByRole('dialog', { name: 'Weigh together' })
  await sheet.getByRole('button', { name: 'Share it out' }).click()
  await expect(sheet.getByRole('alert')).toContainText('at least two lines')
  await sheet.getByLabel(/Part 0/).check()
  await sheet.getByLabel(/Part 2/).check()
  await fill(sheet, { 'The scale reads': '4.3', 'Tare: box or strap': '0.26' })
  await page.reload()
  await page.getByRole('button', { name: 'All about Swap 0' }).click()
  await page.getByRole('button', { name: 'Weigh lines together' }).click()
  await sheet.getByRole('button', { name: 'Share it out' }).click()
  // Thought to weigh 1.00 and 1.02 kg: 4.04 kg shared out is 2.00 and 2.04.
  const mass = (name: string) => page.getByRole('gridcell', { name: `Mass each of ${name}` })
  await expect(mass('Part 0')).toHaveText('2.00')
  await expect(mass('Part 2')).toHaveText('2.04')
  await saved(page)
  await page.keyboard.press('Control+z')
  await expect(mass('Part 0')).toHaveText('1.00')
  await expect(mass('Part 2')).toHaveText('1.02')
  await saved(page)
})

test('an allowance shrinks by what is added, and a part has a history and several places', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 2 })
  await open(page, build.at('swaps'))
  await page.getByRole('button', { name: 'Add a line to Swap 0' }).click()
  const entry = page.getByRole('row', { name: 'New line' })
  await fill(entry, { 'Way, new line': 'on', 'Part, new line': 'Bits and bobs', 'Mass each, new line': '6' })
  await entry.getByLabel('Mass each, new line').press('Enter')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'All about Bits and bobs' }).click()
  const bits = page.getByRole('dialog', { name: 'Bits and bobs' })
  await bits.getByLabel('It is', { exact: true }).selectOption('allowance')
  await bits.getByRole('button', { name: 'Save the line' }).click()
  // Part 1 is on, 1.01 kg: it comes out of the allowance.
  const row = page.getByRole('row', { name: /Bits and bobs/ })
  await expect(row).toContainText('(allowance)')
  await expect(row).toContainText('+4.99')

  await page.getByRole('button', { name: 'All about Part 1' }).click()
  const part = page.getByRole('dialog', { name: 'Part 1' })
  await part.getByLabel('Same thing as').selectOption({ label: 'Part 0, off in As bought' })
  await expect(part.getByRole('list', { name: 'History of this part' })).toContainText(
    'Part 0: off in As bought',
  )
  await part.getByRole('button', { name: 'Fitted at another place too' }).click()
  await part.getByLabel('Pieces there').fill('3')
  await expect(part.getByText('at 2 places')).toBeVisible()
  await part.getByRole('button', { name: 'Save the line' }).click()
  await expect(page.getByRole('gridcell', { name: 'Pcs of Part 1' })).toHaveText('4')
  await page.getByRole('button', { name: 'All about Part 0' }).first().click()
  await page.getByRole('dialog', { name: 'Part 0' }).getByLabel('What became of it').selectOption('sold')
  await page.getByRole('dialog', { name: 'Part 0' }).getByRole('button', { name: 'Save the line' }).click()
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: 'All about Part 1' }).click()
  await expect(part.getByRole('list', { name: 'History of this part' })).toContainText(
    'off in As bought, sold',
  )
})

test('a list is pasted from a spreadsheet: columns matched, bad rows named, all taken back by one undo', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('swaps'))
  await page.getByRole('button', { name: 'Paste or import a list' }).click()
  const sheet = page.getByRole('dialog', { name: 'Paste or import a list' })
  const list =
    'Item\tQty\tWeight\tSwap\nFront seat\t2\t42 lb\tSeats\nRear bench\t1\t21,3\tSeats\nDash\t1\tvery\tInside\n'
  await sheet.getByLabel(/Copy rows in a spreadsheet/).fill(list)
  await expect(sheet.getByRole('status')).toContainText('Row 4')
  await expect(page.getByTestId('paste-preview').getByRole('row')).toHaveCount(3)
  // What was pasted outlives a reload.
  await page.reload()
  await page.getByRole('button', { name: 'Paste or import a list' }).click()
  await sheet.getByRole('button', { name: 'Add 2 lines' }).click()
  await expect(page.getByRole('gridcell', { name: 'Mass each of Front seat' })).toHaveText('19.05')
  await expect(totals(page)).toContainText('−59.4')
  await saved(page)
  await page.keyboard.press('Control+z')
  await expect(page.getByText('Nothing swapped in this stage yet')).toBeVisible()
  await saved(page)
})

test('what was weighed once is found again, and offered while a line is typed', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 1 })
  await open(page, build.at('swaps'))
  await page.getByRole('button', { name: 'Add a line to Swap 0' }).click()
  const entry = page.getByRole('row', { name: 'New line' })
  await entry.getByLabel('Part, new line').fill('Rear bench and backrest')
  await expect(entry.getByRole('status')).toContainText(
    'Ours weighed 21.30 kg last time: Nightjar, Bare shell',
  )
  await page.getByRole('link', { name: 'Parts we weighed' }).click()
  await page.getByLabel('Find a part').fill('bench rear')
  await expect(page.getByTestId('parts').getByRole('row', { name: /Rear bench and backrest/ })).toContainText(
    '21.3',
  )
  await page.getByLabel('Find a part').fill('no such thing at all')
  await expect(page.getByText('Nothing weighed is called no such thing at all')).toBeVisible()
})

test('any condition is one click, and a new one is made of what may be aboard', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 2 })
  await open(page, build.at('swaps'))
  const bar = page.getByRole('group', { name: 'Condition that masses are stated for' })
  await bar.getByRole('button', { name: /Set up dry, wet/ }).click()
  const sheet = page.getByRole('dialog', { name: 'Conditions' })
  await sheet.getByLabel('Holds').first().fill('a lot')
  await sheet.getByRole('button', { name: 'Save the conditions' }).click()
  await expect(sheet.getByText('Something above needs another look.')).toBeVisible()
  await sheet.getByLabel('Holds').first().fill('10 l')
  await sheet.getByRole('button', { name: 'One more condition' }).click()
  await sheet.getByLabel('Condition 6').fill('Shakedown')
  await sheet.getByLabel('Fuel').nth(5).fill('10 l')
  await sheet.getByRole('button', { name: 'Save the conditions' }).click()
  await expect(sheet).toHaveCount(0)
  await bar.getByRole('button', { name: 'Wet', exact: true }).click()
  await expect(bar.getByRole('button', { name: 'Wet', exact: true })).toHaveAttribute('aria-pressed', 'true')
  const figure = async () =>
    Number(
      (await totals(page).innerText()).match(/([\d,]{3,}(\.\d)?)\s*\n?\s*±[^±]*$/)?.[1]?.replace(',', ''),
    )
  const wet = await figure()
  await bar.getByRole('button', { name: 'Dry', exact: true }).click()
  await expect(bar.getByRole('button', { name: 'Dry', exact: true })).toHaveAttribute('aria-pressed', 'true')
  // 20 l of petrol, 10 l of coolant and 5 l of oil less.
  await expect.poll(async () => wet - (await figure())).toBeGreaterThan(25)
  await bar.getByRole('button', { name: 'Shakedown' }).click()
  await saved(page)
  await page.keyboard.press('Control+z')
  await expect(bar.getByRole('button', { name: 'Dry', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await saved(page)
  // A weighing says how full everything was.
  await goTo(page, 'Scales')
  await page.keyboard.press('n')
  const weigh = page.getByRole('dialog', { name: 'Log a weigh-in' })
  await fill(weigh, { 'Front left': '300', 'Front right': '290', 'Rear left': '250', 'Rear right': '240' })
  await weigh.getByLabel('Coolant, how full').fill('over')
  await weigh.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(weigh.getByRole('alert').first()).toBeVisible()
  await weigh.getByLabel('Coolant, how full').fill('50')
  await weigh.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(page.getByTestId('weigh-results')).toBeVisible()
  await saved(page)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('parts are weighed at the bench one after the other, with one hand', async ({ page }) => {
    const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
    await open(page, `${build.at('swaps')}?view=bench`)
    const bench = page.getByRole('form', { name: 'Weigh at the bench' })
    await bench.getByRole('button', { name: 'Next' }).tap()
    await expect(bench.getByRole('alert')).toContainText('Give the part a name')
    await bench.getByLabel('Part', { exact: true }).fill('Front seat')
    await bench.getByLabel(/What it weighs/).fill('heavy')
    await page.keyboard.press('Enter')
    await expect(bench.getByRole('alert')).toContainText('heavy')
    await bench.getByLabel(/What it weighs/).fill('42 lb')
    await bench.getByLabel(/^Photograph/).setInputFiles('docs/screenshots/phone.png')
    await bench.getByRole('button', { name: 'Next' }).tap()
    await expect(bench.getByRole('list', { name: 'Just weighed' })).toContainText('19.05')
    await expect(bench.getByLabel('Part', { exact: true })).toBeFocused()
    await bench.getByLabel('Part', { exact: true }).fill('Bonnet')
    await bench.getByLabel(/What it weighs/).fill('900')
    await bench.getByRole('button', { name: 'Next' }).tap()
    await expect(bench.getByRole('alert')).toContainText('Did you mean')
    await bench.getByRole('button', { name: '900 g' }).tap()
    await expect(bench.getByRole('list', { name: 'Just weighed' }).getByRole('listitem')).toHaveCount(2)
    await bench.getByLabel('Part', { exact: true }).fill('Half typed')
    await page.reload()
    await expect(bench.getByLabel('Part', { exact: true })).toHaveValue('Half typed')
    await saved(page)
    // The photograph stands in the sheet of its part.
    await page.goto(build.at('swaps'))
    await page
      .getByRole('button', { name: /Front seat/ })
      .first()
      .click()
    await expect(page.getByRole('img', { name: 'Front seat, photographed' })).toBeVisible({ timeout: 15_000 })
  })
})
