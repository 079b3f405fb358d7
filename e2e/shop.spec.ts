import type { Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import {
  demoAt,
  expect,
  fileOffered,
  fill,
  freshBuild,
  open,
  refusesNonsense,
  saved,
  tabTo,
  test,
  tickAll,
} from './bench'
import { dialog } from './onDays'

const line = (page: Page) => page.getByLabel('A job in one line')
/** A Sunday; so that nothing depends on the day on which it runs. */
const ON = 'on=2026-11-22'

/** Notes somebody's hours: what a new sheet comes with, and nothing more. */
async function noteHours(page: Page, name: string): Promise<void> {
  await page.getByRole('link', { name: 'Hands' }).click()
  await page.getByRole('button', { name: 'Note somebody’s hours' }).first().click()
  const sheet = dialog(page, 'Note somebody’s hours')
  await fill(sheet, { Name: name })
  await sheet.getByRole('button', { name: 'Save the hours' }).click()
  await expect(sheet).toBeHidden()
}

async function takeOn(page: Page, ...texts: readonly string[]): Promise<void> {
  for (const text of texts) {
    await line(page).fill(text)
    await page.getByRole('button', { name: 'Take on', exact: true }).click()
    await expect(line(page)).toHaveValue('')
  }
}

test('from nothing to a date: jobs in one line, hours, a fixed date with its odds, and a ring that is named', async ({
  page,
}) => {
  test.slow()
  const { at } = await freshBuild(page)
  await open(page, `${at('shop')}?${ON}`)
  await noteHours(page, 'Ines')
  await page.getByRole('link', { name: 'Jobs' }).click()
  await line(page).fill('drop exhaust 2h Ines')
  await expect(page.getByTestId('job-line-says')).toHaveText('Drop exhaust · stripping · 2.0 h · Ines')
  await takeOn(page, 'drop exhaust 2h Ines', 'drop rear subframe 2-3-6h Ines after exhaust')
  await line(page).fill('refit subframe 2h after the moon')
  await expect(page.getByTestId('job-line-says')).toContainText('No job is called “the moon”')
  await takeOn(page, 'refit subframe 2h after rear subframe')
  await expect(page.getByTestId('jobs-say')).toContainText('3 to do, 7 h as guessed')
  await page.getByRole('link', { name: 'Dates' }).click()
  // Without a date there is nothing that could be made, and no odds of it.
  await expect(page.getByRole('button', { name: /All that is open/ })).toContainText('likely done')
  await expect(page.getByText('No date stands ahead.')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Dates', exact: true })).not.toContainText('%')
  await page.getByRole('button', { name: 'Add a fixed date' }).click()
  const date = dialog(page, 'Fix a date')
  await fill(date, { 'What it is': 'Round one', Date: '2027-01-30' })
  await date.getByRole('button', { name: 'Save the date' }).click()
  await expect(date).toBeHidden()
  const card = page.getByRole('button', { name: /Round one/ })
  await expect(card).toContainText('3 jobs')
  await expect(card.getByTestId('chance')).toHaveText(/%$/)
  await expect(page.getByTestId('easings')).toContainText('One more evening a week: Ines, Tuesdays')
  // What is dragged by keys answers at once, and is kept.
  const bar = page.getByRole('slider', { name: 'Drop exhaust, not before' })
  await bar.focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByTestId('moved')).toContainText('“Drop exhaust” not before')
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('moved')).toBeEmpty()
  await bar.focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Drop exhaust won’t begin before/)).toBeVisible()
  // A ring is shown, with the link to cut.
  await page.getByRole('link', { name: 'Jobs' }).click()
  await page.getByRole('button', { name: 'Change Drop exhaust' }).click()
  const job = dialog(page, 'Change the job')
  await job.getByLabel('After', { exact: true }).selectOption({ label: 'Refit subframe' })
  await job.getByRole('button', { name: 'Save the job' }).click()
  await expect(job).toBeHidden()
  await page.getByRole('link', { name: 'Dates' }).click()
  await expect(page.getByTestId('work-problems')).toContainText(
    'These wait for each other in a ring: Drop exhaust, then Drop rear subframe, then Refit subframe, then Drop exhaust. It is reckoned as if “Drop exhaust” didn’t wait for “Refit subframe”.',
  )
  // The Board says the next date and its odds.
  await page.goto(at('board'))
  await expect(page.getByTestId('next-date')).toContainText(/Round one, Sat 30 Jan 2027: made with/)
  await saved(page)
})

