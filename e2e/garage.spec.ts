import { buildFile, buildList, sameRecord } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { aloneIn, expect, fileOffered, freshBuild, open, saved, test } from './bench'

test('the Garage shows the demo builds with discipline, stages and headline figures', async ({ page }) => {
  await open(page, '/')
  await expect(page.getByText(/Lantern Yard/)).toBeVisible()
  for (const [name, discipline] of [
    ['Wren', 'Track, rear-wheel drive'],
    ['Ember', 'Drift, rear-wheel drive'],
    ['Nightjar', 'Time attack, all-wheel drive'],
  ] as const) {
    // Other tests add builds to this workshop.
    await open(page, `/?find=${name}`)
    const card = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name, exact: true }) })
    await expect(card.getByText(discipline)).toBeVisible()
    await expect(card.getByText(/±[\d.]+ kg/).first()).toBeVisible()
    await expect(card.getByText(/kW\/t|hp\/t|lb\/hp/).first()).toBeVisible()
    await expect(card.getByRole('list', { name: 'Stages' }).getByRole('listitem').first()).toContainText(
      '1 As bought',
    )
  }
})

test('a build opens on its Board: stack, tally, marks, chart and bars; the unit can be switched', async ({
  page,
}) => {
  await open(page, '/?find=Nightjar')
  await page.getByRole('link', { name: 'Nightjar' }).click()
  await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible()
  await expect(page.getByRole('complementary', { name: 'Stages' }).getByRole('link')).toHaveCount(6)
  await expect(page.getByTestId('tally')).toContainText('Wheel power')
  await expect(page.getByTestId('mark-wheelPower')).toContainText('met')
  await expect(page.locator('.js-plotly-plot')).toBeVisible()
  const table = page.getByRole('table', { name: /Power to weight of each stage/ })
  const first = table.getByRole('row').nth(1)
  await expect(first).toContainText('109.7')
  const unit = page.getByRole('radiogroup', { name: 'Unit' })
  await unit.getByText('hp/t').click()
  await expect(first).toContainText('147.1')
  await unit.getByText('lb/hp').click()
  await expect(first).toContainText('14.99')
  await expect(page.getByTestId('mark-powerToWeight')).toContainText('at most')
  await unit.getByText('kW/t').click()
  await page.getByRole('radiogroup', { name: 'Measure' }).getByText('Mass').click()
  await expect(page.getByRole('heading', { name: 'Mass by stage' })).toBeVisible()
  await page.getByRole('button', { name: 'Table' }).click()
  await expect(page.getByRole('region', { name: /as a table/ })).toContainText('1 As bought')
  await saved(page)
})

test('a build’s Board is on its way while the build is', async ({ page }) => {
  await open(page, '/?find=Nightjar')
  let goOn = () => {}
  const board = new Promise<void>((done) => (goOn = done))
  page.on('request', (request) => /\/BoardRoom-/.test(request.url()) && goOn())
  await page.route(/\/api\/v1\/builds\/[^/]+$/, async (route) => {
    await board
    await route.continue()
  })
  await page.getByRole('link', { name: 'Nightjar' }).click()
  await expect(page.getByTestId('tally')).toContainText('Wheel power')
})

test('what is pressed on the Board stays where it is while the rest of the page comes', async ({ page }) => {
  const { at } = await freshBuild(page, { swaps: 1, linesEach: 2 })
  let goOn = () => {}
  const held = new Promise<void>((done) => (goOn = done))
  const isHeld = page.waitForRequest(/\/MarkMatrix-/)
  await page.route(/\/MarkMatrix-/, async (route) => {
    await held
    await route.continue()
  })
  await open(page, at('board'))
  await isHeld
  const unit = page.getByRole('radiogroup', { name: 'Unit' })
  await expect(page.getByText('No marks set.')).toBeVisible()
  await expect(unit).toHaveCount(0)
  goOn()
  await expect(unit).toBeVisible()
})

