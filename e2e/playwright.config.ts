import { defineConfig } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from '../bin/parts/chromium.mjs'

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  fullyParallel: true,
  workers: 2,
  timeout: 120_000,
  retries: 0,
  expect: { timeout: 8000 },
  use: {
    baseURL: process.env['E2E_URL'] ?? 'http://localhost:4610',
    // Only the journeys without network want one; the others would fetch all rooms for nothing.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_ARGS },
    // A trace takes as long again as the journey: asked for when one is looked into.
    trace: process.env['TRACE'] ? 'retain-on-failure' : 'off',
  },
})