test('no word of a job in one line is lost: who and what isn’t known is made, or stands in its note', async ({
  page,
}) => {
  const { at } = await freshBuild(page)
  await open(page, `${at('shop')}?view=jobs&${ON}`)
  const says = page.getByTestId('job-line-says')
  await line(page).fill('weld cage feet 6-8-14h Bo after moon landing needs gold leaf')
  await expect(says).toContainText(
    'Weld cage feet · cutting and welding · 8 h, from 6 h to 14 h · whoever can',
  )
  await says.getByRole('button', { name: 'Somebody new Bo' }).click()
  await expect(says).toContainText('from 6 h to 14 h · Bo')
  await says.getByRole('button', { name: 'Make a part gold leaf' }).click()
  await expect(says).toContainText('needs “Gold leaf”')
  await expect(says).toContainText('No job is called “moon landing”')
  await page.getByRole('button', { name: 'Take on', exact: true }).click()
  await expect(line(page)).toHaveValue('')
  await page.getByRole('button', { name: 'Change Weld cage feet' }).click()
  await expect(dialog(page, 'Change the job').getByLabel('Note')).toHaveValue('after moon landing')
  await page.keyboard.press('Escape')
  await line(page).fill('paint them 3d Bo needs gold leaf from maker')
  await expect(says).toContainText(
    '24 h · Bo · needs “Gold leaf” · in its note: “needs gold leaf from maker”',
  )
  await saved(page)
})

test('a job is clocked, done and counted with the promise that was made', async ({ page }) => {
  const { at } = await freshBuild(page)
  await open(page, at('shop'))
  await noteHours(page, 'Zoe')
  await page.getByRole('link', { name: 'Jobs' }).click()
  await takeOn(page, 'strip dash 1h Zoe')
  await page.getByRole('button', { name: 'Clock on Strip dash' }).click()
  await expect(page.getByRole('checkbox', { name: /^Strip dash/ })).toBeDisabled()
  await page.getByRole('button', { name: 'Clock off Strip dash' }).click()
  await page.getByRole('button', { name: 'Change Strip dash' }).click()
  const job = dialog(page, 'Change the job')
  // What was promised first stays, whatever is guessed later.
  await fill(job, { 'Likely takes': '3' })
  await job.getByLabel('Worked', { exact: true }).fill('4 h')
  await job.getByRole('button', { name: 'Save the job' }).click()
  await expect(job).toBeHidden()
  await page.getByRole('checkbox', { name: /^Strip dash/ }).click()
  await expect(page.getByTestId('jobs-say')).toContainText('All done')
  await page.getByRole('link', { name: 'Record' }).click()
  const row = page.getByTestId('promises').getByRole('row', { name: /Zoe, stripping/ })
  await expect(row).toContainText('1.0 h')
  await expect(row).toContainText('4 h')
  await saved(page)
})