test('a build is exported as one file and comes back without loss', async ({ page }) => {
  await open(page, '/?find=Ember')
  await page.getByRole('link', { name: 'Ember' }).click()
  const exportOnce = async () => {
    await page.keyboard.press('/')
    await page.getByRole('combobox', { name: 'Find or do' }).fill('export')
    const download = await fileOffered(page, () => page.keyboard.press('Enter'))
    return (await download.path())!
  }
  await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible()
  const path = await exportOnce()
  const first = buildFile.parse(JSON.parse(readFileSync(path, 'utf8')))
  await open(page, '/')
  await page.getByLabel('Build or workshop file').setInputFiles(path)
  await expect(page.getByText(/4 stages, 31 lines, 3 weigh-ins, 7 pulls/)).toBeVisible()
  await page.getByRole('button', { name: 'Add it to the Garage' }).click()
  await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible()
  const second = buildFile.parse(JSON.parse(readFileSync(await exportOnce(), 'utf8')))
  // Ids are new, in the build and in what is aboard; all else is the same.
  const bare = ({ build }: typeof first) => ({
    ...build,
    id: '',
    reference: { ...build.reference, amounts: Object.values(build.reference.amounts) },
  })
  expect(sameRecord(bare(second), bare(first))).toBe(true)
  expect(second.lines.map((l) => [l.name, l.mass, l.position]).sort()).toEqual(
    first.lines.map((l) => [l.name, l.mass, l.position]).sort(),
  )
  const lengths = (file: typeof first) => file.pulls.map((p) => `${p.name}: ${p.points?.length}`).sort()
  expect(lengths(second)).toEqual(lengths(first))
  // The copy goes again, so that the Garage stays as the other tests expect it.
  await page.request.delete(`/api/v1/builds/${second.build.id}`)
})

test('a broken import is refused with its place, and nothing changes', async ({ page }) => {
  await open(page, '/')
  const bring = (name: string, text: string) =>
    page
      .getByLabel('Build or workshop file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) })
  const alert = page.getByRole('main').getByRole('alert')
  await bring('cut.json', '{"format": "bold-bal')
  await expect(alert).toContainText('can’t be read as JSON')
  await bring('empty.json', '')
  await expect(alert).toContainText('The file is empty')
  await bring('other.json', '{"format": "other"}')
  await expect(alert).toContainText('format: The file must say')
  await expect(alert).toContainText('Nothing has changed')
})

test('a new build takes under a minute and opens on its Swaps', async ({ page }) => {
  await open(page, '/')
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'New build' })
  await sheet.getByLabel('Name').fill('Kestrel')
  await sheet.getByLabel('Wheelbase').fill('95 in')
  await expect(sheet.getByText('95.00 in = 2,413 mm')).toBeVisible()
  await sheet.getByLabel('Front track').fill('1,46 m')
  await sheet.getByLabel('Rear track').fill('1470')
  await sheet.getByLabel('Mass as bought').fill('heavy')
  await sheet.getByRole('button', { name: 'Start the build' }).click()
  await expect(sheet.getByText('“heavy” is not a mass')).toBeVisible()
  await expect(sheet.getByLabel('Mass as bought')).toHaveValue('heavy')
  await sheet.getByLabel('Mass as bought').fill('2,500 lb')
  await sheet.getByRole('button', { name: 'Start the build' }).click()
  await expect(page.getByRole('heading', { name: 'Swaps' })).toBeVisible()
  await expect(page.getByRole('complementary', { name: 'Stages' })).toContainText('1 As bought')
  await expect(page.getByTestId('stage-mass')).toContainText('1,1')
})

