import type { Page } from '@playwright/test'
import { expect, fileOffered, fill, goTo, saved, test } from './bench'
import {
  addStage,
  dynoDay,
  freeze,
  pasteParts,
  setMark,
  startBuild,
  typeGears,
  weighCar,
} from './seasonSteps'

interface Season {
  readonly dyno: boolean
  readonly scales: boolean
}

const BARE_SHELL = [
  ['Inside out', 'off', 'Front seats', '2', '18.6', 'measured', 'yes', '1350 0 450'],
  ['Inside out', 'off', 'Rear bench', '1', '21.4', 'measured', 'yes', '2250 0 450'],
  ['Inside out', 'off', 'Carpets and felt', '1', '26.2', 'measured', 'yes', '1500 0 250'],
  ['Inside out', 'off', 'Door cards', '4', '2.9', 'measured', 'yes', '1500 0 600'],
  ['Comfort out', 'off', 'Air conditioning', '1', '19.8', 'measured', 'yes', '-100 0 500'],
  ['Comfort out', 'off', 'Heater box', '1', '9.4', 'measured', 'yes', '600 0 700'],
  ['Comfort out', 'off', 'Sound and speakers', '1', '11.7', 'measured', 'yes', '1600 0 500'],
  ['Cage', 'on', 'Six-point cage', '1', '34.6', 'measured', 'yes', '1500 0 800'],
  ['Cage', 'on', 'Shell seat with rails', '1', '9.8', 'measured', 'yes', '1400 350 400'],
]
const FIRST_FIRE = [
  ['Turbo', 'off', 'Old turbo and manifold', '1', '17.2', 'measured', 'yes', '-150 0 600'],
  ['Turbo', 'on', 'Larger turbo', '1', '9.6', 'measured', 'yes', '-150 0 600'],
  ['Turbo', 'on', 'Tubular manifold', '1', '5.1', 'measured', 'yes', '-150 0 600'],
  ['Panels', 'off', 'Steel bonnet', '1', '19.3', 'measured', 'yes', '-250 0 850'],
  ['Panels', 'on', 'Composite bonnet with pins', '1', '6.7', 'measured', 'yes', '-250 0 850'],
]
// Masses are stated, and cars weighed, with the fuel that was aboard when it was bought.
const FIRST = 1412
const SECOND = FIRST - 37.2 - 21.4 - 26.2 - 11.6 - 19.8 - 9.4 - 11.7 + 34.6 + 9.8
const THIRD = SECOND - 17.2 + 9.6 + 5.1 - 19.3 + 6.7

/** Corners of a car of this mass and front share, in steps of half a kilo. */
const cornersOf = (mass: number, front: number): [string, string, string, string] => {
  const step = (kg: number) => (Math.round(kg * 2) / 2).toFixed(1)
  const [f, r] = [(mass * front) / 2, (mass * (1 - front)) / 2]
  return [step(f), step(f), step(r), step(r)]
}
const tally = (page: Page) => page.getByTestId('tally')
const sheet = (page: Page) => page.getByTestId('proof-sheet')

