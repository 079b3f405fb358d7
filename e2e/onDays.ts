import { sampleBuild, sampleCourse, sampleSetup } from '@bold-ballast/contract/sampleBuild'
import type { Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { expect, fill, putBuild } from './bench'

/** For journeys on Days. */
export const dialog = (page: Page, name: string) => page.getByRole('dialog', { name })
export const card = (page: Page, order: number) =>
  page.getByRole('listitem', { name: `Run ${order}`, exact: true })

/** A build with a course and two set-up sheets; gives the address of a view. */
export async function build(page: Page) {
  const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
  const stageId = file.stages[0]?.id ?? ''
  file.courses.push(sampleCourse(randomUUID()))
  file.setups.push(sampleSetup(stageId, randomUUID(), 1), {
    ...sampleSetup(stageId, randomUUID(), 2),
    brakeBar: 0.62,
    differential: 'Locked',
  })
  const made = await putBuild(page, file)
  return (view = '') => made.at(`days${view && `?view=${view}`}`)
}

export async function addDay(page: Page, name: string, course: string | null = 'Loop'): Promise<void> {
  await page.getByRole('button', { name: 'Add a day' }).first().click()
  const day = dialog(page, 'Log a day')
  await fill(day, { 'Where and what': name })
  if (course) await day.getByLabel('Course', { exact: true }).selectOption({ label: course })
  await day.getByRole('button', { name: 'Save the day' }).click()
  await expect(day).toBeHidden()
}

export async function addRun(page: Page, sheet: string, change = ''): Promise<void> {
  await page.keyboard.press('n')
  const run = dialog(page, 'Add a run')
  await expect(run).toBeVisible()
  await run.getByLabel('On set-up sheet').selectOption({ label: sheet })
  if (change) await fill(run, { 'The one change': change })
  await fill(run, { Driver: 'Ines' })
  await run.getByRole('button', { name: 'Save the run' }).click()
  await expect(run).toBeHidden()
}