test('stages are added, renamed, moved and deleted, and undo brings them back', async ({ page }) => {
  const build = await freshBuild(page)
  await open(page, build.at('board'))
  const stack = page.getByRole('complementary', { name: 'Stages' })
  await stack.getByRole('button', { name: '+ Add a stage' }).click()
  await page.getByLabel('Name').fill('Bare shell')
  await page.getByRole('button', { name: 'Save the stage' }).click()
  await expect(stack.getByRole('link')).toHaveText([/1 As bought/, /2 Bare shell/])
  await page.keyboard.press('e')
  await page.getByRole('button', { name: 'Move up' }).click()
  await expect(stack.getByRole('link')).toHaveText([/1 Bare shell/, /2 As bought/])
  await page.keyboard.press('Escape')
  await page.keyboard.press(']')
  await expect(stack.getByRole('link', { name: /As bought/ })).toHaveAttribute('aria-current', 'step')
  await page.keyboard.press('e')
  // What was weighed goes with it: that is asked first, and may be left.
  const sheet = page.getByRole('dialog', { name: 'Stage 2' })
  await expect(sheet).toContainText(/Deleting it takes \d+ weighed lines? with it/)
  await sheet.getByRole('button', { name: 'Delete stage' }).click()
  const question = page.getByRole('alertdialog', { name: 'Delete As bought with its evidence?' })
  await question.getByRole('button', { name: 'Keep it' }).click()
  await expect(stack.getByRole('link')).toHaveCount(2)
  await sheet.getByRole('button', { name: 'Delete stage' }).click()
  await question.getByRole('button', { name: 'Delete it' }).click()
  await expect(stack.getByRole('link')).toHaveCount(1)
  await saved(page)
  await page.reload()
  await expect(stack.getByRole('link')).toHaveText([/1 Bare shell/])
  await page.keyboard.press('Control+z')
  await expect(stack.getByRole('link')).toHaveText([/1 Bare shell/, /2 As bought/])
  await expect(page.getByText(/^Undone: Delete stage As bought\. “.+” is there again/)).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(stack.getByRole('link')).toHaveText([/1 Bare shell/, /2 As bought/])
  await page.keyboard.press('Control+y')
  await expect(stack.getByRole('link')).toHaveText([/1 Bare shell/])
  await saved(page)
  // A stage without evidence just goes.
  await stack.getByRole('button', { name: '+ Add a stage' }).click()
  await page.getByRole('button', { name: 'Delete stage' }).click()
  await expect(stack.getByRole('link')).toHaveCount(1)
  await saved(page)
})

test('the build’s own facts are changed, undone, and a build is deleted only when asked twice', async ({
  page,
}) => {
  const build = await freshBuild(page)
  await open(page, build.at('board'))
  const stack = page.getByRole('complementary', { name: 'Stages' })
  const before = await stack.getByRole('link').first().textContent()
  await page.keyboard.press('b')
  const sheet = page.getByRole('dialog', { name: 'The build' })
  await sheet.getByLabel('Wheelbase').fill('2400 m')
  await sheet.getByRole('button', { name: 'Save the build' }).click()
  await expect(sheet.getByText('A wheelbase is at most 6 m: check the unit.')).toBeVisible()
  await sheet.getByLabel('Wheelbase').fill('2.5 m')
  await sheet.getByLabel('Mass', { exact: true }).fill('4 t')
  await sheet.getByLabel('Driver aboard').fill('80')
  await sheet.getByRole('button', { name: 'Save the build' }).click()
  await expect(stack.getByRole('link').first()).toContainText('4,080 kg')
  await page.keyboard.press('Control+z')
  await expect(stack.getByRole('link').first()).toHaveText(before!)
  await saved(page)
  await page.keyboard.press('b')
  await page.getByRole('button', { name: 'Delete the build' }).click()
  await page.getByRole('button', { name: 'Keep it' }).click()
  await page.getByRole('button', { name: 'Delete the build' }).click()
  await page.getByRole('button', { name: 'Delete it' }).click()
  await expect(page.getByRole('heading', { name: 'Garage' })).toBeVisible()
  expect((await page.request.get(`/api/v1/builds/${build.id}`)).status()).toBe(404)
})

