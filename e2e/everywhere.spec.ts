import type { Page } from '@playwright/test'
import AxeBuilder from '@axe-core/playwright'
import { expect, freshBuild, open, saved, test } from './bench'

const ROOMS = ['board', 'swaps', 'scales', 'dyno'] as const

for (const theme of ['light', 'dark'] as const) {
  test.describe(`${theme} theme`, () => {
    test.use({ colorScheme: theme })

    const serious = async (page: Page) => {
      const { violations } = await new AxeBuilder({ page })
        .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'])
        .analyze()
      return violations
        .filter((v) => v.impact === 'serious' || v.impact === 'critical')
        .map(
          (v) =>
            `${v.id}: ${v.nodes
              .map((n) => n.target.join(' '))
              .slice(0, 3)
              .join(' | ')}`,
        )
    }

    test('axe finds nothing serious in the Garage, nor in its sheets', async ({ page }) => {
      await open(page, '/')
      await expect(page.getByRole('link', { name: 'Nightjar' })).toBeVisible()
      expect(await serious(page)).toEqual([])
      await page.keyboard.press('n')
      await expect(page.getByRole('dialog')).toBeVisible()
      expect(await serious(page)).toEqual([])
    })

    for (const room of ROOMS) {
      test(`axe finds nothing serious in ${room}, nor in its form`, async ({ page }) => {
        await open(page, '/')
        await page.getByRole('link', { name: 'Nightjar' }).click()
        await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible()
        await page.keyboard.press('g')
        await page.keyboard.press(room === 'scales' ? 'c' : room[0]!)
        await expect(page.getByRole('heading', { level: 1 })).toHaveText(new RegExp(room, 'i'))
        expect(await serious(page)).toEqual([])
        if (room === 'swaps') return
        await page.keyboard.press('n')
        await expect(page.getByRole('dialog')).toBeVisible()
        expect(await serious(page)).toEqual([])
      })
    }
  })
}

test('every room fits a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const build = await freshBuild(page)
  for (const at of ['/', ...ROOMS.map(build.at)]) {
    await open(page, at)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth), at).toBe(
      true,
    )
  }
})

test('palette, keys sheet, units and theme by keyboard', async ({ page }) => {
  const build = await freshBuild(page)
  await open(page, build.at('board'))
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Go to Swaps')
  await page.keyboard.press('Escape')
  await page.keyboard.press('/')
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