test('pictures hang from a job, with what they show, and stay with it', async ({ page }) => {
  const { at } = await freshBuild(page)
  await open(page, at('shop'))
  await takeOn(page, 'hoses out 1h')
  await page.getByRole('button', { name: 'Change Hoses out' }).click()
  const pictures = dialog(page, 'Change the job').getByRole('region', { name: 'Pictures' })
  const field = pictures.getByLabel('Picture of the job')
  await field.setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('hello') })
  await expect(page.getByText('That file is no picture. The job has its pictures as before.')).toBeVisible()
  await expect(pictures.getByRole('listitem')).toHaveCount(0)
  const shot = { name: 'hoses.png', mimeType: 'image/png', buffer: await page.screenshot() }
  await field.setInputFiles(shot)
  await expect(pictures.getByRole('img', { name: /^Hoses out, / })).toBeVisible()
  await pictures.getByLabel(/^What it shows/).fill('which clip goes where')
  await pictures.getByLabel(/^What it shows/).blur()
  await pictures.getByLabel('Another picture').setInputFiles(shot)
  await expect(pictures.getByRole('img')).toHaveCount(2)
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: 'Change Hoses out' }).click()
  await expect(pictures.getByRole('img', { name: 'which clip goes where' })).toBeVisible()
  await pictures.getByRole('button', { name: /^Remove which clip/ }).click()
  await expect(pictures.getByRole('listitem')).toHaveCount(1)
  await page.keyboard.press('Escape')
  await page.keyboard.press('ControlOrMeta+z')
  await page.getByRole('button', { name: 'Change Hoses out' }).click()
  await expect(pictures.getByRole('img', { name: 'which clip goes where' })).toBeVisible()
  await saved(page)
})

test('with keys only: a job, a part that it needs, ordered and there', async ({ page }) => {
  const { at } = await freshBuild(page)
  await open(page, at('board'))
  await page.keyboard.press('g')
  await page.keyboard.press('h')
  await expect(page.getByRole('heading', { name: 'Shop', level: 1 })).toBeVisible()
  await tabTo(line(page))
  await page.keyboard.type('fit pads 1h')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('checkbox', { name: /^Fit pads/ })).toBeVisible()
  await open(page, `${at('shop')}?view=parts`)
  await expect(page.getByText('No part to come yet')).toBeVisible()
  await page.keyboard.press('n')
  const part = dialog(page, 'Add a part to come')
  await expect(part.getByLabel('Part', { exact: true })).toBeFocused()
  await page.keyboard.type('Harder pads')
  await page.keyboard.press('Enter')
  await expect(part).toBeHidden()
  const row = page.getByTestId('parts').getByRole('row', { name: /Harder pads/ })
  await expect(row).toContainText('wanted')
  await tabTo(row.getByRole('button', { name: 'Ordered Harder pads' }))
  await page.keyboard.press('Enter')
  await expect(row).toContainText('ordered, no day promised')
  await tabTo(row.getByRole('button', { name: 'Arrived Harder pads' }))
  await page.keyboard.press('Enter')
  await expect(row).toContainText('arrived')
  await saved(page)
})

test('what is planned goes onto the list of parts, and jobs come over from another build', async ({
  page,
}) => {
  const { at } = await freshBuild(page, { swaps: 1, linesEach: 0 })
  await open(page, at('shop'))
  await page.getByRole('button', { name: 'Take over from a list' }).click()
  const jobs = dialog(page, 'Take jobs over')
  await jobs
    .getByLabel('From')
    .selectOption({ label: await jobs.locator('option', { hasText: /^What comes again/ }).innerText() })
  await jobs.getByRole('checkbox', { name: /^Toe by string/ }).uncheck()
  await jobs.getByRole('button', { name: /^Take over/ }).click()
  await expect(page.getByRole('list', { name: 'Jobs to do' })).toContainText('Engine out and in')
  await expect(page.getByRole('list', { name: 'Jobs to do' })).not.toContainText('Toe by string')
  // What a quick release would take is kept with the build, and nonsense is not.
  await page.getByRole('link', { name: 'Record' }).click()
  const engine = page.getByTestId('operation-Engine out and in')
  await engine.getByLabel('With a quick release').fill('10')
  await engine.getByLabel('To make it').fill('a while')
  await engine.getByLabel('To make it').blur()
  await expect(engine.getByLabel('To make it')).toHaveValue('a while')
  await engine.getByLabel('To make it').fill('16')
  // Before it is left, and so saved.
  await page.reload()
  await expect(engine.getByLabel('To make it')).toHaveValue('16')
  await engine.getByLabel('To make it').focus()
  await engine.getByLabel('To make it').blur()
  await expect(engine).toContainText(/It has paid back after \d times/)
  await saved(page)
  await page.reload()
  await expect(engine.getByLabel('With a quick release')).toHaveValue('10')
  await expect(engine).toContainText(/It has paid back after \d times/)
  await page.goto(await demoAt(page, 'Nightjar', 5, 'shop?view=parts'))
  await page.getByRole('button', { name: 'Take over what is planned' }).click()
  await expect(dialog(page, 'Take parts over').getByRole('checkbox').first()).toBeChecked()
  await saved(page)
})

