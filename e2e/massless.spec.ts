import { buildList, buildSummary, type BuildFile } from '@bold-ballast/contract'
import { sampleLine } from '@bold-ballast/contract/sampleBuild'
import type { Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { aloneIn, expect, fill, freshBuild, open, saved, test, totals } from './bench'

/** Every view that the rooms have. */
const VIEWS = [
  'board',
  'board?view=whatif',
  'swaps?view=forecast',
  'swaps?view=kilos',
  'swaps?view=parts',
  'swaps?view=bench',
  'scales',
  'scales?view=perches',
  'scales?view=ballast',
  'scales?view=height',
  'scales?view=instruments',
  'dyno',
  'dyno?view=compare',
  'dyno?view=worth',
  'dyno?view=fuel',
  'dyno?view=air',
  'dyno?view=cooling',
  'dyno?view=electrics',
  'dyno?view=options',
  'driveline',
  'driveline?view=launch',
  'driveline?view=drift',
  'driveline?view=choices',
  'driveline?view=shelf',
  'driveline?view=links',
  'driveline?view=life',
  'stance',
  'stance?view=springs',
  'stance?view=roll',
  'stance?view=travel',
  'stance?view=brakes',
  'stance?view=geometry',
  'stance?view=steering',
  'stance?view=wheels',
  'aero',
  'aero?view=trim',
  'aero?view=holds',
  'aero?view=rolled',
  'aero?view=class',
  'proof',
  'proof?view=gain',
  'proof?view=history',
  'proof?view=claims',
  'swaps',
]

/** A demo car off which somebody took more than it weighs, before that was refused. */
async function massless(page: Page) {
  const list = buildList.parse(await (await page.request.get('/api/v1/builds')).json())
  const nightjar = list.find((b) => b.name === 'Nightjar')!
  const file = (await (await page.request.get(`/api/v1/builds/${nightjar.id}/file`)).json()) as BuildFile
  // The workshop's audit of claims is other tests' business.
  file.lines = file.lines.map((line) => ({ ...line, said: null }))
  file.build.name = `Nothing ${randomUUID().slice(0, 6)}`
  const swap = file.swaps.find((s) => s.stageId === file.stages[4]!.id)!
  const line = { ...sampleLine(swap.id, randomUUID(), 90), name: 'Rear seats', mass: 1850 }
  file.lines.push({ ...line, kind: 'off', grade: 'guess' })
  const response = await page.request.post('/api/v1/builds', { data: file })
  const { id, stages } = buildSummary.parse(await response.json())
  return { id, name: file.build.name, at: (view: string) => `/builds/${id}/stages/${stages[4]!.id}/${view}` }
}

test('a car that weighs less than nothing is listed with its fault, draws in every view, and is mended', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await aloneIn(page)
  const build = await massless(page)
  await open(page, `/?find=${build.name}`)
  const card = page.getByRole('listitem').filter({ hasText: build.name })
  await expect(card).toContainText(/the car would weigh −[\d,]+ kg/)
  await open(page, '/?find=wren')
  await expect(page.getByRole('link', { name: 'Wren' })).toBeVisible()
  for (const view of VIEWS) {
    await open(page, build.at(view))
    await expect(page.getByTestId('tally')).toContainText('More comes off than the car weighs')
    await page.waitForLoadState('networkidle')
    await expect(page.getByText(/could not be drawn/), view).toHaveCount(0)
  }
  await open(page, build.at('driveline'))
  await expect(page.getByRole('heading', { name: 'The car weighs nothing' })).toBeVisible()
  await open(page, build.at('board'))
  await expect(page.getByText(/the car would weigh −[\d,]+ kg/).first()).toBeVisible()

  await open(page, `/?find=${build.name}`)
  await card.getByRole('link').click()
  await expect(page.getByRole('heading', { name: 'Swaps', level: 1 })).toBeVisible()
  await page.goto(build.at('swaps'))
  await page.getByRole('button', { name: 'All about Rear seats' }).click()
  const line = page.getByRole('dialog', { name: 'Rear seats' })
  await fill(line, { 'Mass of one piece': '18.5 kg' })
  await line.getByRole('button', { name: 'Save the line' }).click()
  await saved(page)
  await expect(page.getByTestId('tally')).not.toContainText('More comes off than the car weighs')
  await open(page, `/?find=${build.name}`)
  await expect(card).not.toContainText('would weigh', { timeout: 45_000 })
  await page.request.delete(`/api/v1/builds/${build.id}`)
})

test('what takes more off than the car weighs is refused wherever it is typed', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 1 })
  await open(page, build.at('swaps'))
  const before = await totals(page).textContent()
  await page.getByRole('button', { name: 'Paste or import' }).click()
  const paste = page.getByRole('dialog', { name: /Paste/ })
  await paste.getByRole('textbox').first().fill('off\tRear seats\t18500')
  await expect(paste.getByRole('button', { name: /^Add/ })).toBeVisible()
  await paste.getByRole('button', { name: /^Add/ }).click()
  await expect(paste.getByText(/the car would weigh −[\d,]+ kg/)).toBeVisible()
  expect(await totals(page).textContent()).toBe(before)
  await paste.getByRole('textbox').first().fill('off\tRear seats\t60')
  await paste.getByRole('button', { name: /^Add/ }).click()
  await expect(paste).toBeHidden()
  await saved(page)

  await page.keyboard.press('b')
  const sheet = page.getByRole('dialog').first()
  await sheet.getByLabel('Mass', { exact: true }).fill('55 kg')
  await sheet.getByRole('button', { name: 'Save the build' }).click()
  await expect(sheet.getByText(/the car would weigh −[\d,.]+ kg/)).toBeVisible()
})
