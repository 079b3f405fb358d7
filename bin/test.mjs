#!/usr/bin/env node
import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ensureChromium } from './parts/chromium.mjs'
import { ensureModules, ensurePostgres, ensureWebClient } from './parts/packages.mjs'
import { startServer } from './parts/server.mjs'
import { withThrowawayCluster } from './parts/throwaway.mjs'

/** Lint, types, unit, API and browser tests. `npm test -- browser` runs only the steps that are named. */
const root = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const wanted = process.argv.slice(2).filter((a) => !a.startsWith('-'))
const wants = (step) => wanted.length === 0 || wanted.includes(step)
const total = { passed: 0, failed: 0 }
/** What failed, said once more at the end: only the end of a long log is kept by some machines. */
const failures = []
const reports = mkdtempSync(join(tmpdir(), 'bold-ballast-reports-'))

const run = (command, args, env = {}) =>
  new Promise((done) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    })
    child.once('exit', (code) => done(code ?? 1))
  })
const npx = (args, env) => run('npx', ['--no-install', ...args], env)

function count(name, passed, failed) {
  total.passed += passed
  total.failed += failed
  console.log(`\n  ${name}: ${passed} passed, ${failed} failed\n`)
}
const reportOf = (file) => {
  try {
    return JSON.parse(readFileSync(join(reports, file), 'utf8'))
  } catch {
    return null
  }
}

/** Runs commands one after the other, and says what they wrote once all is done: two steps run beside each other. */
async function step(name, commands) {
  let failed = 0
  for (const command of commands) {
    const { code, said } = await saying('npx', ['--no-install', ...command])
    process.stdout.write(said)
    if (code !== 0) {
      failed += 1
      failures.push(`${name}: ${command.join(' ')}`)
    }
  }
  count(name, commands.length - failed, failed)
}

const saying = (command, args) =>
  new Promise((done) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] })
    const said = []
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => said.push(part))
    child.once('close', (code) => done({ code: code ?? 1, said: Buffer.concat(said).toString() }))
  })

const firstLines = (text) => (text ?? 'no reason given').split('\n').slice(0, 12).join('\n    ')
const failedUnitTests = (report) =>
  (report?.testResults ?? [])
    .filter((file) => file.status === 'failed')
    .flatMap((file) =>
      file.assertionResults.length === 0
        ? [`${file.name}\n    ${firstLines(file.message)}`]
        : file.assertionResults
            .filter((test) => test.status === 'failed')
            .map((test) => `${file.name} > ${test.fullName}\n    ${firstLines(test.failureMessages[0])}`),
    )
const failedJourneys = (suite) => [
  ...(suite.suites ?? []).flatMap(failedJourneys),
  ...(suite.specs ?? [])
    .filter((spec) => !spec.ok)
    .map((spec) => `${spec.file}:${spec.line} > ${spec.title}`),
]

ensurePostgres()
ensureModules(root)
await Promise.all([
  wants('lint') &&
    step('lint', [
      ['eslint', '.', '--max-warnings', '0'],
      ['prettier', '--check', '--log-level', 'warn', '.'],
    ]),
  wants('types') &&
    step('types', [
      ['tsc', '-p', 'tsconfig.json'],
      ['tsc', '-p', 'web/tsconfig.json'],
      ['tsc', '-p', 'e2e/tsconfig.json'],
    ]),
])

await withThrowawayCluster(async (cluster) => {
  if (wants('unit')) {
    const code = await npx(
      [
        'vitest',
        'run',
        '--reporter=default',
        '--reporter=json',
        `--outputFile.json=${join(reports, 'unit.json')}`,
      ],
      { TEST_DATABASE_URL: cluster.url },
    )
    const report = reportOf('unit.json')
    const failed =
      (report?.numFailedTests ?? 0) +
      (report?.testResults ?? []).filter((f) => f.status === 'failed' && f.assertionResults.length === 0)
        .length
    failures.push(...failedUnitTests(report))
    count('unit and API tests', report?.numPassedTests ?? 0, Math.max(failed, code === 0 ? 0 : 1))
  }
  if (wants('browser')) {
    ensureChromium()
    ensureWebClient(root)
    const { child, port } = await startServer(root, { DATABASE_URL: cluster.url, PORT: '0' })
    try {
      const env = {
        E2E_URL: `http://localhost:${port}`,
        PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'browser.json'),
      }
      const code = await npx(
        ['playwright', 'test', '-c', 'e2e/playwright.config.ts', '--reporter=list,json'],
        env,
      )
      const report = reportOf('browser.json')
      failures.push(...(report?.suites ?? []).flatMap(failedJourneys))
      const stats = report?.stats
      const passed = stats?.expected ?? 0
      count('browser tests', passed, Math.max(stats?.unexpected ?? 0, code === 0 ? 0 : 1))
    } finally {
      child.kill('SIGTERM')
      await new Promise((done) => child.once('exit', done))
    }
  }
})
rmSync(reports, { recursive: true, force: true })
if (failures.length > 0) console.log(`What failed:\n\n${failures.map((f) => `  ${f}`).join('\n\n')}\n`)
console.log(`${total.passed} passed, ${total.failed} failed`)
process.exit(total.failed > 0 ? 1 : 0)
