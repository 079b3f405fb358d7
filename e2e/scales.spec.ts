import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { expect, fill, freshBuild, goTo, open, putBuild, saved, test } from './bench'

const DEMO_MARK = 'Nightjar'

test('each way to weigh shows what it can give, and says why not the rest', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('scales'))
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'Log a weigh-in' })
  const live = page.getByTestId('live-weigh')

  await sheet.getByLabel('Weighed on').selectOption('axles')
  await fill(sheet, { 'Front axle': '450', 'Rear axle': '430' })
  await expect(live).toContainText('880')
  await expect(live).toContainText('51.1')
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(page.getByTestId('cannot')).toContainText(
    'No left and no cross share: a weighbridge reads axles',
  )
  await expect(page.getByTestId('weigh-results').getByRole('row', { name: /Cross/ })).toHaveCount(0)

  await page.keyboard.press('n')
  await sheet.getByLabel('Weighed on').selectOption('threePads')
  const blocks = sheet.getByLabel(/block stands at/)
  const [first, second] = [blocks.nth(0), blocks.nth(1)]
  await expect(first).toHaveValue('rearRight')
  const of = (label: string, n: number) => sheet.getByLabel(label, { exact: true }).nth(n)
  await of('Front left', 0).fill('232')
  await of('Front right', 0).fill('218')
  await of('Rear left', 0).fill('204')
  await of('Front right', 1).fill('219')
  await of('Rear left', 1).fill('203')
  await of('Rear right', 0).fill('226')
  await second.selectOption('rearRight')
  await of('Front left', 1).fill('231')
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(sheet.getByText(/put it at another/)).toBeVisible()
  await second.selectOption('frontLeft')
  await of('Rear right', 0).fill('226')
  await expect(live).toContainText('(indication)')
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(page.getByTestId('cannot')).toContainText('repeat to 0.7 kg')
  await expect(page.getByTestId('repeats')).toContainText('2 weighings repeat to')
  await saved(page)
})

test('what was left out of the set-up is said in kilograms of cross weight', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('scales'))
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'Log a weigh-in' })
  await fill(sheet, { 'Front left': '300', 'Front right': '290', 'Rear left': '250', 'Rear right': '240' })
  await sheet.getByLabel('Pads level to within').fill('2 mm')
  await sheet.getByLabel('Tyres at running pressure').check()
  await sheet.getByLabel('Rolled and bounced, settled').check()
  await sheet.getByLabel('Steering straight').check()
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  const says = page.getByTestId('set-up')
  await expect(says).toContainText('bars left connected (up to')
  await expect(says).toContainText('pads level to 2 mm')
  await expect(says).toContainText('2 Hz at each corner is assumed')
  await saved(page)
})

test('a corner of 9,000 lb is asked about by its books and neighbours, put right with one press, or taken', async ({
  page,
}) => {
  const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
  file.build.baseMass = 1150
  const build = await putBuild(page, file)
  await open(page, build.at('scales'))
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'Log a weigh-in' })
  await fill(sheet, {
    'Front left': '9000 lb',
    'Front right': '298',
    'Rear left': '277',
    'Rear right': '272',
  })
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(sheet.getByRole('alert')).toContainText(/Front left: 4,082(\.\d)? kg where the books/)
  await expect(sheet.getByRole('button', { name: 'It is right, save' })).toBeVisible()
  await sheet
    .getByTestId('could-be')
    .getByRole('button', { name: /^408(\.2)? kg$/ })
    .click()
  await expect(sheet.getByLabel('Front left', { exact: true })).toHaveValue(/^408/)
  await fill(sheet, { 'Front left': '301', 'Driver aboard, in gear': '85' })
  // Who is aboard sits in the seat: that isn't asked any more.
  await expect(sheet.getByText('Driver, or his mass, in the seat')).toHaveCount(0)
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  await expect(sheet).toBeHidden()
  await expect(page.getByTestId('set-up')).not.toContainText('nobody in the seat')
  await page.keyboard.press('n')
  await sheet.getByLabel('Weighed on').selectOption('axles')
  await expect(sheet.getByText(/of cross weight/)).toHaveCount(0)
  await fill(sheet, { 'Front axle': '5990', 'Rear axle': '551' })
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  await sheet.getByRole('button', { name: 'It is right, save' }).click()
  await expect(sheet).toBeHidden()
  await expect(page.getByTestId('set-up')).toHaveCount(0)
  await saved(page)
})