/** From an empty Garage to three frozen stages, with what a workshop has to measure with. */
async function season(page: Page, name: string, { dyno, scales }: Season): Promise<void> {
  // As bought: what it is, before anything is touched.
  await startBuild(page, name)
  await page.keyboard.press('w')
  const who = page.getByRole('dialog', { name: 'Who works here' })
  await fill(who, { Name: 'Bea' })
  await who.getByRole('button', { name: 'That is me' }).click()
  await expect(page.getByRole('button', { name: 'Who works here: Bea' })).toBeVisible()
  await goTo(page, 'Board')
  await expect(page.getByRole('heading', { name: 'Board', level: 1 })).toBeVisible()
  if (scales) await weighCar(page, cornersOf(FIRST, 0.6))
  if (dyno) await dynoDay(page, 'Port Varrow hubs', 255)
  const first = await freeze(page, 'Ines')
  expect(first.includes('Nobody has weighed the car')).toBe(!scales)
  expect(first.includes('Nobody has pulled it')).toBe(!dyno)
  await expect(sheet(page)).toContainText('by Ines')

  // Bare shell: a mark, what comes off and goes on, and whether it was enough.
  await addStage(page, 'Bare shell', '150 kW')
  await setMark(page, 'mass', '1,350')
  await expect(tally(page)).toContainText('to find')
  await pasteParts(page, BARE_SHELL)
  await expect(tally(page)).toContainText(new RegExp(`${Math.floor(SECOND).toLocaleString('en')}`))
  if (scales) {
    await weighCar(page, cornersOf(SECOND, 0.605))
    await expect(page.getByText(/The books balance/)).toBeVisible()
  }
  await goTo(page, 'Board')
  await expect(page.getByTestId('mark-mass')).toContainText('met')
  await freeze(page, 'Ines')
  await expect(sheet(page).getByRole('region', { name: 'Marks' })).toContainText('met')
  await expect(sheet(page)).toContainText('Inside out')
  await expect(sheet(page).getByTestId('proof-ticket')).toHaveCount(scales ? 1 : 0)

  // First fire: power, gears, a lap, and the whole of it proved.
  await addStage(page, 'First fire', '240 kW')
  await setMark(page, 'wheelPower', '230')
  await setMark(page, 'powerToWeight', '175')
  await setMark(page, 'quarterMile', '13.5')
  await pasteParts(page, FIRST_FIRE)
  if (scales) await weighCar(page, cornersOf(THIRD, 0.6))
  if (dyno) {
    await dynoDay(page, 'Port Varrow hubs', 425)
    await typeGears(page)
  }
  await goTo(page, 'Board')
  await expect(page.getByTestId('mark-wheelPower')).toContainText(dyno ? 'met' : 'can’t tell yet')
  await expect(page.getByTestId('mark-powerToWeight')).toContainText(dyno ? 'met' : 'can’t tell yet')
  const next = page.getByTestId('next-steps')
  if (!dyno) {
    // What would settle it is offered, and taken on with one key.
    await expect(next).toContainText('Pull it on a dyno')
    const place = await next
      .getByRole('listitem')
      .filter({ hasText: 'Pull it on a dyno' })
      .locator('.figure')
      .textContent()
    await page.keyboard.press(place!)
    await expect(page.getByTestId('jobs')).toContainText('Pull it on a dyno')
  }
  await page.keyboard.press('g')
  await page.keyboard.press('l')
  await page.getByRole('link', { name: 'Life' }).click()
  await page.getByRole('button', { name: 'Log a day' }).click()
  const day = page.getByRole('dialog', { name: 'Log a day' })
  await fill(day, {
    'Where and what': 'Saltmarsh Loop, first fire',
    'Laps or runs': '22',
    'Best lap': '88.1',
  })
  await day.getByRole('button', { name: 'Save the day' }).click()
  await expect(day).toBeHidden()

  const last = await freeze(page, 'Tomasz')
  expect(last.includes('Nobody has pulled it')).toBe(!dyno)
  expect(last.includes('Nobody has weighed the car')).toBe(!scales)
  await expect(sheet(page)).toContainText('by Tomasz')
  const pdf = await fileOffered(page, () => page.getByRole('button', { name: 'PDF', exact: true }).click())
  expect(pdf.suggestedFilename()).toBe(`${name} First fire proof.pdf`)

  // Where the gain came from since it was bought.
  await page.getByRole('link', { name: 'Gain split' }).click()
  const split = page.getByTestId('gain-split')
  if (dyno) {
    await page.getByRole('combobox', { name: 'Since' }).selectOption({ label: '1 As bought' })
    await expect(split.getByRole('row', { name: /Power at the wheels/ })).toBeVisible()
  }
  await expect(split.getByRole('row', { name: /Panels/ })).toBeVisible()

  // All of it stands after a reload, locked, with who signed it.
  await saved(page)
  await page.reload()
  const stack = page.getByRole('complementary', { name: 'Stages' })
  await expect(stack.getByLabel('Frozen')).toHaveCount(3)
  await page.getByRole('link', { name: 'History' }).click()
  await expect(page.getByTestId('history')).toContainText('Freeze First fire')
  const signed = page.getByTestId('history').getByRole('listitem')
  await expect(signed.filter({ hasText: 'Freeze First fire' })).toContainText('Tomasz')
  await expect(signed.filter({ hasText: 'Freeze Bare shell' })).toContainText('Ines')
  await expect(signed.last()).toContainText('Bea')
}

test.describe('a season from an empty build to three frozen stages', () => {
  test.setTimeout(180_000)
  test('with scales and a dyno', ({ page }) =>
    season(page, `Season ${Date.now()}`, { dyno: true, scales: true }))
  test('without any dyno', ({ page }) => season(page, `No dyno ${Date.now()}`, { dyno: false, scales: true }))
  test('without scales', ({ page }) => season(page, `No scales ${Date.now()}`, { dyno: true, scales: false }))
})
