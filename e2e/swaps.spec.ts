import { buildFile } from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import { expect, fileOffered, freshBuild, open, saved, test, totals } from './bench'

test('a swap is written with the keyboard alone, totals move while typing, undo and redo travel', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('swaps'))
  await expect(page.getByRole('heading', { name: 'Nothing swapped in this stage yet' })).toBeVisible()
  await page.keyboard.press('n')
  await expect(page.getByLabel('Name of the swap')).toBeFocused()
  await page.keyboard.type('Doors to composite')
  await page.keyboard.press('Enter')
  await page.getByLabel('Part, new line').focus()
  await page.keyboard.type('Door, complete')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Tab')
  await page.keyboard.type('56 lb')
  // Not saved yet, and already counted.
  await expect(totals(page)).toContainText('−25.4')
  await expect(page.getByRole('row', { name: 'New line' })).toContainText('56.0 lb = 25.4 kg')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Part, new line')).toBeFocused()
  await page.getByLabel('Way, new line').selectOption('on')
  await page.getByLabel('Part, new line').fill('Composite skin')
  await page.getByLabel('Mass each, new line').fill('6,2 kg')
  await page.getByLabel('Known by, new line').selectOption('claim')
  await page.keyboard.press('Enter')
  // The row is empty again and holds the focus: undo is the line's that was just added, and a text's while one is typed.
  await expect(page.getByLabel('Part, new line')).toHaveValue('')
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('gridcell', { name: 'Mass each of Composite skin' })).toHaveCount(0)
  await page.keyboard.press('Control+y')
  await expect(page.getByRole('gridcell', { name: 'Mass each of Composite skin' })).toHaveText('6.20')
  await page.getByLabel('Way, new line').selectOption('carried')
  await page.getByLabel('Part, new line').fill('Latch and glass')
  await page.getByLabel('Known by, new line').selectOption('measured')
  await page.getByLabel('Mass each, new line').fill('7.1')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  const swapRow = page.getByRole('row').filter({ hasText: 'Doors to composite' })
  await expect(swapRow).toContainText('pending: 1 not weighed')
  await expect(totals(page)).toContainText('−12.1')
  await saved(page)

  // Weigh the skin: edit in place from the grid, and the credit is banked.
  await page.getByRole('gridcell', { name: 'Mass each of Composite skin' }).click()
  await page.keyboard.type('6.4')
  await page.keyboard.press('Tab')
  await page.getByRole('combobox', { name: 'Known by', exact: true }).selectOption('measured')
  await page.keyboard.press('Enter')
  await expect(swapRow).toContainText('banked')
  await expect(page.getByRole('gridcell', { name: 'Mass each of Composite skin' })).toHaveText('6.40')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(page.getByText('“Composite skin”, mass of one piece: 6.4 kg → 6.2 kg.')).toBeVisible()
  await expect(page.getByRole('gridcell', { name: 'Mass each of Composite skin' })).toHaveText('6.20')
  await expect(swapRow).toContainText('pending')
  await page.keyboard.press('Control+y')
  await expect(page.getByRole('gridcell', { name: 'Mass each of Composite skin' })).toHaveText('6.40')
  await saved(page)
  await page.reload()
  await expect(page.getByRole('gridcell', { name: 'Mass each of Composite skin' })).toHaveText('6.40')
})

test('arrows move, Delete removes, Alt and arrows reorder, Escape leaves a cell as it was', async ({
  page,
}) => {
  // A slow server: what is done next is done before the last answer is there.
  await page.route('**/edits', async (route) => {
    await new Promise((done) => setTimeout(done, 500))
    await route.continue()
  })
  const build = await freshBuild(page, { swaps: 1, linesEach: 3 })
  await open(page, build.at('swaps'))
  const names = page.getByRole('gridcell', { name: /^Part of/ })
  await expect(names).toHaveText(['Part 0', 'Part 1', 'Part 2'])
  await names.first().click()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await page.keyboard.type('nonsense')
  await page.keyboard.press('Escape')
  await expect(names).toHaveText(['Part 0', 'Part 1', 'Part 2'])
  await page.keyboard.press('Alt+ArrowDown')
  await expect(names).toHaveText(['Part 0', 'Part 2', 'Part 1'])
  await page.keyboard.press('Delete')
  await expect(names).toHaveText(['Part 0', 'Part 2'])
  await page.keyboard.press('Control+z')
  await expect(names).toHaveText(['Part 0', 'Part 2', 'Part 1'])
  await saved(page)
})