test('the books’ missing kilos are placed near the rear axle, and booking them balances the books', async ({
  page,
}) => {
  // A copy, so that the demo stays as the other tests know it.
  await open(page, '/')
  const list = (await (await page.request.get('/api/v1/builds')).json()) as { id: string; name: string }[]
  const demo = list.find((b) => b.name === DEMO_MARK)!
  const file = (await (await page.request.get(`/api/v1/builds/${demo.id}/file`)).json()) as {
    build: { name: string }
  }
  file.build.name = 'Copy of the saloon'
  const added = await page.request.post('/api/v1/builds', { data: file })
  const { id, stages } = (await added.json()) as { id: string; stages: { id: string }[] }
  await open(page, `/builds/${id}/stages/${stages[3]!.id}/scales`)
  const lack = page.getByRole('region', { name: 'What the books lack' })
  await expect(lack).toContainText('Since the weigh-in of 14 Feb 2026, which balanced')
  await expect(lack).toContainText(/2,\d{3} ±\d+ mm behind the front axle/)
  await lack.getByRole('button', { name: /as not found yet/ }).click()
  await expect(page.getByText(/The books balance/)).toBeVisible()
  await expect(lack).toHaveCount(0)
  await goTo(page, 'Swaps')
  await expect(page.getByRole('gridcell', { name: 'Part of Not found yet' })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('gridcell', { name: 'Part of Not found yet' })).toHaveCount(0)
  await saved(page)
  // The copy goes again: its parts would stand in the workshop's list.
  await page.request.delete(`/api/v1/builds/${id}`)
})

test('springs are typed once, and the perches are turned for a wanted cross weight', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, `${build.at('scales')}?view=perches`)
  await expect(page.getByText('No corner weights at this stage')).toBeVisible()
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'Log a weigh-in' })
  await fill(sheet, { 'Front left': '232', 'Front right': '218', 'Rear left': '204', 'Rear right': '226' })
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  await page.getByRole('button', { name: 'Type the springs' }).click()
  const springs = page.getByRole('dialog', { name: 'Springs, bars and stops' })
  await springs.getByLabel('Motion ratio', { exact: true }).first().fill('7')
  await springs.getByRole('button', { name: 'Save the suspension' }).click()
  await expect(springs.getByText(/spring travel over wheel travel is meant/)).toBeVisible()
  await springs.getByLabel('Motion ratio', { exact: true }).first().fill('0,9')
  await springs.getByLabel('Spring rate', { exact: true }).first().fill('350 lb/in')
  await springs.getByRole('button', { name: 'Save the suspension' }).click()
  const turns = page.getByTestId('perch-turns')
  await expect(turns.getByRole('row', { name: /Front left/ })).toContainText('down')
  await expect(turns.getByRole('row', { name: /Front right/ })).toContainText('up')
  // No sheet says how far up the perches stand: the turns go onto it as words.
  await expect(page.getByText(/No sheet says how far up the perches stand/)).toBeVisible()
  await page.getByRole('button', { name: 'Put the turns on the next set-up sheet' }).click()
  await saved(page)
  await page.goto(build.at('stance'))
  await expect(page.getByTestId('sheet-why')).toContainText(/Perches turned: front left .* down/)
  await page.getByRole('button', { name: 'Change Sheet 1' }).click()
  const setup = page.getByRole('dialog', { name: 'Put the sheet right' })
  const perches = setup.getByRole('group', { name: 'Perches' })
  await fill(perches, { 'Front left': '40', 'Front right': '40', 'Rear left': '50', 'Rear right': '50' })
  await setup.getByRole('button', { name: 'Save what was wrong' }).click()
  await expect(setup).toBeHidden()
  // Once heights are on it, the next one has them turned, and what that does to the corners is said.
  await page.goto(`${build.at('scales')}?view=perches`)
  await page.getByRole('button', { name: 'Put the turns on the next set-up sheet' }).click()
  await saved(page)
  await page.goto(build.at('stance'))
  await expect(page.getByTestId('sheet-differences')).toContainText(/Perches, front left40 mm → 3\d mm/)
  await expect(page.getByTestId('jacked')).toContainText(/The perches move front left −/)
  await page.goto(`${build.at('scales')}?view=perches`)
  await page.getByLabel('Wanted cross share').fill('0.1')
  await expect(page.getByText(/would lift a wheel/)).toBeVisible()
  await saved(page)
})

