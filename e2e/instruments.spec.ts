import { sampleDynoDay, sampleInstrument, sampleLine, sampleSwap } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { expect, fill, freshBuild, goTo, open, refusesNonsense, saved, test } from './bench'
import { geared } from './geared'

test('a scale is noted by keyboard, kept through a reload, renamed everywhere, and taken over by the next build', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  const name = `Pads ${build.id.slice(0, 6)}`
  await open(page, build.at('scales'))
  await page.getByRole('link', { name: 'Scales and dynos' }).press('Enter')
  await expect(page.getByRole('heading', { name: 'No scale or dyno noted yet' })).toBeVisible()
  await page.keyboard.press('n')
  const form = page.getByRole('dialog', { name: 'Note a scale or dyno' })
  await refusesNonsense(form, 'Save it')
  await page.keyboard.press('Escape')
  await page.keyboard.press('n')
  await form.getByRole('button', { name: 'Start over' }).click()
  await fill(form, { Kind: 'dyno' })
  await expect(form.getByLabel('Its own error, ±')).toHaveValue(/^3/)
  await expect(form.getByLabel('Smallest step')).toHaveCount(0)
  await fill(form, { Kind: 'pads', Name: name, 'Its own error, ±': '0.4' })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Scales', level: 1 })).toBeVisible()
  await page.keyboard.press('n')
  await expect(form.getByText('Brought back what was typed here')).toBeVisible()
  await fill(form, { 'Last checked': '2026-05-01', 'Against what': 'test weights' })
  await form.getByRole('button', { name: 'Save it' }).press('Enter')
  const row = page.getByTestId('instruments').getByRole('row', { name: new RegExp(name) })
  await expect(row).toContainText('±0.40 %')
  await expect(row).toContainText('nothing yet')

  // A weigh-in names it, and is as doubtful as it is.
  await page.getByRole('link', { name: 'Weigh-ins' }).click()
  // Until the view is there, the key notes another scale.
  await expect(page.getByRole('button', { name: 'Log a weigh-in n' })).toBeVisible()
  await page.keyboard.press('n')
  const weighIn = page.getByRole('dialog', { name: 'Log a weigh-in' })
  await fill(weighIn, { 'Front left': '232', 'Front right': '218', 'Rear left': '204', 'Rear right': '226' })
  await weighIn.getByLabel('On which scale').fill(name.toUpperCase())
  await expect(weighIn.getByText('Its own error ±0.4 %, checked 2026-05-01')).toBeVisible()
  await weighIn.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(page.getByTestId('weigh-results').getByRole('row', { name: /Total/ })).toContainText('±')

  await page.getByRole('link', { name: 'Scales and dynos' }).click()
  await expect(row).toContainText('1 weigh-in')
  await page.getByRole('button', { name: `Change ${name}` }).click()
  const change = page.getByRole('dialog', { name: `Change ${name}` })
  await fill(change, { Name: `${name} again` })
  await change.getByRole('button', { name: 'Save it' }).click()
  await expect(row).toContainText('1 weigh-in')
  await page.getByRole('button', { name: `Remove ${name} again` }).click()
  await expect(page.getByRole('heading', { name: 'No scale or dyno noted yet' })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(row).toContainText('1 weigh-in')
  await saved(page)

  const next = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, `${next.at('scales')}?view=instruments`)
  const other = page.getByRole('region', { name: 'Noted for other builds' })
  await other.getByRole('button', { name: new RegExp(`Note it here, too.*${name} again`) }).click()
  await expect(row).toContainText('±0.40 %')
  await expect(other.getByText(`${name} again`)).toHaveCount(0)
  await saved(page)
})

test('a shell weighed bare and again with its engine are two states, and each balances by itself', async ({
  page,
}) => {
  const at = await geared(page, undefined, (file, stageId) => {
    const swap = { ...sampleSwap(stageId, randomUUID()), name: 'Engine' }
    const engine = { ...sampleLine(swap.id, randomUUID()), name: 'Engine', mass: 150, sigma: 0.2 }
    file.build.baseSigma = 0.5
    file.swaps.push(swap)
    file.lines.push(
      { ...engine, kind: 'off', changedOn: '2026-05-01' },
      { ...engine, id: randomUUID(), kind: 'on', order: 1, changedOn: '2026-05-20' },
    )
    file.instruments.push(sampleInstrument(randomUUID()))
    for (const [date, each] of [
      ['2026-05-02', 237.5],
      ['2026-05-21', 275],
    ] as const) {
      const corners = { frontLeft: each, frontRight: each, rearLeft: each, rearRight: each }
      file.weighIns.push({
        id: randomUUID(),
        stageId,
        date,
        readings: { method: 'fourPads', corners },
        scale: 'Sample pads',
        checklist: null,
        resolution: 0.5,
        accuracy: 0.003,
        tyrePressures: null,
        condition: file.build.reference,
        note: '',
      })
    }
  })
  await open(page, at().replace('driveline', 'scales'))
  for (const date of ['21 May 2026', '2 May 2026']) {
    await page
      .getByRole('button', { name: new RegExp(date) })
      .first()
      .click()
    await expect(page.getByText(/The books balance/)).toBeVisible()
    await expect(page.getByTestId('repeats')).toContainText('Weighed once')
  }
})

test('the gain between two dynos that nobody bridged is refused, and the plan may be split instead', async ({
  page,
}) => {
  const at = await geared(page, undefined, (file) => {
    const second = { ...file.stages[0]!, id: randomUUID(), name: 'On rollers', order: 1 }
    const swap = { ...sampleSwap(second.id, randomUUID()), name: 'Glass to plastic' }
    const part = { ...sampleLine(swap.id, randomUUID()), kind: 'off' as const, mass: 20 }
    const day = {
      ...sampleDynoDay(second.id, randomUUID()),
      dyno: 'Valley rollers',
      kind: 'rollerLoaded' as const,
    }
    file.stages[0]!.plannedWheelPower = 190_000
    file.stages.push({ ...second, plannedWheelPower: 210_000 })
    file.swaps.push(swap)
    file.lines.push(part, { ...part, id: randomUUID(), order: 1, fitted: false })
    file.dynoDays.push(day)
    file.pulls.push({ ...file.pulls[0]!, id: randomUUID(), dynoDayId: day.id })
  })
  await open(page, at())
  await page.getByRole('link', { name: /On rollers/ }).click()
  await expect(page.getByText(/Stage 2, On rollers/)).toBeVisible()
  await goTo(page, 'Proof')
  await page.getByRole('link', { name: 'Gain split' }).click()
  const refusal = page.getByTestId('two-dynos')
  await expect(refusal).toContainText('pulled on Sample hubs, the other on Valley rollers')
  await expect(page.getByTestId('gain-split')).toHaveCount(0)
  await page.getByRole('radio', { name: 'when it is finished' }).click()
  await expect(page.getByTestId('gain-split')).toBeVisible()
  await page.getByRole('radio', { name: 'as it stands' }).click()
  await refusal.getByRole('link', { name: 'bridge them under Compare' }).click()
  await expect(page.getByRole('heading', { name: 'Dyno', level: 1 })).toBeVisible()
})
