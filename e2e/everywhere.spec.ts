import type { Page } from '@playwright/test'
import { seriousInBothThemes, tooSmall } from './axe'
import { demoAt, expect, freshBuild, open, saved, test } from './bench'

const ROOMS = ['board', 'swaps', 'scales', 'dyno'] as const

/** Views of a room beside its first, with the build and stage that show them in full. */
const VIEWS = [
  ['Nightjar', 5, 'swaps?view=forecast'],
  ['Nightjar', 3, 'swaps?view=kilos'],
  ['Nightjar', 3, 'swaps?view=parts'],
  ['Nightjar', 3, 'swaps?view=bench'],
  ['Wren', 3, 'scales?view=perches'],
  ['Wren', 3, 'scales?view=ballast'],
  ['Nightjar', 2, 'scales?view=height'],
  ['Nightjar', 1, 'scales'],
  ['Nightjar', 1, 'scales?view=instruments'],
  ['Nightjar', 3, 'dyno'],
  ['Wren', 2, 'dyno?view=compare'],
  ['Wren', 2, 'dyno?view=worth'],
  ['Nightjar', 3, 'dyno?view=fuel'],
  ['Nightjar', 3, 'dyno?view=air'],
  ['Nightjar', 3, 'dyno?view=cooling'],
  ['Nightjar', 3, 'dyno?view=electrics'],
  ['Ember', 2, 'dyno?view=options'],
  ['Ember', 2, 'driveline'],
  ['Ember', 2, 'driveline?view=drift'],
  ['Ember', 2, 'driveline?view=choices'],
  ['Ember', 2, 'driveline?view=links'],
  ['Nightjar', 4, 'aero'],
  ['Nightjar', 4, 'aero?view=trim'],
  ['Nightjar', 4, 'aero?view=holds'],
  ['Nightjar', 4, 'aero?view=rolled'],
  ['Nightjar', 4, 'aero?view=class'],
  ['Nightjar', 4, 'board'],
  ['Nightjar', 4, 'board?view=whatif'],
  ['Ember', 1, 'proof'],
  ['Nightjar', 3, 'proof'],
  ['Nightjar', 3, 'proof?view=gain'],
  ['Nightjar', 3, 'proof?view=claims'],
  ['Nightjar', 3, 'proof?view=history'],
  ['Ember', 2, 'driveline?view=launch'],
  ['Ember', 2, 'driveline?view=shelf'],
  ['Ember', 2, 'driveline?view=life'],
  ['Ember', 2, 'stance?view=steering'],
  ['Ember', 2, 'stance?view=wheels'],
  ['Nightjar', 4, 'stance'],
  ['Nightjar', 4, 'stance?view=springs'],
  ['Nightjar', 4, 'stance?view=roll'],
  ['Nightjar', 4, 'stance?view=travel'],
  ['Nightjar', 4, 'stance?view=alignment'],
  ['Nightjar', 4, 'stance?view=tyres'],
  ['Nightjar', 4, 'stance?view=brakes'],
  ['Nightjar', 4, 'stance?view=geometry'],
  ['Nightjar', 4, 'course'],
  ['Nightjar', 5, 'course?view=worth'],
  ['Nightjar', 4, 'course?view=trade'],
  ['Nightjar', 4, 'course?view=courses'],
  ['Nightjar', 4, 'days'],
  ['Wren', 2, 'days?view=helped'],
  ['Nightjar', 4, 'days?view=logs'],
  ['Wren', 2, 'days?view=season'],
  ['Nightjar', 4, 'days?view=limits'],
  ['Nightjar', 4, 'shop'],
  ['Nightjar', 4, 'shop?view=date&on=2026-11-22'],
  ['Nightjar', 4, 'shop?view=today&on=2026-11-23'],
  ['Ember', 2, 'shop?view=parts'],
  ['Ember', 2, 'shop?view=money'],
  ['Ember', 2, 'shop?view=store'],
  ['Ember', 2, 'shop?view=record'],
  ['Nightjar', 4, 'shop?view=calendar'],
] as const

const fitsAPhone = async (page: Page) => {
  await page.setViewportSize({ width: 390, height: 844 })
  // Charts take their new width a frame later.
  await expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth))
    .toBe(true)
  expect(await tooSmall(page)).toEqual([])
}

test('axe finds nothing serious in the Garage, nor in its sheets, in both themes', async ({ page }) => {
  await open(page, '/?find=Nightjar')
  await expect(page.getByRole('link', { name: 'Nightjar' })).toBeVisible()
  expect(await seriousInBothThemes(page)).toEqual([])
  await page.keyboard.press('n')
  await expect(page.getByRole('dialog')).toBeVisible()
  expect(await seriousInBothThemes(page)).toEqual([])
})

for (const room of ROOMS) {
  test(`axe finds nothing serious in ${room}, nor in its form, in both themes`, async ({ page }) => {
    await open(page, '/?find=Nightjar')
    await page.getByRole('link', { name: 'Nightjar' }).click()
    await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible()
    await page.keyboard.press('g')
    await page.keyboard.press(room === 'scales' ? 'c' : room[0]!)
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(new RegExp(room, 'i'))
    expect(await seriousInBothThemes(page)).toEqual([])
    if (room === 'swaps') return
    await page.keyboard.press('n')
    await expect(page.getByRole('dialog')).toBeVisible()
    expect(await seriousInBothThemes(page)).toEqual([])
  })
}

