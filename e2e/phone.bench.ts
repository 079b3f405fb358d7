import { buildList } from '@bold-ballast/contract'
import { chromium, type Page } from '@playwright/test'
import { performance } from 'node:perf_hooks'
import { CHROMIUM, CHROMIUM_ARGS } from '../bin/parts/chromium.mjs'
import { ownServer } from './ownServer'

/**
 * A slow phone on a weak network: the real page in a browser with a quarter of this machine's speed and 1.6 Mbit/s, that
 * has nothing of the product yet, with the demo's workshop. Each round is a phone that was never here.
 */
const SLOWER = 4
const DOWN = 1.6e6 / 8
const UP = 0.75e6 / 8
const LATENCY_MS = 150
const ROUNDS = 5
const KEYS = 30

const line = (name: string, figure: string, goal: string) =>
  process.stdout.write(`  ${name.padEnd(62)} ${figure.padStart(12)}   ${goal}\n`)
const median = (times: readonly number[]) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!

const server = await ownServer({ DEMO: 'on' })
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })

async function slowPhone(): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    isMobile: true,
    hasTouch: true,
  })
  const page = await context.newPage()
  const inside = await context.newCDPSession(page)
  await inside.send('Network.enable')
  await inside.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: LATENCY_MS,
    downloadThroughput: DOWN,
    uploadThroughput: UP,
  })
  await inside.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  return page
}
const timed = async (work: () => Promise<unknown>) => {
  const start = performance.now()
  await work()
  return performance.now() - start
}
/** Types a mass figure by figure; from each key until the next frame is on its way, ms. */
async function keysIn(page: Page): Promise<readonly number[]> {
  await page.evaluate(`
    window.keyTimes = []
    document.addEventListener('keydown', () => {
      const start = performance.now()
      requestAnimationFrame(() => setTimeout(() => keyTimes.push(performance.now() - start)))
    }, true)
  `)
  for (let i = 0; i < KEYS; i += 1) {
    await page.keyboard.press(i % 3 === 2 ? 'Backspace' : String((i % 8) + 1))
    await page.waitForTimeout(150)
  }
  return (await page.evaluate('window.keyTimes')) as readonly number[]
}

try {
  // Figures that the server works out once aren't this phone's to wait for.
  const listed = async () => buildList.parse(await (await fetch(`${server.base}/api/v1/builds`)).json())
  while ((await listed()).some((build) => 'isWorkingOut' in build))
    await new Promise((done) => setTimeout(done, 200))
  const build = (await listed()).find(({ name }) => name === 'Nightjar')!
  const stage = build.stages.find(({ name }) => name === 'Diet')!
  const cards: number[] = []
  const boards: number[] = []
  const rooms: number[] = []
  const keys: number[] = []
  for (let round = 0; round < ROUNDS; round += 1) {
    const page = await slowPhone()
    const card = page.getByRole('link', { name: build.name })
    cards.push(
      await timed(async () => {
        await page.goto(server.base, { waitUntil: 'commit' })
        await card.waitFor()
      }),
    )
    boards.push(
      await timed(async () => {
        await card.tap()
        await page.getByTestId('tally').waitFor()
      }),
    )
    await page.context().close()
    // Straight from a code beside the car, with nothing kept either.
    const other = await slowPhone()
    const row = other.getByRole('button', { name: /Front door, complete/ }).first()
    rooms.push(
      await timed(async () => {
        await other.goto(`${server.base}/builds/${build.id}/stages/${stage.id}/swaps`, {
          waitUntil: 'commit',
        })
        await row.waitFor()
      }),
    )
    await row.tap()
    await other.getByLabel('Mass of one piece').tap()
    keys.push(...(await keysIn(other)))
    await other.context().close()
  }
  const seconds = (times: readonly number[]) => `${(median(times) / 1000).toFixed(1)} s`
  line('A slow phone that was never here: the Garage’s first card', seconds(cards), 'goal 6 s')
  line('  then a build, until its tally stands', seconds(boards), 'goal 5 s')
  line('  instead: Swaps of a build at once, by its address', seconds(rooms), '')
  line('  a key in a mass of it, median', `${median(keys).toFixed(0)} ms`, 'goal 100 ms')
  line(`  the same, slowest of ${keys.length}`, `${Math.max(...keys).toFixed(0)} ms`, 'goal 100 ms')
} finally {
  await browser.close()
  await server.end()
}
