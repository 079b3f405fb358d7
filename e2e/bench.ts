import {
  claimList,
  historyDetail,
  historyPage,
  reckoning,
  recordPlace,
  sharedAnswer,
  workshopImported,
  buildDocument,
  buildList,
  buildSummary,
  columnsAnswer,
  editResult,
  courseList,
  workLibrary,
  gearsetList,
  instrumentList,
  logColumnsList,
  partsList,
  problem,
  runLogList,
  workshopInfo,
  type BuildFile,
} from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { test as base, expect, type Download, type Locator, type Page, type Response } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import type { z } from 'zod'

const SCHEMAS: readonly (readonly [RegExp, z.ZodType])[] = [
  [/\/workshop$/, workshopInfo],
  [/\/parts$/, partsList],
  [/\/dyno-columns$/, columnsAnswer],
  [/\/log-columns$/, logColumnsList],
  [/\/logs$/, runLogList],
  [/\/gearsets$/, gearsetList],
  [/\/courses$/, courseList],
  [/\/work$/, workLibrary],
  [/\/instruments$/, instrumentList],
  [/\/edits$/, editResult],
  [/\/history$/, historyPage],
  [/\/history\/[^/]+$/, historyDetail],
  [/\/at$/, buildDocument],
  [/\/claims$/, claimList],
  [/\/reckoning$/, reckoning],
  [/\/shared\/[^/]+$/, sharedAnswer],
  [/\/records\/[^/]+$/, recordPlace],
  [/\/workshop\/file$/, workshopImported],
  [/\/builds\/[^/]+$/, buildDocument],
]

/** Every response that the client gets is checked against the contract. */
async function check(response: Response): Promise<void> {
  const { pathname } = new URL(response.url())
  if (!pathname.startsWith('/api/v1/') || response.status() === 204) return
  const body: unknown = await response.json().catch(() => null)
  if (body === null) return
  const isList = pathname.endsWith('/builds')
  const schema =
    response.status() >= 400
      ? problem
      : isList
        ? response.status() === 201
          ? buildSummary
          : buildList
        : SCHEMAS.find(([at]) => at.test(pathname))?.[1]
  schema?.parse(body)
}

/** A page whose errors and responses are watched. */
export const test = base.extend<{ expectsErrors: boolean }>({
  expectsErrors: [false, { option: true }],
  page: async ({ page, expectsErrors }, use) => {
    const errors: string[] = []
    page.on('pageerror', (error) => errors.push(error.message))
    page.on(
      'console',
      (message) => message.type() === 'error' && !expectsErrors && errors.push(message.text()),
    )
    page.on(
      'response',
      (response) =>
        void check(response).catch((error: Error) => errors.push(`${response.url()}: ${error.message}`)),
    )
    await use(page)
    expect(errors).toEqual([])
  },
})
export { expect }

/** Adds a build over the API and gives its address, so that tests don't share one. */
export async function freshBuild(
  page: Page,
  size?: { swaps: number; linesEach: number },
): Promise<{ id: string; stageId: string; at: (room: string) => string }> {
  return putBuild(page, sampleBuild(randomUUID, size))
}

/** Brings a build in under a name of its own. */
export async function putBuild(
  page: Page,
  file: BuildFile,
): Promise<{ id: string; stageId: string; at: (room: string) => string }> {
  file.build.name = `Test ${file.build.id.slice(0, 6)}`
  const response = await page.request.post('/api/v1/builds', { data: file })
  const { id, stages } = buildSummary.parse(await response.json())
  const stageId = stages[0]!.id
  return { id, stageId, at: (room) => `/builds/${id}/stages/${stageId}/${room}` }
}

/** Goes to a room and waits until its keys work; the first one that a browser opens has everything to fetch and to read. */
export async function open(page: Page, at: string): Promise<void> {
  await page.goto(at)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible({ timeout: 30_000 })
}

/** A page that hears of nobody else, so that its network falls silent once everything is there. */
export const aloneIn = (page: Page): Promise<unknown> =>
  page.addInitScript(() => {
    class Deaf extends EventTarget {
      close() {
        // Nothing was opened.
      }
    }
    Object.assign(window, { SharedWorker: undefined, EventSource: Deaf })
  })

/** Types into labelled fields, or picks where the field is a list. */
export async function fill(sheet: Page | Locator, fields: Record<string, string>): Promise<void> {
  for (const [label, value] of Object.entries(fields)) {
    const field = sheet.getByLabel(label, { exact: true })
    const isList = await field.evaluate((node) => node.tagName === 'SELECT')
    if (isList) await field.selectOption(value)
    else await field.fill(value)
  }
}

