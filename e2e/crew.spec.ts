import { ROLE_WORDS, ROLES } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import type { Browser, Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { seriousInBothThemes, tooSmall } from './axe'
import { expect, fill, saved, test, waiting } from './bench'
import { ownServer } from './ownServer'

const PASSWORD = 'three words will do'
const PHONE = { width: 390, height: 800 }

/** Somebody else, at a browser of their own. */
async function elsewhere(browser: Browser, base: string, viewport = { width: 1280, height: 800 }) {
  const context = await browser.newContext({ baseURL: base, viewport })
  return context.newPage()
}

/** Makes the first owner, by keys alone. */
async function makeOwner(page: Page): Promise<void> {
  await page.goto('/crew')
  await page.getByLabel('Name', { exact: true }).focus()
  for (const typed of ['Rosa', 'rosa', PASSWORD]) {
    await page.keyboard.type(typed)
    await page.keyboard.press('Tab')
  }
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('member')).toContainText('Rosa')
}

/** An invitation as a link. */
async function invite(page: Page, name: string, role: string): Promise<string> {
  await page.goto('/crew')
  await page.getByRole('button', { name: 'Invite somebody' }).click()
  const sheet = page.getByRole('dialog')
  // The least that works, and what more would open.
  await expect(sheet.getByLabel('As', { exact: true })).toHaveValue('helper')
  await expect(sheet.getByLabel('What each sees').getByRole('term')).toHaveText(
    ROLES.map((one) => ROLE_WORDS[one].name),
  )
  await expect(sheet.getByLabel('What each sees')).toContainText(`sees ${ROLE_WORDS.helper.sees}`)
  await fill(sheet, { For: name, As: role })
  await page.getByRole('button', { name: 'Make the link' }).click()
  const link = await page.getByTestId('pass-link').textContent()
  await page.getByRole('button', { name: 'Done' }).click()
  return link!
}

