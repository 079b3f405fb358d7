import { recordCode } from '@bold-ballast/contract'
import { readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'
import { expect, fileOffered, fill, freshBuild, goTo, open, saved, test } from './bench'

test('a sheet is shared by a link with an end, read by somebody who can go no further, and withdrawn', async ({
  page,
  browser,
}) => {
  const build = await freshBuild(page)
  await open(page, build.at('proof'))
  await page.getByRole('button', { name: 'Share a link' }).click()
  const form = page.getByRole('dialog', { name: 'Share this sheet' })
  const until = form.getByLabel('It works until')
  for (const [day, says] of [
    ['2020-01-01', 'That day is over'],
    ['2099-01-01', 'A link works for a year at most'],
    ['', 'Choose the last day'],
  ] as const) {
    await until.fill(day)
    await form.getByRole('button', { name: 'Make the link' }).click()
    await expect(form.getByRole('alert').first()).toContainText(says)
  }
  const inAMonth = new Date(Date.now() + 30 * 86_400_000).toISOString().slice(0, 10)
  await until.fill(inAMonth)
  await page.reload()
  await page.getByRole('button', { name: 'Share a link' }).click()
  await expect(until).toHaveValue(inAMonth)
  await form.getByRole('button', { name: 'Make the link' }).click()
  const link = (await form.getByTestId('share-link').textContent())!
  expect(link).toMatch(/\/shared\/[\w-]{32}$/)
  await expect(form).toContainText('This link works on this machine only')
  await form.getByRole('button', { name: 'Done' }).click()

  // Somebody else, on a phone: the sheet, its PDF, and no way to anything besides.
  const outside = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const reader = await outside.newPage()
  await reader.goto(link)
  await expect(reader.getByTestId('proof-sheet')).toContainText('Nobody has weighed the car at this stage.')
  await expect(reader.getByRole('link')).toHaveCount(0)
  expect(await reader.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true)
  const pdf = await fileOffered(reader, () => reader.getByRole('button', { name: 'PDF' }).click())
  expect(
    readFileSync((await pdf.path())!)
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-')

  await page.getByTestId('shares').getByRole('button', { name: 'Withdraw' }).click()
  await expect(page.getByTestId('shares')).toContainText('Withdrawn')
  await reader.reload()
  await expect(reader.getByRole('heading', { name: 'This link has ended' })).toBeVisible()
  await expect(reader.getByTestId('proof-sheet')).toHaveCount(0)
  await outside.close()
})

test('the code on a sheet leads back to its record, typed or scanned', async ({ page }) => {
  const build = await freshBuild(page)
  const code = recordCode(build.stageId)
  await open(page, build.at('proof'))
  await expect(page.getByTestId('proof-sheet')).toContainText(code)
  await expect(page.getByTestId('qr')).toHaveAccessibleName(new RegExp(`/record/${code}$`))
  await open(page, '/')
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: 'Find or do' }).fill(code.toLowerCase())
  await page.getByRole('option', { name: `Open the record ${code}` }).click()
  await expect(page.getByRole('heading', { name: 'Proof', level: 1 })).toBeVisible()
  expect(page.url()).toContain(build.stageId)
})

test.describe('a code that nobody printed', () => {
  test.use({ expectsErrors: true })
  test('says so and leads back', async ({ page }) => {
    await page.goto('/record/ZZZZ-ZZZZ')
    await expect(page.getByRole('heading', { name: 'Not here' })).toBeVisible()
    await page.getByRole('link', { name: 'To the Garage' }).click()
    await expect(page.getByRole('heading', { name: 'Garage' })).toBeVisible()
  })
})

test('the whole workshop is taken out as one file, looked through, and builds that are here stay as they are', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 1 })
  await open(page, '/')
  const file = await fileOffered(page, () =>
    page.getByRole('button', { name: 'Take the workshop out' }).click(),
  )
  expect(file.suggestedFilename()).toBe('Lantern Yard.workshop.gz')
  const path = (await file.path())!
  expect(gunzipSync(readFileSync(path)).toString()).toContain(build.id)

  // A build that is gone comes back under the same address, with its codes.
  await page.request.delete(`/api/v1/builds/${build.id}`)
  await page
    .getByLabel('Build or workshop file')
    .setInputFiles({ name: 'yard.workshop.gz', mimeType: 'application/gzip', buffer: readFileSync(path) })
  const found = page.getByTestId('workshop-file')
  await expect(found).toContainText('Lantern Yard, exported')
  await expect(found.getByRole('listitem').filter({ hasText: 'Wren' })).toContainText(
    'here already, left alone',
  )
  await found.getByRole('button', { name: /^Bring in/ }).click()
  await expect(found.getByRole('status')).toContainText('brought in')
  await open(page, build.at('swaps'))
  await expect(page.getByRole('gridcell', { name: 'Part of Part 0' })).toBeVisible()
  await saved(page)
})

test.describe('a workshop file that is none', () => {
  test.use({ expectsErrors: true })
  test('is refused with the reason, and nothing changes', async ({ page }) => {
    await open(page, '/')
    await page
      .getByLabel('Build or workshop file')
      .setInputFiles({ name: 'holiday.gz', mimeType: 'application/gzip', buffer: Buffer.from('not packed') })
    await expect(page.getByRole('alert')).toContainText('holiday.gz was not imported. Nothing has changed.')
    await expect(page.getByRole('alert')).toContainText('It can’t be unpacked')
  })
})

test('who works here is said once, goes with every change, and comes back after a reload', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('board'))
  await page.keyboard.press('w')
  const who = page.getByRole('dialog', { name: 'Who works here' })
  await fill(who, { Name: 'x'.repeat(81) })
  await page.keyboard.press('Enter')
  await expect(who.getByRole('alert')).toContainText('Keep it under 80 characters')
  await fill(who, { Name: 'Bea' })
  // A reload in the middle brings back what was typed.
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Board', level: 1 })).toBeVisible()
  await page.keyboard.press('w')
  await expect(who.getByLabel('Name')).toHaveValue('Bea')
  await who.getByLabel('Name').focus()
  await page.keyboard.press('Enter')
  await page.reload()
  await expect(page.getByRole('button', { name: 'Who works here: Bea' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Board', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  const mark = page.getByRole('dialog', { name: 'Set a mark' })
  await fill(mark, { 'This much': '1,000' })
  await mark.getByRole('button', { name: 'Save the mark' }).click()
  await saved(page)
  await goTo(page, 'Proof')
  await page.getByRole('link', { name: 'History' }).click()
  await expect(page.getByTestId('history').getByRole('listitem').first()).toContainText('Bea')
})