const ROOM_KEYS = {
  Board: 'b',
  Swaps: 's',
  Scales: 'c',
  Dyno: 'd',
  Driveline: 'l',
  Aero: 'a',
  Stance: 't',
  Course: 'o',
  Proof: 'p',
}

/** Goes to a room by its keys, and waits until it is there: keys pressed before that belong to the room left. */
export async function goTo(page: Page, room: keyof typeof ROOM_KEYS): Promise<void> {
  await page.keyboard.press('g')
  await page.keyboard.press(ROOM_KEYS[room])
  await expect(page.getByRole('heading', { name: room, level: 1, exact: true })).toBeVisible()
}

export const saved = (page: Page) =>
  expect(page.getByTestId('save-state')).toHaveText('Saved', { timeout: 20_000 })
/** So many changes wait. A page that has lost the server says so in other words, and a slow machine loses it sooner. */
export const waiting = (page: Page, count: number) =>
  expect(page.getByTestId('save-state')).toHaveText(
    new RegExp(`^${count} (not saved yet, trying again|kept here until the workshop is back)$`),
  )
export const totals = (page: Page) => page.getByTestId('stage-totals')

/** Opens all that a form keeps behind ticks, so that its fields are tried too. Gives how many number fields there are. */
export async function tickAll(sheet: Locator): Promise<number> {
  const fields = sheet.locator('input[inputmode=decimal]')
  await expect(fields.first()).toBeVisible()
  const open = sheet.locator('input[type=checkbox]:not(:checked)')
  // A tick may bring others with it.
  for (let left = 20; left > 0 && (await open.count()) > 0; left -= 1) await open.first().check()
  await expect(open).toHaveCount(0)
  return fields.count()
}

const NONSENSE = ['blue', '-7777777', '1e99', '12 furlongs', '∞']

/** Puts a text into every number field of a form, as `fill` does with one; into those, too, that it brings. */
const fillNumbers = (sheet: Locator, text: string) =>
  sheet.evaluate(async (form, typed) => {
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set
    const filled = new Set<HTMLInputElement>()
    for (;;) {
      const fields = [...form.querySelectorAll<HTMLInputElement>('input[inputmode=decimal]')]
      const next = fields.find((field) => !filled.has(field) && !field.disabled && !field.readOnly)
      if (!next) return
      filled.add(next)
      next.focus()
      set?.call(next, typed)
      next.dispatchEvent(new Event('input', { bubbles: true }))
      // What the page makes of it is there before the next is filled.
      await new Promise((done) => setTimeout(done))
    }
  }, text)

/** Types nonsense into every number field of a form: each is named plainly, stays there, and nothing is saved. */
export async function refusesNonsense(sheet: Locator, save: string): Promise<void> {
  const fields = sheet.locator('input[inputmode=decimal]')
  // A sheet is fetched when it is opened: before that it has no fields, and none would be refused.
  await expect(fields.first()).toBeVisible()
  for (const nonsense of NONSENSE) {
    await fillNumbers(sheet, nonsense)
    await sheet.getByRole('button', { name: save, exact: true }).click()
    await expect(sheet.getByRole('alert').first()).toBeVisible()
    for (const words of await sheet.getByRole('alert').allTextContents())
      expect(words).not.toMatch(/invalid|expected|NaN|undefined|null|received/i)
    if (nonsense === 'blue' || nonsense === '∞') await expect(fields.first()).toHaveValue(nonsense)
  }
  await expect(sheet).toBeVisible()
}

/** The file that a page offers once something is pressed. Where it offers none, what it says instead is the reason. */
export async function fileOffered(page: Page, press: () => Promise<unknown>): Promise<Download> {
  const [file] = await Promise.all([
    page.waitForEvent('download', { timeout: 60_000 }).catch(async (error: Error) => {
      const said = await page.locator('[data-sonner-toast]').allTextContents()
      throw new Error(`no file was offered; the page said: ${said.join(' / ') || 'nothing'}`, {
        cause: error,
      })
    }),
    press(),
  ])
  return file
}

/** The address of a view of a build of the demo, at one of its stages. */
export async function demoAt(page: Page, name: string, stage: number, view: string): Promise<string> {
  const list = buildList.parse(await (await page.request.get('/api/v1/builds')).json())
  const demo = list.find((b) => b.name === name)!
  return `/builds/${demo.id}/stages/${demo.stages[stage]!.id}/${view}`
}

/** Goes on by the tab key until something has the focus. */
export async function tabTo(target: Locator): Promise<void> {
  await expect(async () => {
    await target.page().keyboard.press('Tab')
    await expect(target).toBeFocused({ timeout: 50 })
  }).toPass({ intervals: [1] })
}