test('bad days and hours are refused in words, and nothing is lost', async ({ page }) => {
  const { at } = await freshBuild(page)
  await open(page, `${at('shop')}?view=calendar`)
  await page.keyboard.press('n')
  const hours = dialog(page, 'Note somebody’s hours')
  await fill(hours, { Name: 'Bea', From: '21:00', Until: '18:00' })
  await hours.getByRole('button', { name: 'Save the hours' }).click()
  await expect(hours.getByRole('alert').first()).toContainText('It ends before it begins')
  await expect(hours.getByLabel('Name', { exact: true })).toHaveValue('Bea')
  await hours.getByRole('button', { name: 'Add days away' }).click()
  await fill(hours, {
    Name: '',
    Until: 'half past nine',
    'Away from': '2026-12-24',
    'Up to and with': '2026-12-20',
  })
  await hours.getByRole('button', { name: 'Save the hours' }).click()
  await expect(hours.getByRole('alert')).toContainText([
    /name/i,
    /Write the time as hours and minutes/,
    /The last day is before the first/,
  ])
  await expect(hours.getByLabel('Until', { exact: true })).toHaveValue('half past nine')
  await fill(hours, { Name: 'Bea' })
  await page.reload()
  await expect(page.getByText('Nobody’s hours are noted')).toBeVisible()
  await page.keyboard.press('n')
  await expect(hours.getByText('Brought back what was typed here')).toBeVisible()
  await expect(hours.getByLabel('Name', { exact: true })).toHaveValue('Bea')
  await expect(hours.getByLabel('Until', { exact: true })).toHaveValue('half past nine')
  await expect(hours.getByLabel('Away from', { exact: true })).toHaveValue('2026-12-24')
  await fill(hours, { From: '17:00', Until: '24:00', 'Up to and with': '2026-12-31' })
  await hours.getByRole('button', { name: 'Save the hours' }).click()
  await expect(hours).toBeHidden()
  await expect(page.getByRole('button', { name: 'Change Bea' })).toBeVisible()
  await open(page, `${at('shop')}?view=parts`)
  await expect(page.getByText('No part to come yet')).toBeVisible()
  await page.keyboard.press('n')
  const part = dialog(page, 'Add a part to come')
  await fill(part, { Part: 'Box', 'Ordered on': '2026-11-10', 'Due on': '2026-11-01' })
  await part.getByRole('button', { name: 'Save the part' }).click()
  await expect(part.getByRole('alert').first()).toContainText('It is due before it was ordered.')
})

const FORMS = [
  { view: 'jobs', form: 'Take on a job', save: 'Save the job', first: 'Likely takes' },
  { view: 'parts', form: 'Add a part to come', save: 'Save the part', first: 'Price of one piece' },
  {
    view: 'parts',
    by: 'Add what is waited for',
    form: 'Add what is waited for',
    save: 'Save the wait',
    first: 'Likely takes',
  },
  { view: 'money', form: 'Set a budget', save: 'Save the budget', first: 'Budget' },
  { view: 'record', form: 'Guess before anybody knows', save: 'Save the guess', first: 'The guess' },
] as const

