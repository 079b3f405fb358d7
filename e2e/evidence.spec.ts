import type { Page } from '@playwright/test'
import { demoAt, expect, fileOffered, fill, freshBuild, open, saved, test } from './bench'

test('a weigh-in shows its result while it is typed, beside the books, and lands on a ticket', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('scales'))
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'Log a weigh-in' })
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(sheet.getByRole('alert').first()).toContainText('Type what the pad reads')
  await fill(sheet, { 'Front left': '232', 'Front right': '218 kg', 'Rear left': '-4', 'Rear right': '226' })
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(sheet.getByText('A pad can’t read below zero')).toBeVisible()
  await sheet.getByLabel('Rear left', { exact: true }).fill('204')
  await expect(page.getByTestId('live-weigh')).toContainText('880')
  await expect(page.getByTestId('live-weigh')).toContainText('51.1')
  await sheet.getByLabel('Driver aboard').fill('2000')
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(sheet.getByText('The driver weighs more than everything on the scales')).toBeVisible()
  await sheet.getByLabel('Driver aboard').fill('0')
  await sheet.getByLabel('Note tyre pressures').check()
  await sheet.getByLabel('Tyre, front left').fill('28 psi')
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  const results = page.getByTestId('weigh-results')
  await expect(results.getByRole('row', { name: /Front share/ })).toContainText('51.1')
  await expect(results.getByRole('row', { name: /Left share/ })).toContainText('49.5')
  await expect(results.getByRole('row', { name: /Cross share/ })).toContainText('48.0')
  await expect(page.getByText(/The books are off/)).toBeVisible()
  await saved(page)
})

const bring = async (page: Page, name: string, text: string | Buffer) =>
  page.getByLabel('CSV of a pull').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })

async function dynoDay(page: Page) {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('dyno'))
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'Log a dyno day' })
  await fill(sheet, {
    Dyno: 'Test rollers',
    'Fuel, as labelled': 'E85',
    'Ethanol, measured': '79',
    'Air temperature': '95 F',
    Barometer: '950 mbar',
    'Relative humidity': '0',
  })
  await sheet.getByRole('button', { name: 'Save the dyno day' }).click()
  await expect(page.getByText('ethanol measured 79 %')).toBeVisible()
  await page.keyboard.press('n')
  return build
}

test('a CSV with semicolons and decimal commas is read, bad rows are named, and both figures are kept', async ({
  page,
}) => {
  await dynoDay(page)
  const rows = [
    'Leistung;n',
    'Power [PS];Torque [Nm];rpm',
    '85,5;200,2;3000',
    '116,3;oops;4000',
    '139,6;196,1;5000',
    '139,6;196,1;5000',
    '100,0;175,6;4000',
  ]
  await bring(page, 'long runners.csv', rows.join('\r\n'))
  const preview = page.getByTestId('import-preview')
  await expect(preview).toContainText('5 rows read, 1 left out')
  await expect(preview).toContainText('Line 4: torque: “oops” is not a number')
  await expect(preview).toContainText('Laid on an even grid of 25 rpm')
  await expect(page.getByTestId('import-peaks')).toContainText('102.7 kW')
  await expect(page.getByLabel('Name of the pull')).toHaveValue('long runners')
  await page.getByRole('button', { name: 'Save the pull' }).click()
  const row = page.getByTestId('pulls').getByRole('row', { name: /long runners/ })
  await expect(row).toContainText('102.7')
  // × 1.0701 by SAE J1349 at 35 °C and 95.0 kPa, dry.
  await expect(row).toContainText('109.9')
  await expect(page.getByText(/outside 0.93 to 1.07/)).toBeVisible()
  await expect(page.locator('.js-plotly-plot')).toBeVisible()
  await row.getByRole('checkbox').check()
  await expect(page.getByText(/Wheel power of this stage, observed/)).toContainText('measured from 1 pull')
  await saved(page)
})

