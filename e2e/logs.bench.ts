import { buildSummary } from '@bold-ballast/contract'
import { sampleBuild, sampleOuting, sampleRun } from '@bold-ballast/contract/sampleBuild'
import { chromium } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { createWriteStream, mkdtempSync, rmSync } from 'node:fs'
import { once } from 'node:events'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { CHROMIUM, CHROMIUM_ARGS } from '../bin/parts/chromium.mjs'

/** A logger's file of 100 MB in a browser: until its laps are there, and how long the page is never still; then two laps. */
const MEGABYTES = 100
const RATE = 100
const base = process.env['E2E_URL'] ?? 'http://localhost:4610'
const say = (what: string, ms: number, goal: string) =>
  process.stdout.write(`  ${what.padEnd(62)} ${`${ms.toFixed(0)} ms`.padStart(12)}   ${goal}\n`)

const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-bench-'))
const path = join(folder, 'long.csv')
/** Round a circle of 300 m, with fourteen sensors beside. */
async function write(): Promise<void> {
  const out = createWriteStream(path)
  const others = Array.from({ length: 14 }, (_, i) => `sensor ${i + 1} (V)`)
  out.write(`time (s),latitude,longitude,speed (km/h),engine speed (rpm),throttle (%),${others.join(',')}\n`)
  let written = 0
  for (let row = 0; written < MEGABYTES * 1e6;) {
    const rows: string[] = []
    for (let k = 0; k < 2000; k += 1, row += 1) {
      const t = row / RATE
      const at = (t * 45) / 300
      const place = [Math.cos(at), Math.sin(at)].map((m) => ((300 * m) / 111_195).toFixed(8))
      const rest = others.map((_, i) => (2 + Math.sin(t / (i + 3))).toFixed(3))
      rows.push(
        `${t.toFixed(2)},${place.join(',')},${(162 + Math.sin(t)).toFixed(1)},5200,80,${rest.join(',')}`,
      )
    }
    const piece = `${rows.join('\n')}\n`
    written += piece.length
    if (!out.write(piece)) await once(out, 'drain')
  }
  out.end()
  await once(out, 'finish')
}

const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
const stageId = file.stages[0]!.id
const day = sampleOuting(stageId, randomUUID(), { name: 'Long run' })
file.outings.push(day)
file.runs.push(sampleRun(day.id, randomUUID(), [42]))
await write()
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
try {
  const page = await browser.newPage({ baseURL: base, viewport: { width: 1280, height: 800 } })
  const made = buildSummary.parse(await (await page.request.post('/api/v1/builds', { data: file })).json())
  await page.goto(`/builds/${made.id}/stages/${stageId}/days?view=logs`)
  await page.getByRole('button', { name: 'Read a log for run 1' }).click()
  await page.evaluate(() => {
    const longest = { ms: 0 }
    Object.assign(window, { longest })
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) longest.ms = Math.max(longest.ms, duration)
    }).observe({ type: 'longtask' })
  })
  const still = () => page.evaluate(() => (window as unknown as { longest: { ms: number } }).longest.ms)
  let started = performance.now()
  await page.getByLabel('A logger’s file, CSV or GPX').setInputFiles(path)
  await page.getByTestId('log-read').waitFor({ timeout: 120_000 })
  await page.getByText('Its own first lap is the line.').waitFor({ timeout: 120_000 })
  say(`${MEGABYTES} MB of a log read in a browser`, performance.now() - started, 'goal 20,000 ms')
  say('Longest that the page is still meanwhile', await still(), 'goal 50 ms')
  started = performance.now()
  await page.getByRole('button', { name: 'Keep it with the run' }).click()
  await page.getByTestId('log-laps').waitFor({ timeout: 120_000 })
  say('The same packed, kept and split into laps', performance.now() - started, '')
  say('Longest that the page is still until then', await still(), '')
  await page.getByRole('slider', { name: 'Place' }).focus()
  const moves = 40
  const took = await page.evaluate(async (count) => {
    const slider = document.querySelector<HTMLInputElement>('input[aria-label="Place"]')
    const setter = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set
    const times: number[] = []
    for (let i = 0; i < count; i += 1) {
      const start = performance.now()
      setter?.call(slider, String(20 + i * 10))
      slider?.dispatchEvent(new Event('input', { bubbles: true }))
      times.push(performance.now() - start)
      await new Promise((done) => requestAnimationFrame(done))
    }
    return times.sort((a, b) => a - b)[Math.floor(count / 2)] ?? NaN
  }, moves)
  say('Two laps laid over each other, a move', took, 'goal 16 ms')
} finally {
  await browser.close()
  rmSync(folder, { recursive: true, force: true })
}
