import { sampleComponent, sampleElement, sampleLine, sampleSwap } from '@bold-ballast/contract/sampleBuild'
import type { BuildFile } from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import { expect, fileOffered, fill, goTo, open, refusesNonsense, saved, test } from './bench'
import { geared } from './geared'

/** A second stage that is lighter, and a splitter on the first. */
const grown = (file: BuildFile, stageId: string) => {
  const second = randomUUID()
  file.stages.push({ ...file.stages[0]!, id: second, name: 'Lighter', order: 1, plannedWheelPower: 180_000 })
  file.stages[0]!.plannedWheelPower = 150_000
  const swap = { ...sampleSwap(second, randomUUID()), name: 'Interior out', workTime: 7200, cost: 0 }
  file.swaps.push(swap)
  file.lines.push({
    ...sampleLine(swap.id, randomUUID()),
    kind: 'off',
    mass: 60,
    fitted: false,
    grade: 'claim',
  })
  file.components.push(sampleComponent(stageId, randomUUID()))
  file.aeroElements.push(sampleElement(stageId, randomUUID()))
}

test('marks are set on measures of any room, nonsense is named, and the Board says what to do next', async ({
  page,
}) => {
  const at = await geared(page, undefined, grown)
  await open(page, at().replace('driveline', 'board'))
  await page.keyboard.press('n')
  const form = page.getByRole('dialog', { name: 'Set a mark' })
  await fill(form, { Measure: 'downforce' })
  await form.getByRole('button', { name: 'Save the mark' }).click()
  await expect(form.getByRole('alert').first()).toBeVisible()
  await refusesNonsense(form, 'Save the mark')
  await fill(form, { At: '180 km/h', 'This much': '50 kg', Tolerance: '0', 'It counts': '2' })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Board', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(form.getByText('Brought back what was typed here')).toBeVisible()
  await form.getByRole('button', { name: 'Save the mark' }).click()
  await expect(form).toBeHidden()
  const row = page.getByTestId('mark-downforce')
  await expect(row).toContainText('Downforce at 180 km/h')
  await expect(row).toContainText('coefficients are typed, not measured on this car')

  await page.keyboard.press('n')
  await fill(form, { Measure: 'topSpeed', 'In gear': '2', 'This much': '90 km/h' })
  await form.getByRole('button', { name: 'Save the mark' }).click()
  await expect(page.getByTestId('mark-topSpeed')).toContainText('Top speed in gear 2')
  await page.keyboard.press('n')
  await fill(form, { Measure: 'noise', 'This much, dB': '98' })
  await form.getByRole('button', { name: 'Save the mark' }).click()
  await expect(page.getByTestId('mark-noise')).toContainText('no noise is known at this stage')

  // One step for each thing that would settle something; taken on, it is a job, and undo takes it back.
  const steps = page.getByTestId('next-steps')
  await expect(steps).toContainText('Log downforce at held speeds')
  const count = await steps.getByRole('listitem').count()
  await steps.getByRole('button', { name: 'Take it on Log downforce at held speeds' }).press('Enter')
  const jobs = page.getByTestId('jobs')
  await expect(jobs.getByLabel('Log downforce at held speeds')).not.toBeChecked()
  await expect(steps.getByRole('listitem')).toHaveCount(count - 1)
  await jobs.getByLabel('Log downforce at held speeds').check()
  await page.reload()
  await expect(jobs.getByLabel('Log downforce at held speeds')).toBeChecked()
  await jobs.getByRole('button', { name: 'Drop Log downforce' }).click()
  await expect(steps).toContainText('Log downforce at held speeds')

  // All stages: the reason and the evidence of any cell.
  const matrix = page.getByTestId('matrix')
  await expect(matrix.getByRole('rowheader')).toHaveCount(3)
  await matrix
    .getByRole('row', { name: /Downforce/ })
    .getByRole('button')
    .first()
    .click()
  await expect(page.getByTestId('matrix-says')).toContainText('coefficients are typed, not measured')
  await page.getByRole('link', { name: 'See the evidence' }).click()
  await expect(page.getByRole('heading', { name: 'Aero', level: 1 })).toBeVisible()
  await saved(page)
})

