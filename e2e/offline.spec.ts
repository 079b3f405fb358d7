import { buildDocument, type BuildDocument } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import type { Browser, BrowserContext, Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { seriousInBothThemes, tooSmall } from './axe'
import { expect, fill, saved, test } from './bench'
import { ownServer } from './ownServer'

const PASSWORD = 'three words will do'
const PHONE = { width: 390, height: 800 }
const BENCH = { width: 1280, height: 800 }

/** How many answers of the server the device keeps. */
const answersOnDevice = () =>
  new Promise<number>((done, fail) => {
    const opening = indexedDB.open('bold-ballast')
    opening.onerror = () => fail(new Error('The device opens no storage.'))
    opening.onsuccess = () => {
      const counting = opening.result.transaction('answers').objectStore('answers').count()
      counting.onsuccess = () => {
        opening.result.close()
        done(counting.result)
      }
    }
  })

test.describe('a phone without network', () => {
  test.describe.configure({ mode: 'serial' })
  // A server that is away is noticed, which the browser writes down.
  test.use({ expectsErrors: true })
  let own: Awaited<ReturnType<typeof ownServer>>
  let bench: Page
  /** A web client of its own, that can become another version. */
  let web: string
  test.beforeAll(async ({ browser }) => {
    web = mkdtempSync(join(tmpdir(), 'bold-ballast-web-'))
    cpSync(resolve(import.meta.dirname, '../web/dist'), web, { recursive: true })
    own = await ownServer({ WEB_ROOT: web })
    bench = await (await browser.newContext({ baseURL: own.base, serviceWorkers: 'block' })).newPage()
    await bench.goto('/crew')
    await fill(bench, { Name: 'Rosa', 'Sign-in name': 'rosa', Password: PASSWORD })
    await bench.getByRole('button', { name: 'I own this workshop' }).click()
    await expect(bench.getByTestId('member')).toContainText('Rosa')
  })
  test.afterAll(async () => {
    await own.end()
    rmSync(web, { recursive: true, force: true })
  })

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

  /** The same, with a build open that it keeps. */
  async function phoneWith(browser: Browser) {
    const car = await build()
    const { page, context } = await phone(browser)
    await page.goto(car.swaps)
    await expect(mass(page, 0)).toBeVisible()
    await keeps(page, car.name)
    return { car, page, context }
  }

  test('opens, shows what it knew with its age, keeps what is entered, and sends it once', async ({
    browser,
  }) => {
    const { car, page, context } = await phoneWith(browser)
    // What was forgotten here can be had again.
    const listed = page.getByTestId('on-device').filter({ hasText: car.name })
    await listed.getByRole('button', { name: 'Forget' }).click()
    await expect(listed).toContainText('not here')
    await listed.getByRole('button', { name: 'Keep' }).click()
    await expect(listed).toContainText('as of')
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

  test('asks whose is to stand where somebody else changed the same meanwhile', async ({ browser }) => {
    const { car, page, context } = await phoneWith(browser)
    await context.setOffline(true)
    await page.goto(car.swaps)
    await type(page, 0, '2.5')
    await type(page, 1, '3.5')
    const theirs = (await read(car.id)).lines[0]!
    const batch = {
      id: randomUUID(),
      label: 'At the bench',
      author: '',
      edits: [{ op: 'put', kind: 'line', record: { ...theirs, mass: 9 } }],
    }
    expect((await bench.request.post(`/api/v1/builds/${car.id}/edits`, { data: batch })).ok()).toBe(true)

    await context.setOffline(false)
    const panel = page.getByRole('alertdialog', { name: 'Changes that were not taken' })
    await expect(panel).toContainText('Part 0')
    await expect(page.getByText('Connected again: one change is saved. One was not taken')).toBeVisible()
    await panel.getByRole('button', { name: 'Keep mine' }).click()
    await saved(page)
    expect((await read(car.id)).lines.slice(0, 2).map((line) => line.mass)).toEqual([2.5, 3.5])
    await context.close()
  })

  test('says what is to be done today, and takes hours and pictures without network', async ({ browser }) => {
    const car = await build()
    const { page, context } = await phone(browser)
    const shop = car.swaps.replace('/swaps', '/shop')
    await page.goto(shop)
    await page.getByLabel('A job in one line').fill('hoses out 1h')
    await page.getByRole('button', { name: 'Take on', exact: true }).click()
    await saved(page)
    await page.goto(`${shop}?view=today`)
    const list = page.getByRole('list', { name: /^Today for|^Could be begun/ })
    await expect(list.first()).toContainText('Hoses out')
    await keeps(page, car.name)

    await context.setOffline(true)
    await page.goto(`${shop}?view=today`)
    await expect(list.first()).toContainText('Hoses out')
    await page.getByRole('button', { name: 'Change Hoses out' }).first().click()
    const sheet = page.getByRole('dialog', { name: 'Change the job' })
    await sheet.getByLabel('Picture of the job').setInputFiles({
      name: 'hoses.png',
      mimeType: 'image/png',
      buffer: await page.screenshot(),
    })
    await expect(sheet.getByRole('img', { name: /^Hoses out, / })).toBeVisible()
    await page.keyboard.press('Escape')
    await page
      .getByRole('checkbox', { name: /^Hoses out/ })
      .first()
      .click()
    await expect(page.getByTestId('save-state')).toContainText('kept here until the workshop is back')

    await context.setOffline(false)
    await expect(page.getByText('Connected again: 2 changes and one picture are saved.')).toBeVisible({
      timeout: 30_000,
    })
    const there = await read(car.id)
    expect(there.jobs[0]?.state).toBe('done')
    const picture = there.pictures[0]!
    const photo = await bench.request.get(`/api/v1/builds/${car.id}/pictures/${picture.id}/photo`)
    expect(photo.headers()['content-type']).toBe('image/jpeg')
    await context.close()
  })

  test('takes photographs and signs without network, and both arrive', async ({ browser }) => {
    const car = await build()
    const { page, context } = await phone(browser)
    await page.goto(car.swaps)
    await page.getByRole('button', { name: 'All about Part 1' }).click()
    const sheet = page.getByRole('dialog')
    await expect(sheet.getByLabel('Photograph')).toBeVisible()
    await page.keyboard.press('Escape')
    await keeps(page, car.name)

    // The server is gone altogether, and the page is loaded while it is.
    await own.leave()
    await page.goto(car.swaps)
    await page.getByRole('button', { name: 'All about Part 1' }).click()
    await sheet.getByLabel('Photograph').setInputFiles({
      name: 'part.png',
      mimeType: 'image/png',
      buffer: await page.screenshot(),
    })
    await expect(sheet.getByRole('img', { name: 'Part 1, photographed' })).toBeVisible()
    await page.keyboard.press('Escape')
    await page.goto(car.swaps.replace('/swaps', '/proof'))
    await page.getByRole('button', { name: 'Freeze this stage' }).click()
    const freeze = page.getByRole('dialog', { name: /^Freeze / })
    await freeze.getByRole('button', { name: 'Sign and freeze' }).click()
    await expect(page.getByTestId('save-state')).toHaveText('2 kept here until the workshop is back')
    await page.reload()
    await expect(page.getByTestId('save-state')).toHaveText('2 kept here until the workshop is back')

    await own.comeBack()
    await expect(page.getByText('Connected again: one change and one photograph are saved.')).toBeVisible({
      timeout: 30_000,
    })
    const there = await read(car.id)
    expect(there.seals.map(({ author }) => author)).toEqual(['Rosa'])
    const photo = await bench.request.get(`/api/v1/builds/${car.id}/lines/${there.lines[1]!.id}/photo`)
    expect(photo.ok()).toBe(true)

    // Once looked at, the photograph is there without network too.
    await page.goto(car.swaps)
    await page.getByRole('button', { name: 'All about Part 1' }).click()
    await expect(sheet.getByRole('img', { name: 'Part 1, photographed' })).toBeVisible()
    await context.setOffline(true)
    await page.reload()
    await page.getByRole('button', { name: 'All about Part 1' }).click()
    await expect(sheet.getByRole('img', { name: 'Part 1, photographed' })).toBeVisible()
    await context.close()
  })

  test('waits for no server that lets it wait, and keeps nothing of whoever signs out', async ({
    browser,
  }) => {
    const { car, page, context } = await phoneWith(browser)
    // Held, it takes connections and says nothing: as an address of the garage does at the track.
    own.child().kill('SIGSTOP')
    await page.goto(car.swaps)
    await expect(mass(page, 0)).toBeVisible()
    await expect(page.getByTestId('as-of')).toBeVisible()
    await type(page, 0, '6.5')
    await expect(page.getByTestId('save-state')).toHaveText('1 kept here until the workshop is back')
    own.child().kill('SIGCONT')
    await saved(page)
    expect((await read(car.id)).lines[0]!.mass).toBe(6.5)

    await page.getByRole('button', { name: 'Who works here: Rosa' }).click()
    await page.getByRole('button', { name: 'Sign out', exact: true }).click()
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    await expect.poll(() => page.evaluate(answersOnDevice)).toBe(0)
    await context.setOffline(true)
    await page.goto(car.swaps)
    await expect(page.getByText('The server doesn’t answer')).toBeVisible()
    await expect(page.getByText(car.name)).toHaveCount(0)
    await context.close()
  })

  test('a newer version waits until it is asked for, and throws away nothing that waits', async ({
    browser,
  }) => {
    // All rooms are fetched twice, by a worker that shares the machine with the other journeys.
    test.slow()
    const car = await build()
    const { page, context } = await phone(browser)
    await page.goto(car.swaps)
    await expect(mass(page, 0)).toBeVisible()
    await page.route('**/edits', (route) => route.abort())
    await type(page, 0, '7.5')
    await expect(page.getByTestId('save-state')).toContainText('1 ')
    appendFileSync(join(web, 'sw.js'), '\n// A newer version.\n')
    await page.reload()
    await expect(page.getByText('There is a newer version of this page.')).toBeVisible({ timeout: 60_000 })
    await expect(mass(page, 0)).toHaveText('7.50')
    await page.getByRole('button', { name: 'Load it' }).click()
    await expect(page.getByText('There is a newer version of this page.')).toHaveCount(0)
    await expect(mass(page, 0)).toHaveText('7.50')
    // It is tried again by itself as well: pressed later, the button could be gone.
    await page.getByRole('button', { name: 'Try now' }).click()
    await page.unroute('**/edits')
    await saved(page)
    expect((await read(car.id)).lines[0]!.mass).toBe(7.5)
    await context.close()
  })
})