test('the licences of all that is shipped stand in one file, fonts included', async ({ page }) => {
  await open(page, '/')
  const link = page.getByRole('link', { name: 'Licences of what this is made of' })
  const answer = await page.request.get((await link.getAttribute('href'))!)
  expect(answer.status()).toBe(200)
  const text = await answer.text()
  for (const part of [
    'react 19',
    '@fontsource/barlow ',
    '@fontsource/barlow-condensed ',
    'plotly',
    'highs ',
    'comlink ',
  ])
    expect(text).toContain(part)
  expect(text).toContain('SIL OPEN FONT LICENSE')
  expect(text).toMatch(/Permission is hereby granted, free of charge/)
})

test('among many builds one is found by any of its words, and they stand in the order that is asked for', async ({
  page,
}) => {
  // Of letters only: the numbers that are looked for stand in no mark.
  const mark = randomUUID()
    .slice(0, 8)
    .replace(/\d/g, (digit) => 'ghijklmnop'.charAt(Number(digit)))
  for (let i = 0; i < 14; i += 1) {
    const file = sampleBuild(randomUUID)
    Object.assign(file.build, { name: `Row ${mark} ${i}`, baseMass: 900 + ((i * 5) % 14) * 10 })
    await page.request.post('/api/v1/builds', { data: file })
  }
  await open(page, '/')
  const cards = page.getByRole('list', { name: 'Builds' }).locator('> li')
  await expect(cards).toHaveCount(12)
  const find = page.getByRole('searchbox', { name: 'Find a build' })
  await find.fill(`row ${mark}`)
  await expect(page.getByRole('status').filter({ hasText: '14 of' })).toBeVisible()
  await page.getByRole('radio', { name: 'Lightest' }).click()
  await expect(cards.first()).toContainText(`Row ${mark} 0`)
  await page.getByRole('button', { name: 'Show 2 more' }).click()
  await expect(cards).toHaveCount(14)
  await page.getByRole('radio', { name: 'Name' }).click()
  await expect(cards.nth(2)).toContainText(`Row ${mark} 2`)
  // What was asked for is in the address.
  await page.reload()
  await expect(cards.nth(1)).toContainText(`Row ${mark} 1`)
  await find.fill(`${mark} nowhere`)
  await expect(page.getByText('No build has all of')).toBeVisible()
  await page.getByRole('button', { name: 'Show all' }).click()
  await expect(cards).toHaveCount(12)
  await find.fill(`${mark} 13`)
  await page.getByRole('link', { name: `Row ${mark} 13` }).click()
  await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible()
})

test('an address that leads nowhere says so, and one that ends in a stage leads to its Board', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  const stage = build.at('board').replace('/board', '')
  await open(page, stage)
  await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible()
  await open(page, `${stage}/engine`)
  await expect(page.getByRole('heading', { name: 'There is no room called “engine”' })).toBeVisible()
  await page.getByRole('main').getByRole('link', { name: 'Scales' }).click()
  await expect(page.getByRole('heading', { name: 'Scales' })).toBeVisible()
  await page.goto('/somewhere/else')
  await expect(page.getByRole('heading', { name: 'There is nothing at that address' })).toBeVisible()
  await page.getByRole('link', { name: 'To the Garage' }).click()
  await expect(page.getByRole('heading', { name: 'Garage' })).toBeVisible()
})

test('figures that are being worked out arrive, also where the word that they are there is lost', async ({
  page,
}) => {
  await aloneIn(page)
  const build = await freshBuild(page)
  let asked = 0
  await page.route(/\/builds$/, async (route) => {
    if (route.request().method() !== 'GET') return route.fallback()
    asked += 1
    const response = await route.fetch()
    const list = buildList.parse(await response.json())
    if (asked < 3) for (const one of list) if (one.id === build.id) one.isWorkingOut = true
    await route.fulfill({ response, json: list })
  })
  await open(page, `/?find=${build.id.slice(0, 6)}`)
  const card = page.getByRole('listitem').filter({ hasText: `Test ${build.id.slice(0, 6)}` })
  await expect(card).toContainText('figures are worked out anew')
  await expect(card).not.toContainText('figures are worked out anew', { timeout: 30_000 })
})