async function join(page: Page, link: string, login: string): Promise<void> {
  await page.goto(new URL(link).pathname)
  await fill(page, { 'Sign-in name': login, Password: PASSWORD })
  await page.getByRole('button', { name: 'Join', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Garage' })).toBeVisible()
}

test.describe('a crew', () => {
  // One house, and what happens in it builds on what was before.
  test.describe.configure({ mode: 'serial' })
  // Whoever is signed out is answered so, which the browser writes down.
  test.use({ expectsErrors: true })
  let own: Awaited<ReturnType<typeof ownServer>>
  test.beforeAll(async () => {
    own = await ownServer()
  })
  test.afterAll(() => own.end())

  test('is let in, works side by side, and sees what each may', async ({ browser }) => {
    const rosa = await elsewhere(browser, own.base)
    await makeOwner(rosa)
    expect(await seriousInBothThemes(rosa)).toEqual([])
    const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 3 })
    Object.assign(file.build, { name: 'Crewed' })
    file.swaps[0]!.cost = 4321
    expect((await rosa.request.post('/api/v1/builds', { data: file })).status()).toBe(201)
    const swaps = `/builds/${file.build.id}/stages/${file.stages[0]!.id}/swaps`

    // A helper joins from a phone, by a link that works once.
    const link = await invite(rosa, 'Tomasz', 'helper')
    const tomasz = await elsewhere(browser, own.base, PHONE)
    await tomasz.goto('/')
    await expect(tomasz.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    expect(await tooSmall(tomasz)).toEqual([])
    await tomasz.goto(new URL(link).pathname)
    await expect(tomasz.getByText('as helper')).toBeVisible()
    expect(await seriousInBothThemes(tomasz)).toEqual([])
    await join(tomasz, link, 'tomasz')
    const late = await elsewhere(browser, own.base)
    await late.goto(new URL(link).pathname)
    await expect(late.getByText('It has been used')).toBeVisible()

    // Both look at the build; what one weighs is on the other's screen.
    await rosa.goto(swaps)
    await tomasz.goto(swaps)
    await expect(rosa.getByTestId('also-here')).toContainText('Tomasz in Swaps')
    const cell = rosa.getByRole('gridcell', { name: 'Mass each of Part 1' })
    await expect(cell).toBeVisible()
    const before = await cell.textContent()
    expect(before).not.toBe('7.77')
    const version = file.lines[1]!
    await tomasz.request.post(`/api/v1/builds/${file.build.id}/edits`, {
      data: {
        id: randomUUID(),
        label: 'Weigh part 1',
        edits: [{ op: 'put', kind: 'line', record: { ...version, mass: 7.77, version: 1 } }],
      },
    })
    await expect(cell).toHaveText('7.77')

    // No money reaches the helper's phone, and nothing is deleted from it.
    const bodyOf = async (page: Page) => (await page.request.get(`/api/v1/builds/${file.build.id}`)).text()
    expect(await bodyOf(rosa)).toContain('4321')
    expect(await bodyOf(tomasz)).not.toContain('4321')
    const removal = await tomasz.request.delete(`/api/v1/builds/${file.build.id}`)
    expect(removal.status()).toBe(403)
    // What a helper may not do isn't offered; what is only planned by others can be looked at.
    await expect(tomasz.getByRole('heading', { name: 'Swaps' })).toBeVisible()
    await expect(tomasz.getByRole('button', { name: 'New swap' })).toHaveCount(0)
    await expect(tomasz.getByRole('button', { name: 'Add a stage' })).toHaveCount(0)
    await tomasz.goto(swaps.replace('/swaps', '/driveline?view=links'))
    await tomasz.getByRole('button', { name: 'Gears and grip' }).first().click()
    const sheet = tomasz.getByRole('dialog')
    await expect(sheet.getByText('is changed by builders and owners')).toBeVisible()
    await expect(sheet.locator('input:enabled')).toHaveCount(0)
    await expect(sheet.getByRole('button', { name: /^Save/ })).toHaveCount(0)
    await tomasz.goto(swaps)

    // A dot on what somebody else is changing.
    await rosa.goto(swaps)
    await rosa.getByRole('gridcell', { name: 'Mass each of Part 2' }).dblclick()
    await expect(tomasz.getByText('Rosa is changing it')).toBeAttached()
    await rosa.keyboard.press('Escape')
    await expect(tomasz.getByText('Rosa is changing it')).toHaveCount(0)

    // Sent away, the phone is at the door at once.
    await rosa.goto('/crew')
    await rosa.getByRole('button', { name: 'Send away Tomasz' }).click()
    await rosa.getByRole('button', { name: 'Send away', exact: true }).click()
    await expect(rosa.getByTestId('member')).toHaveCount(1)
    await tomasz.reload()
    await expect(tomasz.getByText('You work in no workshop here')).toBeVisible()
  })

  test('what is typed after a session has ended is kept, and saved by whoever signs in again', async ({
    browser,
  }) => {
    const door = await elsewhere(browser, own.base)
    await door.goto('/')
    await fill(door, { 'Sign-in name': 'rosa', Password: 'not the right one' })
    await door.getByRole('button', { name: 'Sign in' }).click()
    await expect(door.getByText('Name and password don’t belong together')).toBeVisible()
    await door.getByLabel('Password').fill(PASSWORD)
    await door.getByRole('button', { name: 'Sign in' }).click()
    await expect(door.getByRole('heading', { name: 'Garage' })).toBeVisible()
    const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 2 })
    await door.request.post('/api/v1/builds', { data: file })
    await door.goto(`/builds/${file.build.id}/stages/${file.stages[0]!.id}/swaps`)
    const mass = door.getByRole('gridcell', { name: 'Mass each of Part 0' })
    await door.route('**/edits', (route) => route.abort())
    await mass.click()
    await door.keyboard.type('2.5')
    await door.keyboard.press('Enter')
    await waiting(door, 1)
    // Another device signs all others out: this one is at the door at once.
    const other = await elsewhere(browser, own.base)
    await other.goto('/crew?view=you')
    await fill(other, { 'Sign-in name': 'rosa', Password: PASSWORD })
    await other.getByRole('button', { name: 'Sign in' }).click()
    await other.getByRole('button', { name: 'Sign all others out' }).click()
    await expect(other.getByText('this one')).toBeVisible()
    await expect(door.getByText('One change is kept on this device')).toBeVisible()
    await door.unroute('**/edits')
    await fill(door, { 'Sign-in name': 'rosa', Password: PASSWORD })
    await door.getByRole('button', { name: 'Sign in' }).click()
    await saved(door)
    await expect(mass).toHaveText('2.50')
    const read = await other.request.get(`/api/v1/builds/${file.build.id}`)
    expect(((await read.json()) as { lines: { mass: number }[] }).lines[0]!.mass).toBe(2.5)
  })

  test('of several workshops sees one at a time', async ({ browser }) => {
    const rosa = await elsewhere(browser, own.base)
    await rosa.goto('/crew')
    await fill(rosa, { 'Sign-in name': 'rosa', Password: PASSWORD })
    await rosa.getByRole('button', { name: 'Sign in' }).click()
    await rosa.getByRole('button', { name: 'Open another workshop' }).click()
    await rosa.getByRole('dialog').getByLabel('Workshop').fill('Shed nine')
    await rosa.getByRole('button', { name: 'Open it' }).click()
    await expect(rosa.getByText('(open here)')).toBeVisible()
    await rosa.goto('/')
    await expect(rosa.getByText('Shed nine: 0 builds')).toBeVisible()
    // A build of the other one takes this tab there.
    const first = ((await (await rosa.request.get('/api/v1/builds')).json()) as { id: string }[])[0]!
    await rosa.goto(`/builds/${first.id}`)
    await expect(rosa.getByRole('heading', { name: 'Board' })).toBeVisible()
    await rosa.keyboard.press('g')
    await rosa.keyboard.press('g')
    await expect(rosa.getByText(/Our workshop: \d+ build/)).toBeVisible()
    await rosa.goto('/crew')
    await rosa.getByRole('button', { name: 'Go to Shed nine' }).click()
    await expect(rosa.getByRole('heading', { name: 'Crew' })).toBeVisible()
    await rosa
      .getByRole('link', { name: /Garage|Bold Ballast/ })
      .first()
      .click()
    await expect(rosa.getByText('Shed nine: 0 builds')).toBeVisible()
  })

  test('two who photograph one part choose which stays, and the other is kept in the history', async ({
    browser,
  }) => {
    const rosa = await elsewhere(browser, own.base)
    await rosa.goto('/')
    await fill(rosa, { 'Sign-in name': 'rosa', Password: PASSWORD })
    await rosa.getByRole('button', { name: 'Sign in' }).click()
    await expect(rosa.getByRole('heading', { name: 'Garage' })).toBeVisible()
    const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 3 })
    Object.assign(file.build, { name: 'Photographed' })
    expect((await rosa.request.post('/api/v1/builds', { data: file })).status()).toBe(201)
    const [line] = file.lines
    const at = `/api/v1/builds/${file.build.id}/lines/${line!.id}/photo`
    await rosa.goto(`/builds/${file.build.id}/stages/${file.stages[0]!.id}/swaps`)
    await rosa.getByRole('button', { name: `All about ${line!.name}` }).click()
    const sheet = rosa.getByRole('dialog', { name: line!.name })
    await expect(sheet.getByLabel('Photograph', { exact: true })).toBeVisible()
    // Meanwhile another of her devices has put one there.
    const theirs = await rosa.screenshot()
    const put = await rosa.request.put(at, { data: theirs, headers: { 'content-type': 'image/png' } })
    expect(put.status()).toBe(204)
    await sheet.getByLabel('Photograph', { exact: true }).setInputFiles('docs/screenshots/phone.png')
    const panel = rosa.getByRole('alertdialog', { name: 'Changes that were not taken' })
    await expect(panel).toContainText(`Photograph of ${line!.name}`)
    await expect(panel).toContainText('Photographed')
    await expect(panel).toContainText('Rosa has put another there since you saw it')
    await expect(panel.getByRole('img')).toBeVisible()
    await expect(rosa.getByTestId('save-state')).toHaveText('1 not taken')
    expect(await seriousInBothThemes(rosa)).toEqual([])
    // A reload loses nothing of it.
    await rosa.reload()
    await expect(panel).toContainText(`Photograph of ${line!.name}`)
    await panel.getByRole('button', { name: 'Put mine there' }).click()
    await expect(panel).toHaveCount(0)
    await expect(rosa.getByTestId('save-state')).toHaveText('Saved')
    expect((await rosa.request.get(at)).headers()['content-type']).toBe('image/jpeg')
    await rosa.goto(`/builds/${file.build.id}/stages/${file.stages[0]!.id}/proof?view=history`)
    await rosa.getByRole('button', { name: `Show Photograph of “${line!.name}” replaced` }).click()
    await expect(rosa.getByRole('img', { name: 'As it was before' })).toBeVisible()
    await rosa.getByRole('button', { name: 'Put this one back' }).click()
    await expect.poll(async () => (await (await rosa.request.get(at)).body()).equals(theirs)).toBe(true)
  })
})