for (const { view, form, save, first, ...more } of FORMS)
  test(`${form}: nonsense in any field is named and kept, and a reload in the middle loses nothing`, async ({
    page,
  }) => {
    test.slow()
    const { at } = await freshBuild(page)
    await open(page, `${at('shop')}?view=${view}`)
    const begin = async () => {
      if ('by' in more) await page.getByRole('button', { name: more.by }).click()
      else await page.keyboard.press('n')
    }
    await begin()
    const sheet = dialog(page, form)
    await expect(sheet).toBeVisible()
    await tickAll(sheet)
    await refusesNonsense(sheet, save)
    const field = sheet.getByLabel(first, { exact: true })
    await field.fill('7')
    await page.reload()
    await expect(page.getByRole('heading', { name: 'Shop', level: 1 })).toBeVisible()
    await begin()
    await expect(sheet.getByText('Brought back what was typed here')).toBeVisible()
    await expect(field).toHaveValue('7')
    await sheet.getByRole('button', { name: 'Start over' }).click()
    await expect(field).toHaveValue('')
  })

test('a fixed date without a day or a time that is one is refused in words, and a reload loses nothing', async ({
  page,
}) => {
  const { at } = await freshBuild(page)
  await open(page, `${at('shop')}?view=date`)
  await expect(page.getByText('Nothing is open')).toBeVisible()
  await page.keyboard.press('n')
  const date = dialog(page, 'Fix a date')
  await fill(date, { 'What it is': '', Date: '' })
  await date.getByRole('button', { name: 'Save the date' }).click()
  await expect(date.getByRole('alert')).toHaveCount(2)
  for (const words of await date.getByRole('alert').allTextContents())
    expect(words).not.toMatch(/invalid|expected|NaN|undefined|null|received/i)
  await fill(date, { 'What it is': 'Round one', At: '09:30', Notes: 'scrutineering first' })
  await date.getByRole('button', { name: 'Save the date' }).click()
  await expect(date.getByRole('alert')).toContainText(/date/i)
  await page.reload()
  await expect(page.getByText('Nothing is open')).toBeVisible()
  await page.keyboard.press('n')
  await expect(date.getByText('Brought back what was typed here')).toBeVisible()
  await expect(date.getByLabel('What it is', { exact: true })).toHaveValue('Round one')
  await expect(date.getByLabel('At', { exact: true })).toHaveValue('09:30')
  await expect(date.getByLabel('Notes', { exact: true })).toHaveValue('scrutineering first')
  await fill(date, { Date: '2026-12-05' })
  await date.getByRole('button', { name: 'Save the date' }).click()
  await expect(date).toBeHidden()
})

test('a list of jobs is pasted, goes out as CSV and comes into another build with its links', async ({
  page,
}) => {
  test.slow()
  const { at } = await freshBuild(page)
  await open(page, at('shop'))
  await expect(page.getByText('No job at this stage yet')).toBeVisible()
  await line(page).evaluate((field) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData(
      'text',
      '- hood off 1h\n- engine out 6h after hood\n\n- steam clean 2h after the moon',
    )
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }))
  })
  const list = dialog(page, 'A list of jobs')
  const says = list.getByTestId('job-list-says')
  await expect(says.getByRole('listitem')).toHaveCount(3)
  await expect(says).toContainText('Engine out · stripping · 6 h · whoever can · after “Hood off”')
  await expect(says).toContainText('No job is called “the moon”')
  await list.getByLabel('A job on each line').fill('hood off 1h\nengine out 6h after hood')
  await page.reload()
  await page.getByRole('button', { name: 'Type a list' }).click()
  await expect(says.getByRole('listitem')).toHaveCount(2)
  await list.getByRole('button', { name: 'Take on 2 jobs' }).click()
  await expect(page.getByTestId('jobs-say')).toContainText('2 to do, 7 h as guessed')
  const file = await fileOffered(page, () => page.getByRole('button', { name: 'CSV', exact: true }).click())
  const other = await freshBuild(page)
  await open(page, other.at('shop'))
  await page.getByRole('button', { name: 'From a CSV' }).click()
  const sheet = dialog(page, 'Jobs from a CSV')
  await sheet.getByLabel('CSV of jobs').setInputFiles({
    name: 'no.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('job,likely (h)\nbleed,blue\n'),
  })
  await expect(sheet.getByTestId('import-list')).toContainText('Line 2')
  await sheet.getByLabel('CSV of jobs').setInputFiles(await file.path())
  await sheet.getByRole('button', { name: 'Add 2 jobs' }).click()
  await expect(page.getByRole('list', { name: 'Jobs to do' })).toContainText('waits for Hood off')
  await saved(page)
})

