import { buildDocument, type BuildDocument } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import type { Browser, BrowserContext, Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { seriousInBothThemes, tooSmall } from './axe'
import { expect, fill, saved, test } from './bench'
import { ownServer } from './ownServer'

const PASSWORD = 'three words will do'
const PHONE = { width: 390, height: 800 }
const BENCH = { width: 1280, height: 800 }

test.describe('a phone without network', () => {
  test.describe.configure({ mode: 'serial' })
  // A server that is away is noticed, which the browser writes down.
  test.use({ expectsErrors: true })
  let own: Awaited<ReturnType<typeof ownServer>>
  let bench: Page
  test.beforeAll(async ({ browser }) => {
    own = await ownServer()
    bench = await (await browser.newContext({ baseURL: own.base, serviceWorkers: 'block' })).newPage()
    await bench.goto('/crew')
    await fill(bench, { Name: 'Rosa', 'Sign-in name': 'rosa', Password: PASSWORD })
    await bench.getByRole('button', { name: 'I own this workshop' }).click()
    await expect(bench.getByTestId('member')).toContainText('Rosa')
  })
  test.afterAll(() => own.end())

  /** A phone that Rosa is signed in on, and that has all it needs. */
  async function phone(browser: Browser): Promise<{ page: Page; context: BrowserContext }> {
    const context = await browser.newContext({
      baseURL: own.base,
      serviceWorkers: 'allow',
    })
    const page = await context.newPage()
    await page.goto('/crew?view=device')
    await fill(page, { 'Sign-in name': 'rosa', Password: PASSWORD })
    await page.getByRole('button', { name: 'Sign in' }).click()
    await expect(page.getByText('opens on this device without network')).toBeVisible({ timeout: 60_000 })
    return { page, context }
  }

  async function build(): Promise<{ id: string; swaps: string; name: string }> {
    const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 3 })
    file.build.name = `Build ${file.build.id.slice(0, 6)}`
    const { id, name } = file.build
    expect((await bench.request.post('/api/v1/builds', { data: file })).ok()).toBe(true)
    return { id, name, swaps: `/builds/${id}/stages/${file.stages[0]!.id}/swaps` }
  }

  const read = async (id: string): Promise<BuildDocument> =>
    buildDocument.parse(await (await bench.request.get(`/api/v1/builds/${id}`)).json())
  const mass = (page: Page, part: number) => page.getByRole('gridcell', { name: `Mass each of Part ${part}` })
  const type = async (page: Page, part: number, text: string) => {
    await mass(page, part).click()
    await page.keyboard.type(text)
    await page.keyboard.press('Enter')
  }
  /** Waits until this phone keeps a build. */
  async function keeps(page: Page, name: string): Promise<void> {
    await page.getByRole('button', { name: 'Who works here: Rosa' }).click()
    await page.getByRole('link', { name: 'This device' }).click()
    const own = page.getByTestId('on-device').filter({ hasText: name })
    await expect(own).toContainText('as of')
  }

  test('opens, shows what it knew with its age, keeps what is entered, and sends it once', async ({
    browser,
  }) => {
    const car = await build()
    const { page, context } = await phone(browser)
    await page.goto(car.swaps)
    await expect(mass(page, 0)).toBeVisible()
    await keeps(page, car.name)
    expect(await seriousInBothThemes(page)).toEqual([])
    await page.setViewportSize(PHONE)
    expect(await tooSmall(page)).toEqual([])
    await page.setViewportSize(BENCH)

    await context.setOffline(true)
    await page.goto(car.swaps)
    await expect(page.getByTestId('save-state')).toHaveText('The workshop can’t be reached')
    await expect(page.getByTestId('as-of')).toContainText(/as of \d\d:\d\d, (just now|\d+ min ago)/)
    await type(page, 0, '2.5')
    await type(page, 1, '3.5')
    await expect(page.getByTestId('save-state')).toHaveText('2 kept here until the workshop is back')
    // Also through a reload, with another change on top of one that hasn't been sent.
    await page.reload()
    await expect(mass(page, 0)).toHaveText('2.50')
    await type(page, 0, '2.7')
    await expect(page.getByTestId('save-state')).toHaveText('3 kept here until the workshop is back')
    await page.reload()
    await expect(mass(page, 0)).toHaveText('2.70')
    expect((await read(car.id)).lines.map((line) => line.mass)).not.toContain(2.5)

    await context.setOffline(false)
    await expect(page.getByText('Connected again: 3 changes are saved.')).toBeVisible()
    await saved(page)
    await expect(page.getByTestId('as-of')).toHaveCount(0)
    const there = await read(car.id)
    expect(there.lines.slice(0, 2).map((line) => [line.mass, line.version])).toEqual([
      [2.7, 3],
      [3.5, 2],
    ])
    await context.close()
  })
})
