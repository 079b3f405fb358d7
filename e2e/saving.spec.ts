import type { Page } from '@playwright/test'
import { expect, freshBuild, open, saved, test, waiting } from './bench'

test.use({ expectsErrors: true })

const massOf = (page: Page, part: string) => page.getByRole('gridcell', { name: `Mass each of ${part}` })

/** The first two parts stand so on the server. */
async function areSaved(page: Page, ...masses: readonly string[]): Promise<void> {
  await saved(page)
  await page.reload()
  for (const [part, mass] of masses.entries()) await expect(massOf(page, `Part ${part}`)).toHaveText(mass)
}

test('a server that is away loses nothing: it waits, survives a reload, and goes on', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 2 })
  await open(page, build.at('swaps'))
  await page.route('**/edits', (route) => route.abort())
  await massOf(page, 'Part 0').click()
  await page.keyboard.type('2.5')
  await page.keyboard.press('Enter')
  await page.keyboard.type('3.5')
  await page.keyboard.press('Enter')
  await waiting(page, 2)
  await expect(massOf(page, 'Part 0')).toHaveText('2.50')
  page.on('dialog', (dialog) => void dialog.accept())
  await page.reload()
  await expect(massOf(page, 'Part 0')).toHaveText('2.50')
  await page.unroute('**/edits')
  await areSaved(page, '2.50', '3.50')
})

test('what was not saved outlives its tab: the next one finds it, says how much, and saves it in order', async ({
  page,
  context,
}) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 2 })
  await open(page, build.at('swaps'))
  await context.route('**/edits', (route) => route.abort())
  await massOf(page, 'Part 0').click()
  for (const typed of ['2.5', '3.5']) {
    await page.keyboard.type(typed)
    await page.keyboard.press('Enter')
  }
  await massOf(page, 'Part 0').click()
  await page.keyboard.type('4.5')
  await page.keyboard.press('Enter')
  await waiting(page, 3)
  const next = await context.newPage()
  await open(next, build.at('swaps'))
  // The first tab is open: it is its own to send.
  await expect(next.getByTestId('save-state')).toHaveText('Saved')
  await page.close()
  await expect(next.getByText('3 changes from before were not saved yet.')).toBeVisible()
  await expect(massOf(next, 'Part 0')).toHaveText('4.50')
  await context.unroute('**/edits')
  await areSaved(next, '4.50', '3.50')
})

test('where the device has no room for what waits, that is said, and the tab asks before it is closed', async ({
  page,
}) => {
  await page.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
  })
  const build = await freshBuild(page, { swaps: 1, linesEach: 2 })
  await open(page, build.at('swaps'))
  await page.route('**/edits', (route) => route.abort())
  await massOf(page, 'Part 0').click()
  await page.keyboard.type('2.5')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('save-state')).toHaveText(
    '1 not saved, nor kept on this device. Leave this tab open',
  )
  const asked = page.waitForEvent('dialog')
  await page.close({ runBeforeUnload: true })
  const dialog = await asked
  expect(dialog.type()).toBe('beforeunload')
  await dialog.dismiss()
  await page.unroute('**/edits')
  await saved(page)
})

test('a save that reached the server but whose answer was lost is not a conflict', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 1 })
  await open(page, build.at('swaps'))
  let lost = false
  await page.route('**/edits', async (route) => {
    if (lost) return route.continue()
    lost = true
    await route.fetch()
    await route.abort()
  })
  await massOf(page, 'Part 0').click()
  await page.keyboard.type('2.5')
  await page.keyboard.press('Enter')
  await saved(page)
  await expect(page.getByRole('alertdialog')).toHaveCount(0)
})

