import type { BuildFile } from '@bold-ballast/contract'
import { sampleComponent } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { expect, open, refusesNonsense, test, tickAll } from './bench'
import { geared } from './geared'

/** Forms with number fields that no journey fills with nonsense: the view, what opens them, and their button. */
const FORMS = [
  {
    view: '',
    by: 'Gears and grip',
    form: 'Gears and grip',
    save: 'Save gears and grip',
    first: 'First gear',
  },
  { view: 'life', by: 'Log a day', form: 'Log a day', save: 'Save the day', first: 'Running' },
  {
    view: 'links',
    by: 'Change Box',
    form: 'Change the component',
    save: 'Save the component',
    first: 'Weighs',
  },
  { view: 'shelf', by: 'Change Tyre', form: 'Change the set', save: 'Save the set', first: 'Rolls out' },
] as const

const withAll = (file: BuildFile, stageId: string) => {
  file.components.push({
    ...sampleComponent(stageId, randomUUID()),
    name: 'Box',
    mass: 30,
    life: { measure: 'hours', expected: 36_000, spread: 0.3, usedBefore: 0, since: null },
    replacement: { name: 'Other', rating: 900, mass: 41, massGrade: 'claim', price: 1800, workTime: 36_000 },
  })
  const set = { kind: 'tyre' as const, size: '265/35R18', rollOut: 1.95, diameter: null, growth: 0.005 }
  file.gearsets.push({ id: randomUUID(), name: 'Tyre', order: 0, set, note: '' })
}

for (const { view, by, form, save, first } of FORMS) {
  test(`${form}: nonsense in any field is named and kept, and a reload in the middle loses nothing`, async ({
    page,
  }) => {
    const at = await geared(page, undefined, withAll)
    await open(page, at(view))
    await page.getByRole('button', { name: by }).first().click()
    const sheet = page.getByRole('dialog', { name: form })
    const count = await tickAll(sheet)
    await refusesNonsense(sheet, save)
    const field = sheet.getByLabel(first, { exact: true })
    await field.fill('7')
    await page.reload()
    await expect(page.getByRole('heading', { name: 'Driveline', level: 1 })).toBeVisible()
    await page.getByRole('button', { name: by }).first().click()
    await expect(sheet.getByText('Brought back what was typed here')).toBeVisible()
    await expect(field).toHaveValue(/^7(000)?$/)
    await expect(sheet.locator('input[inputmode=decimal]')).toHaveCount(count)
    await sheet.getByRole('button', { name: 'Start over' }).click()
    await expect(field).not.toHaveValue(/^7(000)?$/)
  })
}

test('a rating that is emptied is missing and says so; only its tick takes it away', async ({ page }) => {
  const at = await geared(page, undefined, withAll)
  await open(page, at('links'))
  await page.getByRole('button', { name: 'Change Box' }).click()
  const sheet = page.getByRole('dialog', { name: 'Change the component' })
  const rating = sheet.getByLabel('Rating', { exact: true })
  await rating.fill('')
  await expect(rating).toBeVisible()
  await sheet.getByRole('button', { name: 'Save the component' }).click()
  await expect(rating).toHaveAccessibleDescription(/\S/)
  await expect(rating).toHaveAttribute('aria-invalid', 'true')
  await rating.fill('1200')
  await sheet.getByRole('button', { name: 'Save the component' }).click()
  await expect(sheet).toBeHidden()
})

test('a service with parts and fluids refuses nonsense in their figures, and a reload keeps it', async ({
  page,
}) => {
  const at = await geared(page, undefined, withAll)
  await open(page, at('life'))
  await page.getByRole('button', { name: 'Log a service' }).click()
  const sheet = page.getByRole('dialog', { name: 'Log a service' })
  await sheet.getByLabel('What was done').fill('Oil')
  await sheet.getByRole('button', { name: 'One more part' }).click()
  await sheet.getByRole('button', { name: 'One more fluid' }).click()
  await refusesNonsense(sheet, 'Save the entry')
  await page.reload()
  await page.getByRole('button', { name: 'Log a service' }).click()
  await expect(sheet.getByLabel('What was done')).toHaveValue('Oil')
  await expect(sheet.getByLabel('Fluid 1')).toBeVisible()
})

test('the speeds of a course that were pasted and not saved come back after a reload', async ({ page }) => {
  const at = await geared(page)
  await open(page, at('shelf'))
  await page.getByRole('button', { name: 'Add speeds' }).click()
  const sheet = page.getByRole('dialog', { name: 'Add the speeds of a course' })
  const text = sheet.getByLabel('Seconds and speed, one lap')
  for (const [nonsense, says] of [
    ['3 blue', 'Line 1: “blue” is not a number'],
    ['0 90\n3 120\n1 80', 'The times rise from point to point'],
    ['0 90', 'two times or more'],
    ['0 90\n5 9000', 'Over 540 km/h'],
  ] as const) {
    await text.fill(nonsense)
    await sheet.getByLabel('Course', { exact: true }).fill('Loop')
    await sheet.getByRole('button', { name: 'Save the speeds' }).click()
    await expect(sheet.getByRole('alert')).toContainText(says)
    await expect(text).toHaveValue(nonsense)
  }
  await text.fill('0 90\n5 120')
  await page.reload()
  await page.getByRole('button', { name: 'Add speeds' }).click()
  await expect(text).toHaveValue('0 90\n5 120')
})