test('a file that can’t be a pull is refused with a reason, and a unit that isn’t named is asked for', async ({
  page,
}) => {
  await dynoDay(page)
  const alert = page.getByRole('dialog').getByRole('alert').first()
  await bring(page, 'empty.csv', '')
  await expect(alert).toContainText('is empty')
  await bring(page, 'text.csv', 'dear dyno\nplease run\n')
  await expect(alert).toContainText('No row with two numbers')
  await bring(page, 'huge.csv', Buffer.alloc(21 * 1024 * 1024, '1'))
  await expect(alert).toContainText('21 MB; 20 MB is the most')
  await bring(page, 'words.csv', 'rpm,torque (Nm)\nslow,1,2\nfast,3,4\n')
  await expect(alert).toContainText('No row could be read. Line 2: engine speed: “slow” is not a number')
  await bring(page, 'bare.csv', 'rpm,torque\n3000,150\n4000,160\n')
  await expect(alert).toContainText('Say which unit the torque column is in')
  await page.getByLabel('Unit of torque').selectOption('lb·ft')
  await expect(page.getByTestId('import-peaks')).toContainText('216.9 N·m')
})

test('a log of 100,000 rows is read in a worker, with progress, while the page goes on', async ({ page }) => {
  await dynoDay(page)
  const rows = Array.from(
    { length: 100_000 },
    (_, i) => `${2000 + i * 0.05},${(200 + Math.sin(i / 9000)).toFixed(3)}`,
  )
  await bring(page, 'long.csv', `rpm,Torque (Nm)\n${rows.join('\n')}\n`)
  await page.getByLabel('Name of the pull').fill('typed meanwhile')
  await expect(page.getByTestId('import-preview')).toContainText('100,000 rows read, none left out')
  await expect(page.getByTestId('import-preview')).toContainText('rows that share a step are averaged')
})

test('typed peaks are kept as a claim, and marks say met, missed or can’t tell with the reason', async ({
  page,
}) => {
  await dynoDay(page)
  const sheet = page.getByRole('dialog', { name: 'Add a pull' })
  await sheet.getByRole('tab', { name: 'Type the peaks' }).click()
  await sheet.getByRole('button', { name: 'Save the pull' }).click()
  await expect(sheet.getByText('A pull needs a curve or at least its peak power')).toBeVisible()
  await sheet.getByLabel('Peak power').fill('218 hp')
  await sheet.getByLabel('at engine speed').first().fill('6500')
  await sheet.getByLabel('Known by').selectOption('claim')
  await sheet.getByRole('button', { name: 'Save the pull' }).click()
  await expect(page.getByTestId('pulls')).toContainText('162.6')
  await page.keyboard.press('g')
  await page.keyboard.press('b')
  await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible()
  const mark = async (measure: string, comparator: string, value: string) => {
    await page.keyboard.press('n')
    const set = page.getByRole('dialog', { name: 'Set a mark' })
    await set.getByLabel('Measure').selectOption(measure)
    await set.getByLabel('It should be').selectOption(comparator)
    await set.getByLabel('This much').fill(value)
    await set.getByRole('button', { name: 'Save the mark' }).click()
  }
  await mark('wheelPower', 'atLeast', '160 kW')
  await expect(page.getByTestId('mark-wheelPower')).toContainText('can’t tell yet')
  await expect(page.getByTestId('mark-wheelPower')).toContainText(
    'rests on what was claimed, and only a measurement shows',
  )
  await mark('mass', 'atMost', '6 t')
  await expect(page.getByTestId('mark-mass')).toContainText('met')
  await mark('powerToWeight', 'atLeast', '60')
  await expect(page.getByTestId('mark-powerToWeight')).toContainText('points to missed')
  await expect(page.getByTestId('tally')).toContainText('Power to weight')
  await saved(page)
})

