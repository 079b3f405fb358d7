import { sampleBuild, sampleDrivetrain, sampleDynoDay, samplePull } from '@bold-ballast/contract/sampleBuild'
import { buildSummary, type BuildFile } from '@bold-ballast/contract'
import type { Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { expect, fill, freshBuild, goTo, open, saved, test } from './bench'

const points = Array.from({ length: 60 }, (_, i) => ({
  speed: 210 + i * 9,
  torque: 320 - ((i - 34) / 4) ** 2,
}))

/** A build with gears and a curve, so that the room has something to say. */
async function geared(
  page: Page,
  change: (drivetrain: NonNullable<BuildFile['build']['drivetrain']>) => object = (d) => d,
) {
  const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
  file.build.name = `Test ${file.build.id.slice(0, 6)}`
  file.build.baseMass = 1100
  const day = sampleDynoDay(file.stages[0]!.id, randomUUID())
  file.dynoDays.push(day)
  file.pulls.push({ ...samplePull(day.id, randomUUID()), points, source: 'file', peakPower: null, peakTorque: null, standsForStage: true }) // prettier-ignore
  const drivetrain = sampleDrivetrain()
  file.build.drivetrain = { ...drivetrain, ...change(drivetrain) }
  const response = await page.request.post('/api/v1/builds', { data: file })
  const { id, stages } = buildSummary.parse(await response.json())
  return (view = '') => `/builds/${id}/stages/${stages[0]!.id}/driveline${view && `?view=${view}`}`
}

test('the room says what is missing, and a tyre is typed by its size', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('board'))
  await goTo(page, 'Driveline')
  await page.getByRole('button', { name: 'Type gears and grip' }).click()
  const gears = page.getByRole('dialog', { name: 'Gears and grip' })
  await fill(gears, { 'First gear': '3.2', 'Second gear': '1.9', 'Third gear': '1.3', 'Fourth gear': '1', 'Fifth gear': '0.8', 'Final drive': '4.1', 'Driven tyre': 'fat ones', 'Rolling radius, driven': '300' }) // prettier-ignore
  await gears.getByRole('button', { name: 'Save gears and grip' }).click()
  await expect(gears.getByText('Write a size such as 265/35R18')).toBeVisible()
  await fill(gears, { 'Driven tyre': '265/35 ZR18' })
  await gears.getByRole('button', { name: 'Take 312 mm from it' }).click()
  await expect(gears.getByLabel('Rolling radius, driven')).toHaveValue('312')
  await gears.getByRole('button', { name: 'Save gears and grip' }).click()
  await expect(page.getByRole('heading', { name: 'No curve yet' })).toBeVisible()
  await page.getByRole('link', { name: 'To the Dyno room' }).click()
  await expect(page.getByRole('heading', { name: 'Dyno', level: 1 })).toBeVisible()
  await saved(page)
})

test('gearing shows top speed and shifts, and a shorter final drive moves both', async ({ page }) => {
  const at = await geared(page)
  await open(page, at())
  const top = page.getByTestId('top-speed').locator('.figure').first()
  await expect(page.getByTestId('shifts').getByRole('row')).toHaveCount(5)
  await expect(page.getByTestId('shifts').getByRole('row', { name: /First gear/ })).toContainText('limiter')
  const before = Number(await top.textContent())
  await page.keyboard.press('n')
  const gears = page.getByRole('dialog', { name: 'Gears and grip' })
  await fill(gears, { 'Final drive': '5.5' })
  await gears.getByRole('button', { name: 'Save gears and grip' }).click()
  await expect.poll(async () => Number(await top.textContent())).toBeLessThan(before)
  await expect(page.getByTestId('top-speed')).toContainText('ended by the limiter')
  await page.keyboard.press('Control+z')
  await expect.poll(async () => Number(await top.textContent())).toBe(before)
  await saved(page)
})

test('the drift window is shown by gear with the layout over it', async ({ page }) => {
  const at = await geared(page, () => ({ boostThreshold: 420, layout: { entry: 26, exit: 17 }, grip: 0.9 }))
  await open(page, at('drift'))
  await expect(page.getByTestId('windows').getByRole('listitem')).toHaveCount(5)
  await expect(page.getByTestId('drift-says')).toContainText(
    /covers the whole layout|No gear covers the layout from 94 down to 61 km\/h/,
  )
  await expect(page.getByTestId('windows').getByRole('listitem').last()).toContainText(
    'of what the tyres hold',
  )
})