test('the gain of a stage is split, and its proof sheet says what is shown and what is open', async ({
  page,
}) => {
  const at = await geared(page, undefined, grown)
  await open(page, at().replace('driveline', 'proof'))
  const sheet = page.getByTestId('proof-sheet')
  await expect(sheet).toContainText('Class')
  await expect(sheet).toContainText('Component 0')
  await expect(sheet).toContainText('Nobody has weighed the car at this stage.')
  const json = await fileOffered(page, () =>
    page.getByRole('button', { name: 'JSON, with the whole record' }).click(),
  )
  expect(json.suggestedFilename()).toMatch(/proof\.json$/)
  const csv = await fileOffered(page, () =>
    page.getByRole('button', { name: 'CSV', exact: true }).first().click(),
  )
  expect(csv.suggestedFilename()).toMatch(/proof\.csv$/)

  await page.getByRole('link', { name: 'Gain split' }).click()
  await expect(page.getByRole('heading', { name: 'Nothing to split yet' })).toBeVisible()
  await page.getByRole('link', { name: /Lighter/ }).click()
  await expect(page.getByRole('heading', { name: 'Proof', level: 1 })).toBeVisible()
  await page.getByRole('link', { name: 'Gain split' }).click()
  const split = page.getByTestId('gain-split')
  await expect(split.getByRole('row', { name: /Interior out/ })).toContainText('+')
  await expect(split.getByRole('row', { name: /Power at the wheels/ })).toBeVisible()
  // Shares and the start add up to the end.
  const figures = (await split.locator('td.figure').allTextContents()).map((t) =>
    Number(
      t
        .split('±')[0]!
        .replace('−', '-')
        .replace(/[^0-9.+-]/g, ''),
    ),
  )
  const [first, ...rest] = figures
  const last = rest.pop()!
  expect(rest.reduce((a, b) => a + b, first!)).toBeCloseTo(last, 0)
  await page.getByRole('radio', { name: '402 m' }).click()
  await expect(page.getByTestId('gain-says')).toContainText(/s: the largest change (that is shown )?is “/)
})

test('a claim that is weighed is audited, and a build can reckon with it', async ({ page }) => {
  const at = await geared(page, undefined, (file, stageId) => {
    const swap = sampleSwap(stageId, randomUUID())
    file.swaps.push(swap)
    for (let i = 0; i < 6; i += 1)
      file.lines.push({
        ...sampleLine(swap.id, randomUUID(), i),
        kind: 'on',
        name: `Tested part ${i}`,
        mass: 11,
        grade: 'measured',
        said: { mass: 10, grade: 'claim', source: 'seller' },
      })
  })
  await open(page, at().replace('driveline', 'proof?view=claims'))
  await expect(page.getByTestId('audit-says')).toContainText('parts of the workshop were weighed')
  await expect(page.getByTestId('worst')).toContainText('Tested part')
  await page.getByRole('button', { name: /Reckon with it/ }).click()
  await expect(page.getByTestId('reckon')).toContainText('This build reckons with it.')
  await expect(page.getByTestId('reckon')).toContainText(/makers’ claims by \d+\.\d/)
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('button', { name: /Reckon with it/ })).toBeVisible()
  await goTo(page, 'Board')
  await saved(page)
})