test('what is waited for has its own words, and a date that moved says what was promised first', async ({
  page,
}) => {
  const { at } = await freshBuild(page)
  await open(page, `${at('shop')}?view=parts&${ON}`)
  await page.getByRole('button', { name: 'Add what is waited for' }).click()
  const sheet = dialog(page, 'Add what is waited for')
  await fill(sheet, { 'What is waited for': 'Bonus from work', 'Promised for': '2026-12-01' })
  await sheet.getByLabel('It is', { exact: true }).selectOption({ label: 'money' })
  await sheet.getByRole('button', { name: 'Save the wait' }).click()
  await expect(sheet).toBeHidden()
  const waits = page.getByRole('list', { name: 'What else is waited for' })
  await waits.getByRole('button', { name: 'Asked Bonus from work' }).click()
  await expect(waits).toContainText('asked Sun 22 Nov · promised Tue 1 Dec')
  await waits.getByRole('button', { name: 'Change Bonus from work' }).click()
  const change = dialog(page, 'Change the wait')
  await fill(change, { 'Promised for': '2026-12-15' })
  await change.getByRole('button', { name: 'Save the wait' }).click()
  await expect(waits).toContainText('promised Tue 15 Dec · first Tue 1 Dec')
  await waits.getByRole('button', { name: 'There Bonus from work' }).click()
  await expect(waits).toContainText('there Sun 22 Nov')
  await saved(page)
})

test('what lies in the store is taken for what is wanted', async ({ page }) => {
  const { at } = await freshBuild(page)
  await open(page, `${at('shop')}?view=parts`)
  await expect(page.getByText('No part to come yet')).toBeVisible()
  await page.keyboard.press('n')
  const part = dialog(page, 'Add a part to come')
  await fill(part, { Part: 'Bonnet to cut' })
  await part.getByLabel('System', { exact: true }).selectOption({ label: 'Body' })
  await part.getByRole('button', { name: 'Save the part' }).click()
  await expect(part).toBeHidden()
  await page.getByRole('link', { name: 'Store' }).click()
  const wanted = page.getByRole('list', { name: 'Wanted, and perhaps in the store' })
  await expect(wanted).toContainText('Bonnet to cut: Steel bonnet off Wren, Loft')
  await wanted.getByRole('button', { name: 'Take it Steel bonnet for Bonnet to cut' }).click()
  await expect(wanted).toBeHidden()
  await page.getByRole('link', { name: 'Parts' }).click()
  await expect(page.getByTestId('parts').getByRole('row', { name: /Bonnet to cut/ })).toContainText('used')
  await saved(page)
})

test('the timeline stands by sub-assembly, and today and the timeline fit on paper', async ({ page }) => {
  test.slow()
  await open(page, await demoAt(page, 'Nightjar', 4, `shop?view=date&${ON}`))
  await expect(page.getByTestId('timeline')).toBeVisible()
  await page.getByRole('radio', { name: 'By sub-assembly' }).click()
  await expect(page.getByTestId('timeline').getByRole('heading', { name: 'Everything else' })).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByTestId('timeline')).toBeVisible()
  await expect(page.getByRole('radio', { name: 'By sub-assembly' })).toBeHidden()
  await page.emulateMedia({ media: 'screen' })
  await page.getByRole('link', { name: 'Today' }).click()
  await expect(page.getByTestId('today-says')).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByTestId('today-says')).toContainText('Nightjar, ')
})

