#!/usr/bin/env node
import { spawn } from 'node:child_process'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { createInterface } from 'node:readline'
import { fileURLToPath } from 'node:url'
import { gzipSync } from 'node:zlib'
import { ensureChromium } from './parts/chromium.mjs'
import { inLoops, plainLoop } from './parts/plainLoop.mjs'
import { ensureModules, ensurePostgres, ensureWebClient } from './parts/packages.mjs'
import { startServer } from './parts/server.mjs'
import { withThrowawayCluster } from './parts/throwaway.mjs'

/** Prints figures and ratios. Nothing here passes or fails: a busy machine must not break a build. */
const root = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const line = (name, figure, goal) => console.log(`  ${name.padEnd(62)} ${figure.padStart(12)}   ${goal}`)

function scriptSize() {
  const assets = join(root, 'web/dist/assets')
  const html = readFileSync(join(root, 'web/dist/index.html'), 'utf8')
  // As it is sent: packed at the build.
  const size = (file) => {
    const packed = join(assets, `${file}.br`)
    return readFileSync(existsSync(packed) ? packed : join(assets, file)).length
  }
  const files = readdirSync(assets).filter((f) => f.endsWith('.js'))
  const kilobytes = (bytes) => `${(bytes / 1000).toFixed(1)} kB`
  const kb = (list) => kilobytes([...list].reduce((sum, f) => sum + size(f), 0))
  const gzipped = (list) =>
    kilobytes(
      [...list].reduce((sum, f) => sum + gzipSync(readFileSync(join(assets, f)), { level: 9 }).length, 0),
    )
  // What a file imports at once; what it fetches later stands in import(), in other words.
  const importsOf = (file) =>
    [...readFileSync(join(assets, file), 'utf8').matchAll(/(?:import|from)\s*["']\.\/([^"']+\.js)["']/g)].map(
      (m) => m[1],
    )
  const withImports = (list) => {
    const all = new Set(list)
    for (const file of all) for (const needed of importsOf(file)) all.add(needed)
    return all
  }
  const first = withImports(files.filter((f) => html.includes(f)))
  line('Script that every page needs, as sent', kb(first), 'goal 220 kB')
  line('The same in gzip', gzipped(first), '')
  for (const room of files.filter((f) => /Room-/.test(f))) {
    line(
      `Script when the first page is ${room.split('Room')[0]}, without charts, as sent`,
      kb(withImports([...first, room])),
      'goal 220 kB',
    )
  }
  line('The chart library, only where a chart is, as sent', kb(files.filter((f) => f.includes('plotly'))), '')
}

/** Prints what a bench says, each figure of time also as so many plain loops: of the machine as it is right then. */
async function run(file, env = process.env) {
  const loop = plainLoop()
  const child = spawn(process.execPath, ['--import', 'tsx', file], {
    cwd: root,
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const over = new Promise((done) => child.once('close', done))
  for await (const printed of createInterface({ input: child.stdout })) console.log(inLoops(printed, loop))
  await over
}

ensurePostgres()
ensureModules(root)
ensureChromium()
ensureWebClient(root)
if (!existsSync(join(root, 'web/dist/index.html'))) throw new Error('no web client')
console.log('\n  Bench\n')
line('A plain loop: 20 million turns', `${plainLoop().toFixed(1)} ms`, 'what the others are said in')
scriptSize()
for (const file of [
  'core/bench/weight.ts',
  'core/bench/power.ts',
  'core/bench/gearing.ts',
  'core/bench/aero.ts',
  'web/bench/logs.ts',
  'server/bench/proof.ts',
  'server/bench/stance.ts',
  'server/bench/course.ts',
  'server/bench/days.ts',
  'server/bench/work.ts',
])
  await run(file)
await withThrowawayCluster(async (cluster) => {
  const { child, port } = await startServer(root, {
    DATABASE_URL: cluster.url,
    PORT: '0',
    DEMO: 'off',
    LOG_LEVEL: 'silent',
  })
  const env = { ...process.env, DATABASE_URL: cluster.url, E2E_URL: `http://localhost:${port}` }
  for (const file of [
    'server/bench/readBuild.ts',
    'e2e/typing.bench.ts',
    'e2e/slider.bench.ts',
    'e2e/logs.bench.ts',
    'e2e/work.bench.ts',
    'e2e/phone.bench.ts',
    'server/bench/manyBuilds.ts',
    'server/bench/listeners.ts',
  ])
    await run(file, env)
  child.kill('SIGTERM')
  await new Promise((done) => child.once('exit', done))
})