for (const [name, stage, view] of VIEWS) {
  test(`axe finds nothing serious in ${view} of ${name}, light and dark, and it fits a phone`, async ({
    page,
  }) => {
    await open(page, await demoAt(page, name, stage, view))
    await expect(page.locator('main').locator('section, form, figure').first()).toBeVisible()
    expect(await seriousInBothThemes(page)).toEqual([])
    await fitsAPhone(page)
  })
}

test('every room fits a phone', async ({ page }) => {
  const build = await freshBuild(page)
  for (const at of ['/', ...ROOMS.map(build.at)]) {
    await open(page, at)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await fitsAPhone(page)
  }
})

test('on a phone every room is two touches away, and sees more of itself than of what is round it', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const build = await freshBuild(page)
  await open(page, build.at('board'))
  const bar = page.getByRole('navigation', { name: 'Rooms' })
  const heading = (name: string) => page.getByRole('heading', { name, level: 1, exact: true })
  for (const [group, room] of [
    [null, 'Swaps'],
    ['Measure', 'Scales'],
    // Of the group that is open its room is named, and the others are behind it.
    ['Scales', 'Dyno'],
    ['Car', 'Driveline'],
    ['Driveline', 'Aero'],
    [null, 'Proof'],
    ['Plan', 'Board'],
    ['Board', 'Shop'],
  ] as const) {
    if (group) await bar.getByRole('button', { name: group }).click()
    await bar.getByRole('link', { name: room }).click()
    await expect(heading(room)).toBeVisible()
    await expect(bar.getByRole('link', { name: 'Driveline' })).toHaveCount(0)
    const top = (await page.getByRole('main').boundingBox())!.y
    const foot = (await bar.boundingBox())!.y
    expect(foot - top).toBeGreaterThan(844 / 2)
  }
  await bar.getByRole('button', { name: 'Car' }).click()
  await page.keyboard.press('Escape')
  await expect(bar.getByRole('link', { name: 'Aero' })).toHaveCount(0)
})

test('printed from the dark theme, ink is dark, and what could be pressed on the screen is still read', async ({
  page,
}) => {
  await page.emulateMedia({ colorScheme: 'dark' })
  await open(page, await demoAt(page, 'Nightjar', 4, 'board'))
  await expect(page.getByTestId('matrix')).toBeVisible()
  await page.emulateMedia({ colorScheme: 'dark', media: 'print' })
  const ink = await page.evaluate(() => getComputedStyle(document.body).color)
  expect(ink).toBe('rgb(29, 35, 38)')
  await expect(page.getByTestId('matrix').getByRole('button').first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Set a mark' })).toBeHidden()
  // Charts draw their colours themselves: told that it is printed, they take those of the light theme at once.
  const axis = page.locator('.js-plotly-plot .xtick text').first()
  await expect(axis).toBeVisible()
  const fill = await axis.evaluate((text) => {
    window.dispatchEvent(new Event('beforeprint'))
    const drawn = document.querySelector('.js-plotly-plot .xtick text') ?? text
    return getComputedStyle(drawn).fill
  })
  expect(fill).toBe('rgb(88, 96, 88)')
})

test('the working of a figure opens and closes by keyboard and by its own button', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 2 })
  await open(page, build.at('swaps'))
  const button = page.getByRole('button', { name: /^Show working/ }).first()
  const working = page.getByRole('dialog', { name: /^Working/ })
  await button.focus()
  await page.keyboard.press('Enter')
  await expect(working).toContainText('=')
  await page.keyboard.press('Escape')
  await expect(working).toBeHidden()
  await expect(button).toBeFocused()
  await button.click()
  await expect(working).toBeVisible()
  await button.click()
  await expect(working).toBeHidden()
})

test('a figure says why its ± is what it is, and what settling each source would leave', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 3 })
  await open(page, build.at('swaps'))
  await page.getByRole('button', { name: 'Show working: Mass by the books' }).click()
  const why = page.getByTestId('why-this')
  await expect(why).toContainText('Why this ±')
  await expect(why.getByRole('row', { name: /^the car as bought \d+ % ±\d/ })).toBeVisible()
})

test('a ledger longer than the window is printed whole', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 4, linesEach: 20 })
  await open(page, build.at('swaps'))
  const rows = page.getByRole('gridcell', { name: /^Part of/ })
  await expect(rows.first()).toBeVisible()
  expect(await rows.count()).toBeLessThan(80)
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')))
  await expect(rows).toHaveCount(80)
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')))
  await expect.poll(() => rows.count()).toBeLessThan(80)
})

test('palette, keys sheet, units and theme by keyboard', async ({ page }) => {
  const build = await freshBuild(page)
  await open(page, build.at('board'))
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Go to Swaps')
  await page.keyboard.press('Escape')
  await page.keyboard.press('/')
  await expect(page.getByRole('combobox', { name: 'Find or do' })).toBeFocused()
  await page.keyboard.type('lights off')
  await page.keyboard.press('Enter')
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.keyboard.press('u')
  await page.getByRole('dialog', { name: 'Units' }).getByRole('button', { name: 'All US' }).click()
  await expect(page.getByRole('button', { name: /Units: lb, hp, in/ })).toBeVisible()
  await expect(page.getByTestId('tally')).toContainText('lb')
  await saved(page)
})

test.describe('a build that is not there', () => {
  test.use({ expectsErrors: true })
  test('says so and leads back', async ({ page }) => {
    const missing = '/builds/00000000-0000-4000-8000-000000000000/stages/x/board'
    await page.goto(missing)
    await expect(page.getByRole('heading', { name: 'Not here' })).toBeVisible()
    await page.getByRole('link', { name: 'To the Garage' }).click()
    await expect(page.getByRole('heading', { name: 'Garage' })).toBeVisible()
  })
})
