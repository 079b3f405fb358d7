import { randomUUID } from 'node:crypto'
import { sampleLine, sampleSwap } from '@bold-ballast/contract/sampleBuild'
import { expect, fill, goTo, open, saved, test } from './bench'
import { geared } from './geared'

test('something is tried apart from the build, turned, opened in all rooms, compared, and one of two is taken over', async ({
  page,
}) => {
  const at = await geared(page, undefined, (file, stageId) => {
    const swap = { ...sampleSwap(stageId, randomUUID()), name: 'Interior out' }
    file.swaps.push(swap)
    file.lines.push({ ...sampleLine(swap.id, randomUUID()), kind: 'off', mass: 40, fitted: true })
  })
  const board = at().replace('driveline', 'board')
  const massNow = () => page.getByTestId('tally').textContent()
  await open(page, `${board}?view=whatif`)
  const before = await massNow()
  await expect(page.getByRole('heading', { name: 'Nothing is being tried from this stage' })).toBeVisible()
  const form = page.getByRole('dialog', { name: 'Try something' })
  const start = async (name: string) => {
    await page.keyboard.press('n')
    await fill(form, { 'What you try': name })
    await form.getByRole('button', { name: 'Start trying' }).click()
    await expect(form).toBeHidden()
  }
  await page.keyboard.press('n')
  await form.getByRole('button', { name: 'Start trying' }).click()
  await expect(form.getByRole('alert').first()).toContainText('Give it a name')
  await fill(form, { 'What you try': 'Shorter drive' })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Board', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(form.getByLabel('What you try')).toHaveValue('Shorter drive')
  await form.getByRole('button', { name: 'Start trying' }).click()
  await start('Twenty kilos off')

  // Turned by its figure and by its slider: the table follows, nonsense is refused.
  const table = page.getByTestId('tried')
  const turn = page.getByRole('region', { name: 'Turn it' })
  await turn.getByRole('button', { name: 'Twenty kilos off' }).click()
  const kilos = turn.getByLabel('Kilos on or off, exactly')
  await kilos.fill('heavy')
  await expect(turn.getByRole('alert')).toContainText('“heavy” is not a mass')
  await kilos.fill('-400')
  await expect(turn.getByRole('alert')).toContainText('From −100.0 kg to 100.0 kg')
  await kilos.fill('-20')
  await kilos.blur()
  const mass = table.getByRole('row', { name: /^Mass/ })
  await expect(mass.getByRole('cell').nth(2)).toContainText('−20.0')
  await expect(mass.getByRole('cell').nth(1)).toContainText('as it is')
  await turn.getByRole('button', { name: 'Shorter drive' }).click()
  await turn.getByLabel('Final drive', { exact: true }).focus()
  const top = table.getByRole('row', { name: /^Top speed/ })
  for (let i = 0; i < 20; i += 1) await page.keyboard.press('ArrowRight')
  await expect(top.getByRole('cell').nth(1)).toContainText('−')
  await saved(page)
  expect(await massNow()).toBe(before)

  // Inside it, every room shows the car as it would be, and the build stays as it was.
  await table.getByRole('button', { name: /Open Twenty kilos off/ }).click()
  await expect(page.getByRole('region', { name: 'What is being tried' })).toContainText('Twenty kilos off')
  await expect(page.getByRole('gridcell', { name: 'Part of Kilos tried' })).toBeVisible()
  await goTo(page, 'Proof')
  await expect(page.getByRole('button', { name: 'Freeze this stage' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Compare' }).click()
  await expect(page.getByRole('heading', { name: 'Board', level: 1 })).toBeVisible()
  await goTo(page, 'Swaps')
  await expect(page.getByRole('gridcell', { name: 'Part of Kilos tried' })).toHaveCount(0)

  // One is taken over, and the other is still there; taken back, both are.
  await open(page, `${board}?view=whatif`)
  await table.getByRole('button', { name: /Take over Twenty kilos off/ }).click()
  const adopt = page.getByRole('dialog', { name: /Take over/ })
  await expect(adopt).toContainText('Kilos tried')
  await adopt.getByRole('button', { name: 'Take it over' }).click()
  await expect(adopt).toBeHidden()
  await goTo(page, 'Swaps')
  await expect(page.getByRole('gridcell', { name: 'Part of Kilos tried' })).toBeVisible()
  await page.keyboard.press('Control+z')
  // The stage that it had become is gone: what is compared stands there again, with both.
  await expect(page.getByRole('heading', { name: 'Board', level: 1 })).toBeVisible()
  await expect(table.getByRole('button', { name: /Take over/ })).toHaveCount(2)
  await page.keyboard.press('Control+y')
  await expect(table.getByRole('button', { name: /Take over/ })).toHaveCount(1)
  await expect(page.getByTestId('adopted')).toContainText('Twenty kilos off')
  await page.getByRole('complementary', { name: 'Stages' }).getByRole('link').last().click()
  await goTo(page, 'Swaps')
  await expect(page.getByRole('gridcell', { name: 'Part of Kilos tried' })).toBeVisible()
  await saved(page)
})

test('the line of a course is typed, nonsense is named by its line, and a lap is split among what changed', async ({
  page,
}) => {
  const at = await geared(page, undefined, (file, stageId) => {
    const second = randomUUID()
    file.stages.push({
      ...file.stages[0]!,
      id: second,
      name: 'Lighter',
      order: 1,
      plannedWheelPower: 120_000,
    })
    const swap = { ...sampleSwap(second, randomUUID()), name: 'Glass to plastic' }
    file.swaps.push(swap)
    file.lines.push({ ...sampleLine(swap.id, randomUUID()), kind: 'off', mass: 60, fitted: true })
    expect(stageId).not.toBe(second)
  })
  await open(page, at().replace('driveline', 'course?view=courses'))
  const form = page.getByRole('dialog', { name: 'Add the line of a course' })
  const text = form.getByLabel('Straights and corners, as they come')
  await page.keyboard.press('n')
  await form.getByLabel('Course', { exact: true }).fill('Test loop')
  await text.fill('420\nr32 90°\n300\nr45 80')
  await expect(form.getByTestId('line-read')).toContainText('850 m, 2 corners')
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Course', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(text).toHaveValue('420\nr32 90°\n300\nr45 80')
  await form.getByRole('button', { name: 'Save the line' }).click()
  await expect(page.getByTestId('course-list')).toContainText(
    /Test loop[^]*850 m, 2 corners[^]*\d\d\.\d\d s at the limit/,
  )
  await saved(page)

  await page.getByRole('link', { name: /Lighter/ }).click()
  await expect(page.getByText(/Stage 2, Lighter/)).toBeVisible()
  await goTo(page, 'Proof')
  await page.getByRole('link', { name: 'Gain split' }).click()
  await page.getByRole('radio', { name: 'Lap, Test loop' }).click()
  await expect(page.getByTestId('gain-says')).toContainText('s: the largest change is “Power at the wheels”')
  await expect(page.getByTestId('gain-split').getByRole('row', { name: /Glass to plastic/ })).toContainText(
    '−',
  )
})