test('curves of one dyno are laid over each other, days too; another dyno’s are not', async ({ page }) => {
  await open(page, '/?find=Nightjar')
  await page.getByRole('link', { name: 'Nightjar' }).click()
  await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible()
  await page.keyboard.press('g')
  await page.keyboard.press('d')
  const chart = page.getByRole('region', { name: 'Curves' })
  await expect(chart.getByRole('heading', { name: 'Power, observed' })).toBeVisible()
  await expect(chart.getByText(/Pulls of Harbour Street rollers are not laid over these/)).toBeVisible()
  await expect(chart.getByLabel('Other days on this dyno')).toHaveCount(0)
  await chart.getByRole('radio', { name: 'SAE J1349' }).click()
  await expect(chart.getByRole('heading', { name: 'Power, SAE J1349' })).toBeVisible()
  await chart.getByRole('radio', { name: 'Torque' }).click()
  await chart.getByRole('button', { name: 'Table' }).click()
  const table = page.getByRole('region', { name: /as a table/ })
  await expect(table.getByRole('columnheader')).toHaveText([
    'rpm',
    /Wastegate spring/,
    /spring, again/,
    /spring, third/,
    /first/,
    /second/,
    /third/,
  ])
  await expect(table.getByRole('row', { name: /^5000/ })).toContainText(/4\d\d/)
  const csv = await fileOffered(page, () => chart.getByRole('button', { name: 'CSV' }).click())
  expect(csv.suggestedFilename()).toBe('Nightjar 2026-05-02 torque corrected.csv')

  // Stages 1 and 5 were on the same rollers: those days may be compared.
  await page.keyboard.press(']')
  await expect(page.getByRole('link', { name: /5 Big wing/ })).toHaveAttribute('aria-current', 'step')
  await page.getByLabel('Other days on this dyno').check()
  // It is still the table that is shown.
  await expect(page.getByRole('columnheader', { name: /stage 1/ })).toHaveCount(2)
})

test('a build that was reckoned otherwise before says once what reads otherwise, and why', async ({
  page,
}) => {
  let isUntold = true
  await page.route('**/reckoning', async (route) => {
    if (route.request().method() === 'DELETE') isUntold = false
    await (route.request().method() === 'DELETE'
      ? route.fulfill({ status: 204 })
      : route.fulfill({ json: { isUntold } }))
  })
  await open(page, await demoAt(page, 'Nightjar', 3, 'board'))
  const bar = page.getByTestId('reads-otherwise')
  await bar.getByRole('button', { name: 'What, and why' }).click()
  const sheet = page.getByRole('dialog', { name: 'What reads otherwise' })
  await expect(sheet).toContainText('only what was measured does')
  await expect(sheet.getByTestId('otherwise').or(sheet.getByTestId('none-otherwise'))).toBeVisible()
  await page.keyboard.press('Escape')
  // Nobody has said that it was read.
  await expect(bar).toBeVisible()
  await bar.getByRole('button', { name: 'What, and why' }).click()
  await sheet.getByRole('button', { name: 'I have read it' }).click()
  await expect(bar).toBeHidden()
  await page.reload()
  await expect(page.getByTestId('tally')).toBeVisible()
  await expect(bar).toBeHidden()
})

test('a test is planned first: pulls, weighings, and what shows a target that is being typed', async ({
  page,
}) => {
  await open(page, await demoAt(page, 'Nightjar', 4, 'dyno?view=compare'))
  const plan = page.getByTestId('plan-first')
  const takes = page.getByTestId('readings-it-takes')
  await expect(takes).toContainText(/\d pulls of each on one day show it in four of five cases/)
  await plan.getByLabel('A difference of').fill('0.2 hp')
  await expect(takes).toContainText('Not even 8 pulls of each show it.')
  await plan.getByLabel('A difference of').fill('nothing')
  await expect(takes).toContainText('Type a difference above zero')
  await plan.getByLabel('A difference of').fill('20 kW')
  await expect(takes).toContainText(/A B B A/)
  await open(page, await demoAt(page, 'Nightjar', 4, 'scales'))
  await expect(takes).toContainText(/\d weighings before and \d after/)
  await open(page, await demoAt(page, 'Nightjar', 4, 'board'))
  await page
    .getByTestId('mark-mass')
    .getByRole('button', { name: /^Change/ })
    .click()
  const sheet = page.getByRole('dialog', { name: 'Change the mark' })
  await expect(sheet.getByTestId('test-of-mark')).toContainText('would know it to ±')
  await sheet.getByLabel('This much').fill('1150')
  await expect(sheet.getByTestId('test-of-mark')).toContainText('It is thought to miss it by')
  await sheet.getByLabel('This much').fill('a lot')
  await expect(sheet.getByTestId('test-of-mark')).toBeHidden()
})