test('a calendar goes out, and comes back with what somebody else wrote into it', async ({ page }) => {
  const { at } = await freshBuild(page)
  await open(page, `${at('shop')}?view=calendar`)
  await noteHours(page, 'Ines')
  const file = await fileOffered(page, () => page.getByRole('button', { name: 'Save as a calendar' }).click())
  const text = readFileSync(await file.path(), 'utf8')
  expect(text).toContain('RRULE:FREQ=WEEKLY;BYDAY=MO')
  const event = [
    'BEGIN:VEVENT',
    'UID:dyno@example.org',
    'SUMMARY:Dyno hall',
    'DTSTART:20270120T100000',
    'END:VEVENT',
  ]
  await page.getByRole('button', { name: 'Read a calendar' }).click()
  const sheet = dialog(page, 'Read a calendar')
  const field = sheet.getByLabel('Calendar file')
  await field.setInputFiles({ name: 'no.ics', mimeType: 'text/calendar', buffer: Buffer.from('hello') })
  await expect(sheet.getByRole('alert')).toContainText('That is no calendar file')
  const both = text.replace('END:VCALENDAR', `${event.join('\r\n')}\r\nEND:VCALENDAR`)
  await field.setInputFiles({ name: 'both.ics', mimeType: 'text/calendar', buffer: Buffer.from(both) })
  await expect(sheet.getByTestId('calendar-events').getByRole('listitem')).toHaveCount(2)
  await sheet.getByRole('button', { name: 'Take 2' }).click()
  await expect(page.getByTestId('fixed-dates')).toContainText('Dyno hall')
  await expect(page.getByTestId('fixed-dates')).toContainText('Wed 20 Jan 2027, 10:00')
  await expect(page.getByRole('list', { name: 'Hands' })).toContainText('Mon 18:00–21:00')
  await saved(page)
})

test('the demo tells its story: a late gearbox, an engine out seven times, promises and dates', async ({
  page,
}) => {
  test.slow()
  await open(page, await demoAt(page, 'Ember', 2, `shop?view=record&${ON}`))
  await expect(page.getByTestId('promises').getByRole('row', { name: /Ines, stripping/ })).toContainText(
    /4\.\d ×/,
  )
  await expect(page.getByTestId('deliveries').getByRole('row', { name: /Gearbox shed/ })).toContainText(
    /1\d$/,
  )
  const engine = page.getByTestId('operation-Engine out and in')
  await expect(engine).toContainText(/\d times/)
  await expect(engine).toContainText(/It has paid back after \d times: it would have already\./)
  await expect(page.getByTestId('guesses')).toContainText('Tomasz: hours of work')
  await page.getByRole('link', { name: 'Money' }).click()
  await expect(page.getByTestId('money').getByRole('row', { name: /Big turbo/ })).toContainText('is over')
  await page.goto(await demoAt(page, 'Nightjar', 4, `shop?view=today&${ON.replace('22', '23')}`))
  await expect(page.getByRole('list', { name: 'Today for Tomasz' })).toContainText('Boost leak found')
  await page.goto(await demoAt(page, 'Nightjar', 4, `shop?view=date&${ON}`))
  await expect(page.getByRole('button', { name: /Longmere, winter cup/ }).getByTestId('chance')).toHaveText(
    /^[4-6]\d %$/,
  )
  await page.goto(await demoAt(page, 'Nightjar', 4, 'shop?view=store'))
  await expect(page.getByTestId('store-says')).toContainText('parts came off')
})
