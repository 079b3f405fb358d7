import type { Page } from '@playwright/test'
import { expect, fill, goTo, saved } from './bench'

const dialog = (page: Page, name: string | RegExp) => page.getByRole('dialog', { name })

/** A car from nothing, by the Garage's own form. */
export async function startBuild(page: Page, name: string): Promise<void> {
  await page.goto('/?find=Wren')
  await expect(page.getByRole('link', { name: 'Wren' })).toBeVisible()
  await page.keyboard.press('n')
  const form = dialog(page, 'New build')
  await fill(form, {
    Name: name,
    'Car (can stay empty)': 'Brennick Four 2.2 turbo saloon',
    Discipline: 'timeAttack',
    Layout: 'all',
    Wheelbase: '2.575 m',
    'Front track': '1.49 m',
    'Rear track': '1.495 m',
    'Mass as bought': '1,412',
    'Known how': 'measured',
    'Front share of it': '60 %',
  })
  await form.getByRole('button', { name: 'Start the build' }).click()
  await expect(page.getByRole('heading', { name: 'Swaps', level: 1 })).toBeVisible()
}

/** A further stage, with its name and the power it is to have. */
export async function addStage(page: Page, name: string, plannedPower?: string): Promise<void> {
  await page.getByRole('button', { name: '+ Add a stage' }).click()
  const form = dialog(page, /^Stage \d$/)
  await fill(form, { Name: name, ...(plannedPower ? { 'Planned wheel power': plannedPower } : {}) })
  await form.getByRole('button', { name: 'Save the stage' }).click()
  await expect(form).toBeHidden()
  await expect(page.getByRole('complementary', { name: 'Stages' })).toContainText(name)
}

export async function setMark(page: Page, measure: string, value: string, more: Record<string, string> = {}) {
  await goTo(page, 'Board')
  await page.keyboard.press('n')
  const form = dialog(page, 'Set a mark')
  await fill(form, { Measure: measure })
  for (const [label, text] of Object.entries(more)) await fill(form, { [label]: text })
  await form.getByLabel(/^This (much|many)/).fill(value)
  await form.getByRole('button', { name: 'Save the mark' }).click()
  await expect(form).toBeHidden()
}

/** A list of parts as it stands in a spreadsheet: swap, way, part, pieces, mass each, known by, done, place. */
export async function pasteParts(page: Page, rows: readonly (readonly string[])[]): Promise<void> {
  await goTo(page, 'Swaps')
  await page
    .getByRole('button', { name: /^Paste or import/ })
    .first()
    .click()
  const sheet = dialog(page, 'Paste or import a list')
  const header = ['Swap', 'Way', 'Part', 'Pieces', 'Mass kg', 'Known by', 'Done', 'Place']
  await sheet.getByRole('textbox').fill([header, ...rows].map((row) => row.join('\t')).join('\n'))
  await sheet.getByRole('button', { name: `Add ${rows.length} lines` }).click()
  await expect(sheet).toBeHidden()
  await saved(page)
}

/** Four pads, without a driver, with the fuel that the car was bought with. */
export async function weighCar(
  page: Page,
  corners: readonly [string, string, string, string],
): Promise<void> {
  await goTo(page, 'Scales')
  await page.keyboard.press('n')
  const form = dialog(page, 'Log a weigh-in')
  const [fl, fr, rl, rr] = corners
  await fill(form, { 'Front left': fl, 'Front right': fr, 'Rear left': rl, 'Rear right': rr })
  await form.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(form).toBeHidden()
  await expect(page.getByTestId('weigh-results')).toBeVisible()
}

/** A day on hubs with three pulls from files; all of them stand for the stage. */
export async function dynoDay(page: Page, dyno: string, newtonMetres: number): Promise<void> {
  await goTo(page, 'Dyno')
  await page.keyboard.press('n')
  const day = dialog(page, 'Log a dyno day')
  await fill(day, { Dyno: dyno, Kind: 'hub', 'Repeats to ±': '0.8' })
  await day.getByRole('button', { name: 'Save the dyno day' }).click()
  await expect(day).toBeHidden()
  for (let pull = 1; pull <= 3; pull += 1) {
    await page.keyboard.press('n')
    const form = dialog(page, 'Add a pull')
    const rows = Array.from({ length: 44 }, (_, i) => {
      const n = 2400 + i * 115
      // A boost rise, a plateau, a droop, and a little that differs from pull to pull.
      const rise = 1 / (1 + Math.exp(-(n - 3300) / 260))
      const droop = 1 - Math.max(0, n - 5200) / 7200
      return `${n},${(newtonMetres * (0.35 + 0.65 * rise) * droop * (1 + (pull - 2) * 0.002)).toFixed(1)}`
    })
    const csv = ['rpm,Torque (Nm)', ...rows].join('\n')
    await page
      .getByLabel('CSV of a pull')
      .setInputFiles({ name: `pull ${pull}.csv`, mimeType: 'text/csv', buffer: Buffer.from(csv) })
    await expect(page.getByTestId('import-preview')).toContainText('44 rows read')
    await form.getByLabel('This pull stands for the stage').check()
    await form.getByRole('button', { name: 'Save the pull' }).click()
    await expect(form).toBeHidden()
  }
  await saved(page)
}

/** Gears of a five-speed box, from the room's own form. */
export async function typeGears(page: Page): Promise<void> {
  await goTo(page, 'Driveline')
  await page
    .getByRole('button', { name: /^(Type gears and grip|Gears and grip)/ })
    .first()
    .click()
  const form = dialog(page, 'Gears and grip')
  await fill(form, {
    'First gear': '3.25',
    'Second gear': '1.95',
    'Third gear': '1.37',
    'Fourth gear': '1.03',
    'Fifth gear': '0.82',
    'Final drive': '4.06',
    'Rolling radius, driven': '318',
  })
  await form.getByRole('button', { name: 'Save gears and grip' }).click()
  await expect(form).toBeHidden()
}

/** Signs the stage that is open; says what was still open then. */
export async function freeze(page: Page, author: string): Promise<string> {
  await goTo(page, 'Proof')
  await page.getByRole('link', { name: 'Proof sheet' }).click()
  await page.getByRole('button', { name: 'Freeze this stage' }).click()
  const form = dialog(page, /^Freeze /)
  await expect(form.getByRole('button', { name: 'Sign and freeze' })).toBeVisible()
  const missing = form.getByTestId('missing')
  const says = (await missing.isVisible()) ? ((await missing.textContent()) ?? '') : ''
  await fill(form, { 'Signed by': author })
  await form.getByRole('button', { name: 'Sign and freeze' }).click()
  await expect(page.getByTestId('frozen')).toBeVisible()
  await saved(page)
  return says
}