test('a refused save is rolled back, what was typed is kept, and it can be tried again', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 1 })
  await open(page, build.at('swaps'))
  await page.route('**/edits', (route) =>
    route.fulfill({
      status: 500,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        type: '/problems/unexpected',
        title: 'That went wrong here',
        status: 500,
        detail: 'The server met something it did not expect.',
      }),
    }),
  )
  await massOf(page, 'Part 0').click()
  await page.keyboard.type('2.5')
  await page.keyboard.press('Enter')
  const refused = page.getByRole('alertdialog', { name: 'Changes that were not taken' })
  await expect(refused).toContainText('Change mass each of Part 0')
  await expect(massOf(page, 'Part 0')).toHaveText('1.00')
  await page.unroute('**/edits')
  await refused.getByRole('button', { name: 'Try again' }).click()
  await expect(massOf(page, 'Part 0')).toHaveText('2.50')
  await saved(page)
})

test('two tabs on one line: the second is shown both versions and chooses', async ({ page, context }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 1 })
  await open(page, build.at('swaps'))
  const other = await context.newPage()
  await open(other, build.at('swaps'))
  await massOf(other, 'Part 0').click()
  await other.keyboard.type('4.5')
  await massOf(page, 'Part 0').click()
  await page.keyboard.type('2.5')
  await page.keyboard.press('Enter')
  await saved(page)
  // Whether the second has heard of it or not: what it types was begun before.
  await other.keyboard.press('Enter')
  const conflict = other.getByRole('alertdialog')
  await expect(conflict).toContainText('Somebody else changed this')
  await expect(conflict.getByRole('row', { name: /mass/ })).toHaveText('mass of one piece4.5 kg2.5 kg')
  await expect(massOf(other, 'Part 0')).toHaveText('2.50')
  await conflict.getByRole('button', { name: 'Keep mine' }).click()
  await expect(massOf(other, 'Part 0')).toHaveText('4.50')
  await saved(other)
  await page.reload()
  await expect(massOf(page, 'Part 0')).toHaveText('4.50')
})

/** Runs in the page. */
const photosOnDevice = () =>
  new Promise<number>((found, failed) => {
    const opening = indexedDB.open('bold-ballast')
    opening.onerror = failed
    opening.onsuccess = () => {
      const counting = opening.result.transaction('files').objectStore('files').count()
      counting.onsuccess = () => {
        opening.result.close()
        found(counting.result)
      }
    }
  })

test('a photograph taken at the bench waits for its part, and both outlive a reload without the server', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, `${build.at('swaps')}?view=bench`)
  const bench = page.getByRole('form', { name: 'Weigh at the bench' })
  const sent: string[] = []
  page.on('request', (request) => request.method() === 'PUT' && sent.push(new URL(request.url()).pathname))
  await page.route('**/edits', (route) => route.abort())
  await page.route('**/photo', (route) => route.abort())
  await bench.getByLabel('Part', { exact: true }).fill('Front seat')
  await bench.getByLabel(/What it weighs/).fill('19.05')
  await bench.getByLabel(/^Photograph/).setInputFiles('docs/screenshots/phone.png')
  await bench.getByRole('button', { name: 'Next' }).click()
  await waiting(page, 1)
  // Without its part the picture isn't even tried; it is kept on the device.
  await expect.poll(() => page.evaluate(photosOnDevice)).toBe(1)
  expect(sent).toEqual([])
  page.on('dialog', (dialog) => void dialog.accept())
  await page.reload()
  await waiting(page, 1)
  await page.unroute('**/edits')
  await expect.poll(() => sent.length).toBeGreaterThan(0)
  await expect(page.getByTestId('save-state')).toHaveText('1 not saved yet, trying again')
  // The part is there and the picture can't be sent: it waits through another reload.
  await page.reload()
  await page.unroute('**/photo')
  await page.goto(build.at('swaps'))
  const [photo] = sent
  await expect.poll(async () => (await page.request.get(photo!)).status()).toBe(200)
  await page
    .getByRole('button', { name: /Front seat/ })
    .first()
    .click()
  await expect(page.getByRole('img', { name: 'Front seat, photographed' })).toBeVisible()
  await expect.poll(() => page.evaluate(photosOnDevice)).toBe(0)
  await saved(page)
})