test('components stand on a ladder, weakest first, and nonsense is named', async ({ page }) => {
  const at = await geared(page)
  await open(page, at('links'))
  const form = page.getByRole('dialog', { name: 'Add a component' })
  const add = async (name: string, more: Record<string, string>) => {
    await page.getByRole('button', { name: 'Add a component' }).first().click()
    await fill(form, { Component: name, ...more })
    await form.getByRole('button', { name: 'Save the component' }).click()
  }
  await page.getByRole('button', { name: 'Add a component' }).first().click()
  const fields = form.locator('input[inputmode=decimal]')
  for (const nonsense of ['blue', '-7', '1e99', '12 furlongs', '∞']) {
    for (let i = 0; i < (await fields.count()); i += 1) await fields.nth(i).fill(nonsense)
    await form.getByRole('button', { name: 'Save the component' }).click()
    await expect(form.getByRole('alert').first()).toBeVisible()
    for (const words of await form.getByRole('alert').allTextContents())
      expect(words).not.toMatch(/invalid|expected|NaN|undefined|null|received/i)
  }
  await form.getByRole('button', { name: 'Close' }).click()
  await page.getByRole('button', { name: 'Add a component' }).first().click()
  await form.getByRole('button', { name: 'Start over' }).click()
  await form.getByRole('button', { name: 'Close' }).click()
  await add('Gearbox', { Rating: 'strong' })
  await expect(form.getByRole('alert').first()).toContainText('“strong” is not a torque')
  await fill(form, { Rating: '450' })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Driveline', level: 1 })).toBeVisible()
  await page.getByRole('button', { name: 'Add a component' }).first().click()
  await expect(form.getByText('Brought back what was typed here')).toBeVisible()
  await expect(form.getByLabel('Component')).toHaveValue('Gearbox')
  await form.getByRole('button', { name: 'Save the component' }).click()
  await add('Turbo', { 'Rated in': 'power', Rating: '180 kW' })
  await add('Wheel bearings', { 'Rated in': 'load', Rating: '9 kN' })
  await expect(form.getByText('Type what is asked of it')).toBeVisible()
  await fill(form, { 'Asked of it': '6 kN' })
  await form.getByRole('button', { name: 'Save the component' }).click()
  const links = page.getByTestId('links').getByRole('listitem')
  await expect(links).toHaveCount(3)
  await expect(links.first()).toContainText('Turbo')
  await expect(page.getByTestId('weakest')).toContainText(/The weak link is Turbo.*with 180 kW at the crank/)
  await links.first().getByRole('button', { name: 'Remove Turbo' }).click()
  await expect(page.getByTestId('weakest')).toContainText('The weak link is Gearbox')
  await page.keyboard.press('Control+z')
  await expect(links).toHaveCount(3)
  await saved(page)
})

test('final drives stand side by side, follow a slider, solve for a goal, and are fitted', async ({
  page,
}) => {
  const at = await geared(page)
  await open(page, at('choices'))
  const table = page.getByTestId('choices')
  const limiter = table.getByRole('row', { name: /At the limiter/ }).getByRole('cell')
  await expect(limiter).toHaveCount(2)
  await expect(limiter.nth(1)).toContainText(/\d+, \d+, \d+, \d+, \d+/)
  const before = await limiter.nth(1).textContent()
  await page.getByLabel('Slide final drive 1').fill('3')
  await expect(limiter.nth(1)).not.toHaveText(before!)
  await page.getByLabel('Top speed wanted').fill('200 km/h')
  await page.getByRole('button', { name: 'Solve for it' }).click()
  await expect(page.getByTestId('solved')).toContainText(/final drive 5\.\d\d, 200 km\/h at the limiter/)
  await expect(limiter).toHaveCount(3)
  await expect(limiter.nth(2)).toContainText('200')
  await page.getByRole('button', { name: 'Fit it final drive 2' }).click()
  await expect(table.getByRole('columnheader').nth(1)).toContainText(/5\.\d\d/)
  await page.keyboard.press('Control+z')
  await expect(table.getByRole('columnheader').nth(1)).toContainText('4.10')
  await saved(page)
})