test('a stage is frozen with what is missing said, can’t be changed, and is opened again with a reason', async ({
  page,
}) => {
  const at = await geared(page, undefined, (file, stageId) => {
    file.swaps.push({ ...sampleSwap(stageId, randomUUID()), name: 'Seats' })
  })
  await open(page, at().replace('driveline', 'proof'))
  await page.getByRole('button', { name: 'Freeze this stage' }).click()
  const freeze = page.getByRole('dialog', { name: /^Freeze / })
  await expect(freeze.getByTestId('missing')).toContainText('Nobody has weighed the car')
  await freeze.getByRole('button', { name: 'Sign and freeze' }).click()
  await expect(freeze.getByText('Say who signs.')).toBeVisible()
  await fill(freeze, { 'Signed by': 'A. Builder' })
  await freeze.getByRole('button', { name: 'Sign and freeze' }).click()
  await expect(page.getByTestId('frozen')).toBeVisible()
  await expect(page.getByTestId('proof-sheet')).toContainText('by A. Builder')
  await saved(page)

  // The build itself goes on: what that moves is listed beside the signature.
  await expect(page.getByTestId('moved')).toHaveCount(0)
  await page.keyboard.press('b')
  const build = page.getByRole('dialog', { name: 'The build' })
  await fill(build, { 'Fuel aboard': '31 l' })
  await build.getByRole('button', { name: 'Save the build' }).click()
  await expect(page.getByTestId('moved')).toContainText('31.0 l')
  await saved(page)

  // A change anywhere in the stage is refused with the way out, and nothing is lost.
  await goTo(page, 'Board')
  await page.keyboard.press('n')
  const mark = page.getByRole('dialog', { name: 'Set a mark' })
  await fill(mark, { 'This much': '1,000' })
  await mark.getByRole('button', { name: 'Save the mark' }).click()
  await expect(mark.getByRole('alert')).toContainText('is frozen: open it again in Proof, with a reason')
  await expect(mark.getByLabel('This much')).toHaveValue('1000')
  await mark.getByRole('button', { name: 'Close' }).click()

  await goTo(page, 'Proof')
  await page.getByRole('button', { name: 'Open it again' }).click()
  const reopen = page.getByRole('dialog', { name: /^Open .* again$/ })
  await reopen.getByRole('button', { name: 'Open it again' }).click()
  await expect(reopen.getByText('Say why it is opened again.')).toBeVisible()
  await fill(reopen, { Why: 'The scales were off', By: 'A. Builder' })
  await reopen.getByRole('button', { name: 'Open it again' }).click()
  await expect(page.getByRole('button', { name: 'Freeze this stage' })).toBeVisible()
  const before = page.getByTestId('sealed-before')
  await expect(before).toContainText('The scales were off')
  await before.getByRole('button', { name: 'Show it' }).click()
  await expect(before.getByTestId('proof-sheet')).toContainText('by A. Builder')
  await goTo(page, 'Board')
  await page.keyboard.press('n')
  await mark.getByRole('button', { name: 'Save the mark' }).click()
  await expect(page.getByTestId('mark-mass')).toBeVisible()
  await saved(page)
})

test('the history says what was done with before and after, and brings an earlier time back beside now', async ({
  page,
}) => {
  const at = await geared(page)
  await open(page, at().replace('driveline', 'proof?view=history'))
  await expect(page.getByRole('heading', { name: 'Nothing was done yet' })).toBeVisible()
  await goTo(page, 'Board')
  await page.keyboard.press('n')
  const mark = page.getByRole('dialog', { name: 'Set a mark' })
  await fill(mark, { 'This much': '1,000' })
  await mark.getByRole('button', { name: 'Save the mark' }).click()
  await saved(page)
  await page.getByRole('button', { name: /^Change the mark on mass/ }).click()
  const change = page.getByRole('dialog', { name: 'Change the mark' })
  await fill(change, { 'This much': '990' })
  await change.getByRole('button', { name: 'Save the mark' }).click()
  await expect(change).toBeHidden()
  await saved(page)
  await goTo(page, 'Proof')
  await page.getByRole('link', { name: 'History' }).click()
  const list = page.getByTestId('history')
  await expect(list.getByRole('listitem').first()).toContainText('Change the mark on mass')
  await list.getByRole('button', { name: 'Show Change the mark on mass' }).click()
  await expect(list.getByTestId('changes')).toContainText('1,000.0 kg → 990.0 kg')
  const earlier = new Date(Date.now() - 3_600_000)
  const local = new Date(earlier.getTime() - earlier.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
  await page.getByLabel('On', { exact: true }).fill(local)
  await expect(page.getByTestId('compared')).toContainText('1 record differs')
  await expect(page.getByTestId('compared')).toContainText('mark added')
})