test('a bonnet of 900 kg is asked about, and what exceeds the car is refused; the entry stays', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 1 })
  await open(page, build.at('swaps'))
  const mass = page.getByRole('gridcell', { name: 'Mass each of Part 0' })
  await mass.click()
  await page.keyboard.type('900')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'Did you mean g' })).toBeVisible()
  await page.getByRole('button', { name: '900 g' }).click()
  await expect(mass).toHaveText('0.900')
  await mass.click()
  await page.keyboard.type('9,000')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Enter')
  await expect(page.getByText('That takes more off than the car weighs')).toBeVisible()
  await expect(page.getByLabel('Mass each', { exact: true })).toHaveValue('9,000')
  await page.getByLabel('Mass each', { exact: true }).fill('-3')
  await page.keyboard.press('Enter')
  await expect(page.getByText('can’t be below zero')).toBeVisible()
  await page.getByLabel('Mass each', { exact: true }).fill('3 psi')
  await page.keyboard.press('Enter')
  await expect(page.getByText('“psi” is a pressure')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(mass).toHaveText('0.900')
})

test('filter, sort and CSV of the ledger', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 2, linesEach: 4 })
  await open(page, build.at('swaps'))
  await page.getByLabel('Filter lines').fill('part 3')
  await expect(page.getByRole('gridcell', { name: /^Part of/ })).toHaveText(['Part 3', 'Part 3'])
  await page.getByLabel('Filter lines').fill('')
  await page.getByLabel('Sort lines').selectOption('mass')
  await expect(page.getByRole('gridcell', { name: /^Part of/ }).first()).toHaveText('Part 3')
  const download = await fileOffered(page, () => page.getByRole('button', { name: 'CSV' }).click())
  expect(download.suggestedFilename()).toContain('swaps.csv')
})

test('on a phone a line is opened, weighed and saved', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const build = await freshBuild(page, { swaps: 1, linesEach: 2 })
  await open(page, build.at('swaps'))
  await page.getByRole('button', { name: /Part 1/ }).click()
  const sheet = page.getByRole('dialog', { name: 'Part 1' })
  await sheet.getByLabel('Mass of one piece').fill('4 lb')
  await sheet.getByLabel('Place').fill('1200 0')
  await expect(sheet.getByText('Type three lengths')).toBeVisible()
  await sheet.getByLabel('Place').fill('1200 0 400')
  await sheet.getByRole('button', { name: 'Save the line' }).click()
  await expect(page.getByRole('button', { name: /Part 1/ })).toContainText('1.81')
  const overflow = await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth)
  expect(overflow).toBe(false)
  await saved(page)
})

test('a line that somebody else removes while it is open stays as typed, counts nowhere, and is put back', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 1 })
  await open(page, build.at('swaps'))
  const before = await totals(page).textContent()
  await page.getByRole('button', { name: 'All about Part 0' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('Mass of one piece').fill('9.5 kg')
  await expect(totals(page)).not.toHaveText(before ?? '')
  const file = buildFile.parse(await (await page.request.get(`/api/v1/builds/${build.id}/file`)).json())
  const [swap] = file.swaps
  const batch = {
    id: randomUUID(),
    label: 'Remove it all',
    author: 'Bea',
    edits: [
      { op: 'remove', kind: 'line', id: file.lines[0]!.id, version: 1 },
      { op: 'remove', kind: 'swap', id: swap!.id, version: 1 },
    ],
  }
  const answer = await page.request.post(`/api/v1/builds/${build.id}/edits`, { data: batch })
  expect(answer.ok()).toBe(true)
  await expect(sheet.getByRole('alert')).toContainText('Bea removed this while it was open here', {
    timeout: 20_000,
  })
  await expect(sheet.getByLabel('Mass of one piece')).toHaveValue('9.5 kg')
  await expect(page.getByTestId('stage-mass')).toContainText('5,000')
  await sheet.getByRole('button', { name: 'Put it back as it stands here' }).click()
  await expect(sheet).toBeHidden()
  await expect(page.getByRole('gridcell', { name: /^Mass each of/ })).toHaveText('9.50')
  await saved(page)
})
