import { sampleComponent } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { expect, fill, freshBuild, goTo, open, saved, test } from './bench'
import { geared } from './geared'

test('a part wears by the days that are logged, gives out, is renewed, and its life is learned from', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('driveline?view=life'))
  await page.getByRole('button', { name: 'Add what wears' }).last().click()
  const component = page.getByRole('dialog', { name: 'Add a component' })
  await fill(component, { Component: 'Synchro, third', 'Expected to last': '4', Spread: '25 %' })
  await component.getByRole('button', { name: 'Save the component' }).click()
  const lives = page.getByTestId('lives').getByRole('listitem')
  await expect(lives).toHaveCount(1)
  await expect(lives.first()).toContainText('0 of 4 track days')

  const day = page.getByRole('dialog', { name: 'Log a day' })
  const log = async (name: string, date: string, planned = false) => {
    await page.getByRole('button', { name: 'Log a day' }).click()
    await fill(day, { 'Where and what': name, Date: date, 'Laps or runs': '20' })
    if (planned) await day.getByLabel('Still to come').check()
    await day.getByRole('button', { name: 'Save the day' }).click()
    await expect(day).toBeHidden()
  }
  for (const [i, date] of ['2026-04-01', '2026-05-01', '2026-06-01'].entries())
    await log(`Round ${i + 1}`, date)
  await expect(lives.first()).toContainText('3 of 4 track days')
  await log('Final', '2026-12-12', true)
  await expect(page.getByTestId('life-says')).toContainText(
    'Before Final on 2026-12-12: nothing runs out. Take spares of Synchro, third. None on the shelf of Synchro, third.',
  )
  await log('Round 4', '2026-07-01')
  await expect(page.getByTestId('life-says')).toContainText('Synchro, third to be changed')
  await expect(lives.first()).toContainText('runs out')

  await page.getByRole('button', { name: 'Log a failure' }).click()
  const failure = page.getByRole('dialog', { name: 'Log a failure' })
  await failure.getByRole('button', { name: 'Save the entry' }).click()
  await expect(failure.getByRole('alert').first()).toContainText('Give it a name')
  await fill(failure, { 'What gave out': 'Third crunches', Date: '2026-07-01' })
  await failure.getByLabel('About').selectOption({ label: 'Synchro, third' })
  await fill(failure, { 'Changed shortly before': 'More boost' })
  await failure.getByRole('button', { name: 'One more part' }).click()
  await fill(failure, { 'Part 1': 'Synchro ring', Each: '64' })
  await page.reload()
  await page.getByRole('button', { name: 'Log a failure' }).click()
  await expect(failure.getByLabel('What gave out')).toHaveValue('Third crunches')
  await expect(failure.getByLabel('Part 1')).toHaveValue('Synchro ring')
  await failure.getByRole('button', { name: 'Save the entry' }).click()
  await expect(lives.first()).toContainText('0 of 4 track days')
  await expect(lives.first()).toContainText('one failed at 4 track days')
  await expect(page.getByTestId('services')).toContainText('changed before: More boost')
  await page.getByRole('button', { name: 'Remove Third crunches' }).click()
  await expect(lives.first()).toContainText('4 of 4 track days')
  await page.keyboard.press('Control+z')
  await expect(lives.first()).toContainText('0 of 4 track days')
  await saved(page)
})

test('links below their margin become planned swaps of the next stage with one key', async ({ page }) => {
  const at = await geared(page, undefined, (file, stageId) => {
    file.components.push(
      {
        ...sampleComponent(stageId, randomUUID(), 0),
        name: 'Old box',
        rating: 200,
        mass: 32,
        replacement: {
          name: 'Strong box',
          rating: 900,
          mass: 41,
          massGrade: 'claim',
          price: 1800,
          workTime: 36_000,
        },
      },
      { ...sampleComponent(stageId, randomUUID(), 1), name: 'Stout clutch', rating: 5000 },
    )
  })
  await open(page, at('links'))
  const before = page.getByTestId('before-next')
  await expect(before).toContainText('Old box')
  await expect(before).toContainText('Strong box, 900 N·m, +9.0 kg, 1,800')
  await expect(before).not.toContainText('Stout clutch')
  await before.getByRole('button', { name: 'Plan it in a new stage' }).click()
  await expect(before).toContainText('planned: Strong box')
  await expect(before).toContainText('All of it is planned.')
  await page.getByRole('link', { name: /After As bought/ }).click()
  await goTo(page, 'Swaps')
  await expect(page.getByRole('gridcell', { name: 'Part of Strong box' })).toBeVisible()
  await expect(page.getByRole('gridcell', { name: 'Part of Old box' })).toBeVisible()
  await goTo(page, 'Driveline')
  await page.getByRole('link', { name: 'Weak links' }).click()
  const links = page.getByTestId('links').getByRole('listitem')
  await expect(links.filter({ hasText: 'Strong box' })).toHaveCount(1)
  await expect(links.filter({ hasText: 'Old box' })).toHaveCount(0)
  await saved(page)
})

test('a rating stated for petrol is brought to the fuel that is burnt', async ({ page }) => {
  const at = await geared(page, undefined, (file, stageId) => {
    file.dynoDays[0]!.ethanol = 0.85
    file.components.push({
      ...sampleComponent(stageId, randomUUID()),
      name: 'Injectors',
      kind: 'power',
      shaft: null,
      rating: 300e3,
      flow: 'fuel',
      statedEthanol: 0,
    })
  })
  await open(page, at('links'))
  const link = page.getByTestId('links').getByRole('listitem')
  await expect(link).toContainText('212 kW on this fuel')
  await expect(page.getByTestId('weakest')).toContainText('on 85 % ethanol')
})

test('a list of components and a season come from CSVs, with each bad row named', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('driveline?view=life'))
  await page.getByRole('button', { name: 'Add what wears' }).last().click()
  const component = page.getByRole('dialog', { name: 'Add a component' })
  await fill(component, { Component: 'Belt', 'Expected to last': '30' })
  await component.getByRole('button', { name: 'Save the component' }).click()
  const bring = async (title: string, field: string, csv: string) => {
    const sheet = page.getByRole('dialog', { name: title })
    const file = { name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) }
    await sheet.getByLabel(field).setInputFiles(file)
    return sheet
  }
  await page.getByRole('button', { name: 'From a CSV', exact: true }).click()
  const parts = await bring(
    'Components from a CSV',
    'CSV of components',
    'component,life in,expected life\nPads,hours,6\nOil,hours,soon\nRing gear,,',
  )
  await expect(parts.getByTestId('import-list')).toContainText('1 component, 2 left out')
  await expect(parts.getByTestId('import-list')).toContainText('Line 3: expected life: “soon” is not a time')
  await parts.getByRole('button', { name: 'Add 1 component' }).click()
  await page.getByRole('button', { name: 'From a CSV of days' }).click()
  const days = await bring(
    'Days from a CSV',
    'CSV of days',
    'date,name,hours\n2026-05-02,Loop,2.5\n2026-06-02,Loop,2',
  )
  await days.getByRole('button', { name: 'Add 2 days' }).click()
  await expect(page.getByTestId('lives')).toContainText('4.5 of 6.0 hours')
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('lives')).toContainText('0.0 of 6.0 hours')
  await saved(page)
})
