import { buildSummary } from '@bold-ballast/contract'
import { chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from '../bin/parts/chromium.mjs'
import { gearedFile } from './geared'

/** From a slider's move until the figures of the gearing stand on the page anew, in the real page. */
const base = process.env['E2E_URL']!
const answer = await fetch(`${base}/api/v1/builds`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(gearedFile()),
})
const { id, stages } = buildSummary.parse(await answer.json())
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(`${base}/builds/${id}/stages/${stages[0]!.id}/driveline?view=choices`)
await page.getByTestId('choices').getByText('Shifts in 402 m').waitFor()
await page.waitForTimeout(1000)
// As text: the loader that runs this file would put names into a function that the page doesn't know.
const times = (await page.evaluate(`
  (async () => {
    const slider = document.querySelector('input[type=range]')
    const table = document.querySelector('[data-testid=choices]')
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set
    const times = []
    for (let i = 0; i < 40; i += 1) {
      const before = table.tBodies[0].innerText
      const start = performance.now()
      set.call(slider, String(3 + i * 0.05))
      slider.dispatchEvent(new Event('input', { bubbles: true }))
      while (table.tBodies[0].innerText === before) await new Promise(requestAnimationFrame)
      times.push(performance.now() - start)
    }
    return times.sort((a, b) => a - b)
  })()
`)) as number[]
const line = (name: string, figure: string, goal: string) =>
  process.stdout.write(`  ${name.padEnd(62)} ${figure.padStart(12)}   ${goal}\n`)
line('A slider of gearing until the figures stand anew, median', `${times[20]!.toFixed(0)} ms`, 'goal 100 ms')
line('The same, slowest of 40', `${times.at(-1)!.toFixed(0)} ms`, 'goal 100 ms')
await browser.close()
