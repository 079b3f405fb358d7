import { buildSummary, newJob } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { chromium } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { CHROMIUM, CHROMIUM_ARGS } from '../bin/parts/chromium.mjs'

/** A workshop of three with 300 jobs, drawn 5,000 times by the browser’s workers; then one job is moved. */
const JOBS = 300
const base = process.env['E2E_URL'] ?? 'http://localhost:4610'
const say = (what: string, ms: number, goal: string) =>
  process.stdout.write(`  ${what.padEnd(62)} ${`${ms.toFixed(0)} ms`.padStart(12)}   ${goal}\n`)

const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
const stageId = file.stages[0]!.id
const people = ['Ines', 'Tomasz', 'Bea']
file.hands.push(
  ...people.map((name, order) => ({
    id: randomUUID(),
    order,
    name,
    week: (['mon', 'tue', 'wed', 'thu', 'sat'] as const).map((day) => ({
      day,
      from: '18:00',
      until: '22:00',
    })),
    away: [],
    can: [],
    note: '',
  })),
)
for (let order = 0; order < JOBS; order += 1) {
  const before = [order - 1 - ((order * 7) % 11), Math.floor(order / 2)].filter((at) => at >= 0 && at < order)
  file.jobs.push(
    newJob({
      id: randomUUID(),
      stageId,
      name: `Job ${order + 1}`,
      order,
      workTime: 3600 * (1 + (order % 4)),
      hands: order % 9 === 0 ? 2 : 1,
      who: order % 4 === 0 ? [people[order % 3]!] : [],
      after: [...new Set(before)].map((at) => file.jobs[at]!.id),
    }),
  )
}
file.fixedDates.push({
  id: randomUUID(),
  name: 'Round one',
  date: '2028-06-03',
  time: null,
  kind: 'round',
  stageId,
  jobs: [],
  outingId: null,
  calendarId: '',
  note: '',
})
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
try {
  const page = await browser.newPage({ baseURL: base, viewport: { width: 1280, height: 800 } })
  const answer = await page.request.post('/api/v1/builds', { data: file })
  const made = buildSummary.parse(await answer.json())
  await page.goto(`/builds/${made.id}/stages/${stageId}/shop?view=date&on=2026-11-22`)
  await page.getByTestId('timeline').waitFor({ timeout: 60_000 })
  const drawings = () =>
    page.evaluate(() => performance.getEntriesByName('work drawn').map(({ duration }) => duration))
  say(
    `${JOBS} jobs drawn 5,000 times in a browser, by two workers, at first`,
    (await drawings()).at(-1) ?? NaN,
    'goal 1,000 ms',
  )
  await page.getByText('What would help').first().waitFor()
  const bar = page.getByRole('slider', { name: 'Job 1, not before' })
  await bar.focus()
  const moved = await page.evaluate(async () => {
    const times: number[] = []
    const said = document.querySelector('[data-testid="moved"]')
    for (let i = 0; i < 12; i += 1) {
      const start = performance.now()
      const before = said?.textContent
      document.activeElement?.dispatchEvent(
        new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true, cancelable: true }),
      )
      // Until the odds of the day it is moved to stand there.
      while (said?.textContent === before || !said?.textContent.includes('Round one'))
        await new Promise((done) => requestAnimationFrame(() => setTimeout(done)))
      times.push(performance.now() - start)
    }
    return times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN
  })
  say('One of them moved by a day: until the answer stands there', moved, 'goal 100 ms')
  const before = (await drawings()).length
  await page.keyboard.press('Enter')
  await page.waitForFunction((count) => performance.getEntriesByName('work drawn').length > count, before)
  say('The same again, once the move is kept', (await drawings()).at(-1) ?? NaN, 'goal 1,000 ms')
} finally {
  await browser.close()
}
