import { buildDocument } from '@bold-ballast/contract'
import { sampleBuild, sampleOuting, sampleSetup } from '@bold-ballast/contract/sampleBuild'
import type { Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seriousInBothThemes } from './axe'
import { expect, fileOffered, fill, saved, test } from './bench'
import { ownServer } from './ownServer'

/** Takes a file that a page offers, to be handed to another. */
const fileFrom = async (page: Page, click: () => Promise<void>) =>
  (await (await fileOffered(page, click)).path())!

/** Chooses a file in the Garage. */
async function bringIn(page: Page, name: string, path: string): Promise<void> {
  await page.goto('/')
  const buffer = await readFile(path)
  await page
    .getByLabel('Build or workshop file')
    .setInputFiles({ name, mimeType: 'application/json', buffer })
}
const mass = (page: Page, part: number) => page.getByRole('gridcell', { name: `Mass each of Part ${part}` })
async function weigh(page: Page, part: number, typed: string): Promise<void> {
  await mass(page, part).click()
  await page.keyboard.type(typed)
  await page.keyboard.press('Enter')
  await saved(page)
}

test.describe('a build at the track', () => {
  let laptop: Awaited<ReturnType<typeof ownServer>>
  test.beforeAll(async () => {
    laptop = await ownServer()
  })
  test.afterAll(() => laptop.end())

  test('is taken along on a laptop, worked on in both places, brought home and back', async ({
    page,
    browser,
  }) => {
    const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 4 })
    Object.assign(file.build, { name: `Away ${file.build.id.slice(0, 6)}` })
    await page.request.post('/api/v1/builds', { data: file })
    const swaps = `/builds/${file.build.id}/stages/${file.stages[0]!.id}/swaps`
    await page.goto(swaps)
    await expect(mass(page, 0)).toBeVisible()
    const exported = async (from: Page) =>
      fileFrom(from, async () => {
        await from.keyboard.press('b')
        await from.getByRole('button', { name: 'Export as a file' }).click()
      })
    const taken = await exported(page)

    // On the laptop, which has no other records.
    const away = await (await browser.newContext({ baseURL: laptop.base })).newPage()
    await bringIn(away, 'taken.build.json', taken)
    await away.getByRole('button', { name: 'Take it along' }).click()
    await expect(away.getByRole('heading', { name: 'Board' })).toBeVisible()
    await away.goto(swaps)
    await weigh(away, 0, '1.5')
    await weigh(away, 1, '2.5')
    await away.getByRole('button', { name: 'All about Part 3' }).click()
    await away.getByRole('dialog').getByLabel('Photograph').setInputFiles('docs/screenshots/phone.png')
    await expect(away.getByRole('img', { name: 'Part 3, photographed' })).toBeVisible()
    await saved(away)
    // At home somebody weighs another part, and one of the same.
    await weigh(page, 1, '9.5')
    await weigh(page, 2, '3.5')

    await away.goto(swaps)
    await expect(mass(away, 0)).toHaveText('1.50')
    await away.keyboard.press('b')
    const brought = await fileFrom(away, () => away.getByRole('button', { name: 'Bring it home' }).click())
    await bringIn(page, 'brought.home.json', brought)
    const panel = page.getByTestId('bring-home')
    await expect(panel.getByTestId('changes')).toContainText('Part 0')
    await expect(panel.getByTestId('home-conflicts')).toContainText('Part 1')
    await expect(panel.getByRole('button', { name: 'Choose above first' })).toBeDisabled()
    expect(await seriousInBothThemes(page)).toEqual([])
    await panel.getByRole('radio', { name: 'Take what was brought' }).click()
    await panel.getByRole('button', { name: 'Take it over' }).click()
    await expect(panel.getByRole('status')).toContainText('brought over. One photograph came over.')
    await page.goto(swaps)
    for (const [part, is] of [
      [0, '1.50'],
      [1, '2.50'],
      [2, '3.50'],
    ] as const)
      await expect(mass(page, part)).toHaveText(is)

    // And back to the laptop, which has it like home then.
    await expect(mass(page, 3)).toBeVisible()
    const back = await exported(page)
    await bringIn(away, 'back.build.json', back)
    const laptopPanel = away.getByTestId('bring-home')
    await expect(laptopPanel.getByTestId('changes')).toContainText('Part 2')
    await laptopPanel.getByRole('button', { name: 'Take it over' }).click()
    await expect(laptopPanel.getByRole('status')).toContainText('brought over')
    await away.goto(swaps)
    await expect(mass(away, 2)).toHaveText('3.50')
  })

  test('a sheet that was driven on stays as it was driven, whichever side drove', async ({
    page,
    browser,
  }) => {
    const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
    file.build.name = `Driven ${file.build.id.slice(0, 6)}`
    const stageId = file.stages[0]!.id
    const sheets = [1, 2].map((order) => sampleSetup(stageId, randomUUID(), order))
    file.setups.push(...sheets)
    await page.request.post('/api/v1/builds', { data: file })
    const address = `/api/v1/builds/${file.build.id}`
    const away = await (await browser.newContext({ baseURL: laptop.base })).newPage()
    const took = await page.request.get(`${address}/file`)
    await away.goto('/')
    await away
      .getByLabel('Build or workshop file')
      .setInputFiles({ name: 'taken.build.json', mimeType: 'application/json', buffer: await took.body() })
    await away.getByRole('button', { name: 'Take it along' }).click()
    await expect(away.getByRole('heading', { name: 'Board' })).toBeVisible()

    /** On one side a day is driven on a sheet, on the other that sheet is set otherwise. */
    const drivenAndTurned = async (drove: Page, turned: Page, sheet: (typeof sheets)[number]) => {
      const day = sampleOuting(stageId, randomUUID(), { setupId: sheet.id, name: `Day ${sheet.order}` })
      for (const [side, kind, record] of [
        [drove, 'outing', { ...day, version: 0 }],
        [turned, 'setup', { ...sheet, brakeBar: 0.5 + sheet.order / 100, version: 1 }],
      ] as const) {
        const edits = [{ op: 'put', kind, record }]
        const data = { id: randomUUID(), label: 'At the track', edits }
        expect((await side.request.post(`${address}/edits`, { data })).status()).toBe(200)
      }
    }
    await drivenAndTurned(page, away, sheets[0]!)
    await drivenAndTurned(away, page, sheets[1]!)
    await away.reload()
    await expect(away.getByRole('heading', { name: 'Board' })).toBeVisible()
    await away.keyboard.press('b')
    const brought = await fileFrom(away, () => away.getByRole('button', { name: 'Bring it home' }).click())
    await bringIn(page, 'brought.home.json', brought)
    const panel = page.getByTestId('bring-home')
    const [first, second] = [1, 2].map((n) =>
      panel.getByRole('listitem').filter({ hasText: `The set-up sheet ${n}` }),
    )
    await expect(first!).toContainText('What is here stays.')
    await expect(first!.getByRole('radio')).toHaveCount(0)
    await expect(panel.getByRole('button', { name: 'Choose above first' })).toBeDisabled()
    await second!.getByRole('radio', { name: 'Take what was brought' }).click()
    await panel.getByRole('button', { name: 'Take it over' }).click()
    await expect(panel.getByRole('status')).toContainText('brought over')
    const is = buildDocument.parse(await (await page.request.get(address)).json())
    expect(is.setups.map((s) => s.brakeBar)).toEqual([null, null])
    expect(is.outings.map((o) => o.name).sort()).toEqual(['Day 1', 'Day 2'])
  })

  test('is taken along over the network, with its photographs, and brought home', async ({ browser }) => {
    const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-shop-'))
    const shop = await ownServer({
      GARAGE_FOLDER: folder,
      GARAGE_ADDRESSES: '127.0.0.1',
      GARAGE_PORT: '0',
    })
    const context = await browser.newContext({ baseURL: shop.base })
    await context.grantPermissions(['clipboard-read', 'clipboard-write'])
    const rosa = await context.newPage()
    await rosa.goto('/crew')
    await fill(rosa, { Name: 'Rosa', 'Sign-in name': 'rosa', Password: 'three words will do' })
    await rosa.getByRole('button', { name: 'I own this workshop' }).click()
    await rosa.getByRole('button', { name: 'Open the garage' }).click()
    await expect(rosa.getByTestId('garage-origin')).toBeVisible()
    const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 3 })
    Object.assign(file.build, { name: 'Lent' })
    await rosa.request.post('/api/v1/builds', { data: file })
    await rosa.goto('/crew?view=you')
    await rosa.getByRole('button', { name: 'Pair a phone or a laptop' }).click()
    await rosa.getByRole('button', { name: 'Copy the link' }).click()
    const link = await rosa.evaluate(() => navigator.clipboard.readText())

    const away = await (await browser.newContext({ baseURL: laptop.base })).newPage()
    await away.goto('/')
    await away.getByRole('button', { name: 'Pair with a workshop' }).click()
    const sheet = away.getByRole('dialog')
    await fill(sheet, { Link: link.replace('https:', 'http:') })
    await sheet.getByRole('button', { name: 'Pair', exact: true }).click()
    await expect(sheet.getByRole('alert')).toContainText('Paste the whole link')
    await fill(sheet, { Link: link })
    await sheet.getByRole('button', { name: 'Pair', exact: true }).click()
    await expect(rosa.getByTestId('paired')).toContainText('laptop')
    await away.getByRole('button', { name: 'Its builds' }).click()
    expect(await seriousInBothThemes(away)).toEqual([])
    await away.getByRole('button', { name: 'Take along Lent' }).click()
    await away.getByRole('link', { name: 'Lent' }).first().click()
    await expect(away.getByRole('heading', { name: 'Board' })).toBeVisible()
    const swaps = `/builds/${file.build.id}/stages/${file.stages[0]!.id}/swaps`
    await away.goto(swaps)
    await weigh(away, 0, '1.5')
    await away.getByRole('button', { name: 'All about Part 1' }).click()
    await away.getByRole('dialog').getByLabel('Photograph').setInputFiles('docs/screenshots/phone.png')
    await expect(away.getByRole('img', { name: 'Part 1, photographed' })).toBeVisible()
    await saved(away)
    await rosa.keyboard.press('Escape')
    await rosa.goto(swaps)
    await weigh(rosa, 0, '9.5')
    await weigh(rosa, 2, '3.5')

    await away.goto('/')
    await away.getByRole('button', { name: 'Its builds' }).click()
    await away.getByRole('button', { name: 'Bring home Lent' }).click()
    const panel = away.getByTestId('bring-home')
    await expect(panel.getByTestId('home-conflicts')).toContainText('Part 0')
    await panel.getByRole('radio', { name: 'Take what is here' }).click()
    await panel.getByRole('button', { name: 'Take it over' }).click()
    await expect(panel.getByRole('status')).toContainText('One photograph came over.')
    await expect(mass(rosa, 0)).toHaveText('1.50')
    await rosa.getByRole('button', { name: 'All about Part 1' }).click()
    await expect(rosa.getByRole('img', { name: 'Part 1, photographed' })).toBeVisible()

    await away.getByRole('button', { name: 'Fetch what is new of Lent' }).click()
    await expect(panel.getByTestId('changes')).toContainText('Part 2')
    await panel.getByRole('button', { name: 'Take it over' }).click()
    await expect(panel.getByRole('status')).toContainText('brought over')
    // The workshop can be forgotten; what came along stays.
    await away.getByRole('button', { name: /^Forget/ }).click()
    await expect(away.getByTestId('other-workshop')).toHaveCount(0)
    await away.goto(swaps)
    await expect(mass(away, 2)).toHaveText('3.50')
    await shop.end()
    rmSync(folder, { recursive: true, force: true })
  })
})