test('ballast is planned plate by plate, and what stands in the way is named', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, `${build.at('scales')}?view=ballast`)
  await page.getByRole('button', { name: 'Say what it should reach' }).click()
  const sheet = page.getByRole('dialog', { name: 'Ballast' })
  await fill(sheet, { 'Minimum mass': '90 lb', 'Plate 1, each': '5', 'How many': 'some' }).catch(
    () => undefined,
  )
  await sheet.getByLabel('How many').first().fill('some')
  await sheet.getByRole('button', { name: 'Save the ballast' }).click()
  await expect(sheet.getByRole('alert').first()).toBeVisible()
  await sheet.getByLabel('How many').first().fill('4')
  await sheet.getByLabel('Minimum mass').fill('0')
  await sheet.getByLabel('Left share', { exact: true }).check()
  await sheet.getByLabel('Left share wanted').fill('49.5')
  await sheet.getByRole('button', { name: 'Save the ballast' }).click()
  const plan = page.getByTestId('ballast-plan')
  await expect(plan.getByRole('row', { name: /Left share/ })).toContainText('49.')
  await expect(plan).toContainText('Passenger footwell')
  await plan.getByRole('button', { name: /Change targets/ }).click()
  await sheet.getByLabel('Minimum mass').fill('9000 kg')
  await sheet.getByRole('button', { name: 'Save the ballast' }).click()
  await expect(plan.getByRole('status')).toContainText('The minimum mass would have to be')
  const move = page.getByTestId('move-what-if')
  await expect(move).toContainText('Front −')
  await page.getByLabel('Back by').fill('-40 mm')
  await expect(move).toContainText('Front +')
  await saved(page)
})

test('the height of the mass comes from several lifts, with the cautions before it', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, `${build.at('scales')}?view=height`)
  await expect(page.getByText(/nobody under or in it/)).toBeVisible()
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'Log a tilt test' })
  await expect(sheet.getByText(/Lock the suspension/)).toBeVisible()
  await fill(sheet, { 'Whole car, as it stands': '1200', 'Wheel centre above the floor': '300 mm' })
  const first = { 'Lift 1: rear axle raised by': '0', 'front axle gains': '38' }
  await fill(sheet, first)
  await sheet.getByRole('button', { name: 'Save the tilt test' }).click()
  await expect(sheet.getByText('An axle that was not raised tells nothing.')).toBeVisible()
  await sheet.getByLabel('Lift 1: rear axle raised by').fill('300 mm')
  await expect(page.getByTestId('live-tilt')).toContainText(/9\d\d/)
  await sheet.getByRole('button', { name: 'One more lift' }).click()
  await sheet.getByLabel('Lift 2: rear axle raised by').fill('400 mm')
  await sheet.getByLabel('front axle gains').nth(1).fill('51.2')
  await sheet.getByRole('button', { name: 'Save the tilt test' }).click()
  await expect(page.getByRole('region', { name: 'Height of the centre of mass' })).toContainText('2 lifts')
  await saved(page)
})

test('the forecast says which lines to weigh next, and the kilos where they went', async ({ page }) => {
  await open(page, '/?find=Nightjar')
  await page.getByRole('link', { name: 'Nightjar' }).click()
  await expect(page.getByRole('heading', { name: 'Board', level: 1 })).toBeVisible()
  await page.getByRole('link', { name: /6 Diet/ }).click()
  await goTo(page, 'Swaps')
  await page.getByRole('link', { name: 'Forecast' }).click()
  await expect(page.getByTestId('forecast')).toContainText('Eight times in ten between')
  await expect(page.getByTestId('weigh-next')).toContainText(/mark of 1,125/)
  const next = page.getByRole('table', { name: /Lines to weigh next/ })
  await expect(next.getByRole('row')).toHaveCount(11)
  await expect(page.locator('.js-plotly-plot')).toBeVisible()
  // The view goes along to another stage, and stays after a reload.
  await page.keyboard.press('[')
  await expect(page.getByRole('link', { name: 'Forecast' })).toHaveAttribute('aria-current', 'page')
  await page.reload()
  await expect(page.getByTestId('forecast')).toBeVisible()
  await page.getByRole('link', { name: 'Where the kilos went' }).click()
  await expect(page.getByTestId('by-system').getByRole('row', { name: /Interior/ })).toContainText('−')
  await expect(page.getByTestId('what-it-cost').getByRole('row', { name: /Interior out/ })).toContainText(
    'free',
  )
})

