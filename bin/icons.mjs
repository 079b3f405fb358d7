#!/usr/bin/env node
import { chromium } from '@playwright/test'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { CHROMIUM, CHROMIUM_ARGS, ensureChromium } from './parts/chromium.mjs'

/** Draws the icons of the installed application from its mark: `node bin/icons.mjs`, after the mark has changed. */
const root = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const folder = join(root, 'web/public/icons')
const mark = readFileSync(join(root, 'web/public/mark.svg'), 'utf8')
const plates = mark.replace(/<rect[^>]*rx="5"[^>]*\/>/, '')
/** A phone may cut a maskable icon down to the circle of its middle four fifths. */
const filled = (share) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32"><rect width="32" height="32" fill="#1D2326"/><g transform="translate(16 16) scale(${share}) translate(-16 -16)">${plates}</g></svg>`
const ICONS = [
  { file: '192', size: 192, svg: mark },
  { file: '512', size: 512, svg: mark },
  { file: 'maskable', size: 512, svg: filled(0.8) },
  { file: 'apple-touch', size: 180, svg: filled(0.9) },
]

ensureChromium()
mkdirSync(folder, { recursive: true })
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
const page = await browser.newPage()
for (const { file, size, svg } of ICONS) {
  await page.setViewportSize({ width: size, height: size })
  await page.setContent(`<body style="margin:0;background:transparent">${svg}</body>`)
  await page.locator('body > svg').evaluate((node, px) => {
    node.style.cssText = `display:block;width:${px}px;height:${px}px`
  }, size)
  writeFileSync(join(folder, `${file}.png`), await page.screenshot({ omitBackground: true }))
}
await browser.close()
