#!/usr/bin/env node
import { createConnection } from 'node:net'
import { dirname, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { backupFolder, dumpNightly } from './parts/backup.mjs'
import { startCluster } from './parts/cluster.mjs'
import { garageFolder, garageWords } from './parts/garage.mjs'
import { ensureModules, ensurePostgres, ensureWebClient } from './parts/packages.mjs'
import { claimRunning, portOfRunning } from './parts/running.mjs'
import { say, stop } from './parts/say.mjs'
import { startServer } from './parts/server.mjs'

const root = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const USUAL_PORT = 4610
const isGarage = process.argv.includes('--garage')

const isTaken = (port) =>
  new Promise((done) => {
    const probe = createConnection({ port, host: '127.0.0.1' })
    probe.once('connect', () => (probe.destroy(), done(true)))
    probe.once('error', () => done(false))
  })

async function portToUse() {
  const asked = process.env.PORT
  if (asked !== undefined) {
    if (await isTaken(Number(asked))) stop(`Port ${asked} is taken. Choose another: PORT=4700 npm start`)
    return asked
  }
  for (let port = USUAL_PORT; port < USUAL_PORT + 20; port += 1) {
    if (!(await isTaken(port))) return port
    say(`Port ${port} is taken (is it running already?); trying the next one.`)
  }
  return stop('No free port found. Choose one: PORT=4700 npm start')
}

const [major, minor] = process.versions.node.split('.').map(Number)
if (major < 20 || (major === 20 && minor < 19))
  stop(`Node.js 20.19 or newer is needed; this is ${process.versions.node}.`)

console.log('\n  Bold Ballast\n')
const ownCluster = !process.env.DATABASE_URL
if (ownCluster) ensurePostgres()
ensureModules(root)
// A second start from here shows the way to the first, and touches nothing of it.
const claim = ownCluster ? claimRunning(root) : null
if (ownCluster && !claim) {
  const running = await portOfRunning(root)
  if (running === null) stop('It was running already, and has just ended. Start it again.')
  say(`It is running already. Open http://localhost:${running}\n`)
  if (isGarage) say(`The garage is opened there: http://localhost:${running}/crew\n`)
  process.exit(0)
}
// Whatever ends this, the next start finds the way free.
process.on('exit', () => claim?.release())
ensureWebClient(root)
const port = await portToUse()
const cluster = ownCluster ? await startCluster(root) : null

let closing = false
try {
  const { child, port: listening } = await startServer(root, {
    DATABASE_URL: cluster?.url ?? process.env.DATABASE_URL,
    PORT: String(port),
    GARAGE_FOLDER: garageFolder(root),
    ...(isGarage && { GARAGE: 'on' }),
  })
  claim?.listensOn(listening)
  say(`Open http://localhost:${listening}    (Ctrl+C stops it)\n`)
  child.on('message', ({ garage }) => {
    if (garage) void garageWords(garage, listening).then((lines) => lines.forEach((line) => say(line)))
  })
  const stopWatching = cluster?.watch(say)
  const stopDumps = dumpNightly(cluster?.url ?? process.env.DATABASE_URL, backupFolder(root), say)
  const close = () => {
    if (closing) return
    closing = true
    stopDumps()
    stopWatching?.()
    child.kill('SIGTERM')
  }
  process.on('SIGINT', close)
  process.on('SIGTERM', close)
  // A terminal that is closed.
  process.on('SIGHUP', close)
  child.once('exit', (code) => {
    stopWatching?.()
    cluster?.stop()
    process.exit(closing ? 0 : (code ?? 1))
  })
} catch (error) {
  cluster?.stop()
  stop(error.message)
}