test('growth, hours and money are typed where they are used', async ({ page }) => {
  const build = await freshBuild(page, { swaps: 1, linesEach: 2 })
  await open(page, build.at('swaps'))
  await page.getByRole('button', { name: 'All about Swap 0' }).click()
  const swap = page.getByRole('dialog', { name: 'Swap 0' })
  await swap.getByLabel('Hands on it').fill('a day')
  await swap.getByRole('button', { name: 'Save the swap' }).click()
  await expect(swap.getByRole('alert').first()).toBeVisible()
  await swap.getByLabel('Hands on it').fill('90 min')
  await swap.getByLabel('Cost').fill('-20')
  await swap.getByRole('button', { name: 'Save the swap' }).click()
  await page.getByRole('link', { name: 'Where the kilos went' }).click()
  await expect(page.getByTestId('what-it-cost').getByRole('row', { name: /Swap 0/ })).toContainText('1.5')
  await page.getByRole('link', { name: 'Forecast' }).click()
  await page.getByRole('button', { name: /^Growth/ }).click()
  const growth = page.getByRole('dialog', { name: 'Growth and doubt' })
  await growth.getByLabel('A guess grows by').fill('30')
  await growth.getByRole('button', { name: 'Save growth and doubt' }).click()
  await expect(page.getByRole('button', { name: 'Growth: guess +30 %' })).toBeVisible()
  await saved(page)
})

test('pads are read live: bouncing, settled, a dead one, the line cut, and taken over with one key', async ({
  page,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  await open(page, build.at('scales'))
  await page.keyboard.press('n')
  const sheet = page.getByRole('dialog', { name: 'Log a weigh-in' })
  await sheet.getByRole('button', { name: 'Read the pads live' }).click()
  const pads = sheet.getByRole('region', { name: 'Pads, live' })
  await pads.getByRole('button', { name: 'roll it off and zero' }).click()
  await pads.getByRole('button', { name: 'roll a car on' }).click()
  await expect(pads.getByRole('status')).toHaveText('Still settling.')
  await pads.getByRole('button', { name: 'kill or mend a pad' }).click()
  await expect(pads.getByRole('status')).toHaveText('One pad gives no reading.')
  await expect(pads.getByRole('button', { name: 'Take these readings' })).toBeDisabled()
  await pads.getByRole('button', { name: 'kill or mend a pad' }).click()
  await pads.getByRole('button', { name: 'pull the plug' }).click()
  await expect(pads.getByRole('status')).toContainText('The line to the pads is lost')
  await pads.getByRole('button', { name: 'plug in' }).click()
  await expect(pads.getByRole('status')).toHaveText('Settled.', { timeout: 15_000 })
  await pads.focus()
  await page.keyboard.press('Enter')
  await expect(sheet.getByLabel('Front left', { exact: true })).toHaveValue(/^26[23]/)
  await expect(page.getByTestId('live-weigh')).toContainText(/96[78]/)
  await sheet.getByRole('button', { name: 'Save the weigh-in' }).click()
  await saved(page)
})

test('a seventh tab works beside six that read pads live, and all of them read', async ({
  page,
  context,
}) => {
  const build = await freshBuild(page, { swaps: 0, linesEach: 0 })
  const tabs = [page, ...(await Promise.all(Array.from({ length: 6 }, () => context.newPage())))]
  for (const tab of tabs) {
    await open(tab, build.at('scales'))
    await tab.keyboard.press('n')
    await tab.getByRole('button', { name: 'Read the pads live' }).click()
    await expect(tab.getByRole('region', { name: 'Pads, live' }).getByRole('status')).toHaveText(/\S/)
  }
  const last = tabs.at(-1)!
  await last.getByRole('button', { name: 'roll a car on' }).click()
  for (const tab of [tabs[0]!, last])
    await expect(tab.getByRole('button', { name: 'Take these readings' })).toBeEnabled({ timeout: 15_000 })
  await fill(last.getByRole('dialog', { name: 'Log a weigh-in' }), { Notes: 'seventh' })
  await last.getByRole('button', { name: 'Take these readings' }).click()
  await last.getByRole('button', { name: 'Save the weigh-in' }).click()
  await saved(last)
})
