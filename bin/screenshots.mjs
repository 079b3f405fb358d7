#!/usr/bin/env node
import { chromium } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import { mkdirSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { CHROMIUM, CHROMIUM_ARGS, ensureChromium } from './parts/chromium.mjs'
import { ensureModules, ensurePostgres, ensureWebClient } from './parts/packages.mjs'
import { say } from './parts/say.mjs'
import { startServer } from './parts/server.mjs'
import { withThrowawayCluster } from './parts/throwaway.mjs'

/** Takes docs/screenshots anew, from the demo data in a throwaway database. */
const root = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const folder = join(root, 'docs/screenshots')
const BENCH = { width: 1280, height: 800 }

/** name, build, stage, room, and what is different about the picture */
const SHOTS = [
  { name: 'garage' },
  { name: 'board', build: 'Nightjar', stage: 'Big wing', room: 'board', on: '2026-11-22' },
  { name: 'what-if', build: 'Ember', stage: 'Big turbo', room: 'board?view=whatif' },
  { name: 'swaps', build: 'Nightjar', stage: 'Diet', room: 'swaps' },
  { name: 'forecast', build: 'Nightjar', stage: 'Diet', room: 'swaps?view=forecast' },
  { name: 'scales', build: 'Wren', stage: 'Light and loud', room: 'scales' },
  { name: 'setup', build: 'Nightjar', stage: 'Big wing', room: 'stance', theme: 'dark' },
  { name: 'dyno', build: 'Nightjar', stage: 'First fire', room: 'dyno' },
  { name: 'gearing', build: 'Ember', stage: 'Big turbo', room: 'driveline', chart: true },
  { name: 'dates', build: 'Nightjar', stage: 'Big wing', room: 'shop?view=date&on=2026-11-22' },
  { name: 'aero', build: 'Nightjar', stage: 'Big wing', room: 'aero', chart: true },
  { name: 'brakes', build: 'Nightjar', stage: 'Big wing', room: 'stance?view=brakes', chart: true },
  { name: 'course', build: 'Nightjar', stage: 'Big wing', room: 'course', course: 'Longmere', chart: true },
  { name: 'worth', build: 'Nightjar', stage: 'Diet', room: 'course?view=worth', course: 'Longmere' },
  { name: 'helped', build: 'Nightjar', stage: 'Big wing', room: 'days?view=helped', chart: true },
  { name: 'laps', build: 'Nightjar', stage: 'Big wing', room: 'days?view=logs', chart: true },
  { name: 'proof', build: 'Nightjar', stage: 'First fire', room: 'proof', chart: true },
  { name: 'gain', build: 'Nightjar', stage: 'First fire', room: 'proof?view=gain' },
  { name: 'phone', build: 'Nightjar', stage: 'Diet', room: 'swaps', phone: true },
]

async function take(browser, base, builds, shot) {
  const context = await browser.newContext({
    viewport: shot.phone ? { width: 390, height: 800 } : BENCH,
    colorScheme: shot.theme ?? 'light',
    reducedMotion: 'reduce',
  })
  const page = await context.newPage()
  const build = builds.find((b) => b.name === shot.build)
  const stage = build?.stages.find((s) => s.name === shot.stage)
  const path = build
    ? `/builds/${build.id}/stages/${stage.id}/${shot.room}${shot.on ? `?on=${shot.on}` : ''}`
    : '/'
  await page.goto(base + path)
  await page.getByRole('heading', { level: 1 }).waitFor()
  if (shot.course) await page.getByLabel('Course', { exact: true }).selectOption({ label: shot.course })
  // The heading stands before the builds do.
  if (shot.name === 'garage') await page.getByRole('link', { name: 'Wren' }).waitFor()
  if (shot.scrollTo) await page.getByRole('region', { name: shot.scrollTo }).scrollIntoViewIfNeeded()
  if (shot.room === 'board' || shot.room === 'dyno' || shot.name === 'forecast' || shot.chart)
    await page.locator('.js-plotly-plot .main-svg').first().waitFor()
  if (shot.name === 'aero') await page.getByTestId('aero-doubt').waitFor()
  if (shot.press) await page.getByRole('radio', { name: shot.press }).click()
  if (shot.name === 'gain') await page.getByTestId('gain-split').waitFor()
  if (shot.name === 'what-if') await page.getByTestId('tried').waitFor()
  if (shot.name === 'setup') await page.getByTestId('whole-sheet').waitFor()
  if (shot.name === 'laps') {
    await page.getByTestId('overlay-says').waitFor()
    await page.getByRole('heading', { name: 'Two laps over each other' }).scrollIntoViewIfNeeded()
  }
  if (shot.name === 'worth') {
    await page.getByTestId('rates').getByText('±').first().waitFor()
    await page.getByTestId('rates-progress').waitFor({ state: 'detached' })
  }
  if (shot.name === 'dates') await page.getByTestId('easings').waitFor()
  await page.evaluate(() => document.fonts.ready)
  const file = join(folder, `${shot.name}.png`)
  if (shot.phone) {
    const at = (one) => `/builds/${build.id}/stages/${one.id}`
    const driven = build.stages.find((s) => s.name === 'Big wing')
    await threePhones(context, page, base, at(stage), at(driven), file)
  } else await page.screenshot({ path: file })
  await context.close()
  say(file)
}

/** The phone view in three steps side by side, on a sheet of the usual size. */
async function threePhones(context, page, base, at, daysAt, file) {
  const pictures = []
  pictures.push(await page.screenshot())
  await page.getByRole('button', { name: /Composite door skin/ }).click()
  await page.getByRole('dialog').waitFor()
  await page.goto(`${base}${at}/swaps?view=bench`)
  await page.getByRole('form', { name: 'Weigh at the bench' }).waitFor()
  pictures.push(await page.screenshot())
  await page.goto(`${base}${daysAt}/days`)
  await page.getByTestId('driver-says').last().scrollIntoViewIfNeeded()
  pictures.push(await page.screenshot())
  const sheet = await context.newPage()
  await sheet.setViewportSize(BENCH)
  const images = pictures
    .map((p) => `<img width="390" height="800" src="data:image/png;base64,${p.toString('base64')}">`)
    .join('')
  await sheet.setContent(
    `<body style="margin:0;display:flex;justify-content:space-between;background:#807A6C;padding:0 25px">${images}</body>`,
  )
  await sheet.screenshot({ path: file })
}

ensurePostgres()
ensureModules(root)
ensureChromium()
ensureWebClient(root)
mkdirSync(folder, { recursive: true })
await withThrowawayCluster(async (cluster) => {
  const { child, port } = await startServer(root, { DATABASE_URL: cluster.url, PORT: '0' })
  const base = `http://localhost:${port}`
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  const builds = await (await fetch(`${base}/api/v1/builds`)).json()
  for (const shot of SHOTS) await take(browser, base, builds, shot)
  await browser.close()
  child.kill('SIGTERM')
  await new Promise((done) => child.once('exit', done))
})
// Which web client they show, so that it can be told when they are old.
writeFileSync(join(folder, 'taken.txt'), execFileSync('git', ['rev-parse', 'HEAD:web'], { cwd: root }))
