import { expect, fill, freshBuild, open, refusesNonsense, saved, test } from './bench'

test('steering is measured, nonsense is named, and each check passes or fails', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('stance?view=steering'))
  await page.getByRole('button', { name: 'Type what was measured' }).click()
  const form = page.getByRole('dialog', { name: 'Steering and rear end' })
  await refusesNonsense(form, 'Save steering')
  await form.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('n')
  await form.getByRole('button', { name: 'Start over' }).click()
  await fill(form, {
    'Lock, inside wheel': '55',
    'Lock, outside wheel': '48 deg',
    'Lock wanted, inside': '52°',
  })
  await fill(form, {
    'Tie-rod joint at lock': '27',
    'Rack, middle to lock': '3 in',
    'Rack could go': '80 mm',
  })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Stance', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(form.getByLabel('Lock, inside wheel')).toHaveValue('55')
  await form.getByLabel('It binds at').first().fill('28')
  await form.getByRole('button', { name: 'Save steering' }).click()
  const checks = page.getByTestId('steering-checks').getByRole('listitem')
  await expect(checks).toHaveCount(3)
  await expect(checks.filter({ hasText: 'Lock, inside wheel' })).toContainText('passes')
  await expect(checks.filter({ hasText: 'Rack travel' })).toContainText('76.2 mm')
  await expect(checks.filter({ hasText: 'Tie-rod joint' })).toContainText('at most 26.0°✗ fails')
  await expect(page.getByTestId('steering-says')).toContainText(
    '1 of 3 checks fails: tie-rod joint before it binds',
  )
  await saved(page)
})

test('wheels and gaps are typed once, and say what another wheel would leave', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('stance?view=wheels'))
  await page.getByRole('button', { name: 'Type wheels and gaps' }).click()
  const form = page.getByRole('dialog', { name: 'Wheels and gaps' })
  await refusesNonsense(form, 'Save wheels')
  await form.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('n')
  await form.getByRole('button', { name: 'Start over' }).click()
  const wheel = { 'Rim width': '8.5', 'Rim diameter': '17', Offset: '35', Spacer: '0', 'Tyre, widest': '235', 'Tyre, diameter': '634' } // prettier-ignore
  const hub = { Bolts: '5', 'Bolt circle': '114.3', 'Hub spigot': '60.1', 'Brake clears rims from': '16' }
  for (const end of ['front axle', 'rear axle']) {
    const axle = form.getByRole('group', { name: end })
    await fill(axle, { ...wheel, ...hub, 'Gap 1 is to': 'Guard', 'It stands': 'outside', 'Gap now': '20' })
  }
  await form.getByRole('button', { name: 'One more candidate' }).click()
  const candidate = form.getByRole('group', { name: 'Candidate 1' })
  await fill(candidate, {
    ...wheel,
    'Candidate 1': 'Wider',
    'Rim width': '9.5',
    Offset: '22',
    'Tyre, widest': '245',
  })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Stance', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(candidate.getByLabel('Candidate 1')).toHaveValue('Wider')
  await form.getByRole('button', { name: 'Save wheels' }).click()
  await expect(page.getByTestId('wheels-say')).toContainText('Front and rear wheels can be interchanged.')
  const wider = page.getByTestId('wheels-rear').getByTestId('candidate')
  // 8.5 inch at 35 mm against 9.5 inch at 22 mm: 25.7 mm further out.
  await expect(wider).toContainText('touches by 6 mm')
  await expect(wider).toContainText('Track +26 mm')
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('heading', { name: 'No wheels measured' })).toBeVisible()
  await saved(page)
})
