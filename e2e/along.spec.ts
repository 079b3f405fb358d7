import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import type { Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import { seriousInBothThemes } from './axe'
import { expect, saved, test } from './bench'
import { ownServer } from './ownServer'

/** Takes a file that a page offers, to be handed to another. */
async function fileFrom(page: Page, click: () => Promise<void>) {
  const [download] = await Promise.all([page.waitForEvent('download'), click()])
  return (await download.path())!
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
    await away.goto('/')
    await away.getByLabel('Build or workshop file').setInputFiles({
      name: 'taken.build.json',
      mimeType: 'application/json',
      buffer: await readFile(taken),
    })
    await away.getByRole('button', { name: 'Take it along' }).click()
    await expect(away.getByRole('heading', { name: 'Board' })).toBeVisible()
    await away.goto(swaps)
    await weigh(away, 0, '1.5')
    await weigh(away, 1, '2.5')
    // At home somebody weighs another part, and one of the same.
    await weigh(page, 1, '9.5')
    await weigh(page, 2, '3.5')

    await away.goto(swaps)
    await expect(mass(away, 0)).toHaveText('1.50')
    await away.keyboard.press('b')
    const brought = await fileFrom(away, () => away.getByRole('button', { name: 'Bring it home' }).click())
    await page.goto('/')
    await page.getByLabel('Build or workshop file').setInputFiles({
      name: 'brought.home.json',
      mimeType: 'application/json',
      buffer: await readFile(brought),
    })
    const panel = page.getByTestId('bring-home')
    await expect(panel.getByTestId('changes')).toContainText('Part 0')
    await expect(panel.getByTestId('home-conflicts')).toContainText('Part 1')
    await expect(panel.getByRole('button', { name: 'Choose above first' })).toBeDisabled()
    expect(await seriousInBothThemes(page)).toEqual([])
    await panel.getByRole('radio', { name: 'Take what was brought' }).click()
    await panel.getByRole('button', { name: 'Take it over' }).click()
    await expect(panel.getByRole('status')).toContainText('brought over')
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
    await away.goto('/')
    await away.getByLabel('Build or workshop file').setInputFiles({
      name: 'back.build.json',
      mimeType: 'application/json',
      buffer: await readFile(back),
    })
    const laptopPanel = away.getByTestId('bring-home')
    await expect(laptopPanel.getByTestId('changes')).toContainText('Part 2')
    await laptopPanel.getByRole('button', { name: 'Take it over' }).click()
    await expect(laptopPanel.getByRole('status')).toContainText('brought over')
    await away.goto(swaps)
    await expect(mass(away, 2)).toHaveText('3.50')
  })
})
