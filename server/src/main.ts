import { demo } from '@bold-ballast/demo'
import { existsSync } from 'node:fs'
import { hostname } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { createApp } from './app'
import { currentWorkshop } from './builds/currentWorkshop'
import { loadDemo } from './builds/loadDemo'
import { connect, migrate, outgrown, stepsUnknown } from './database/connect'
import { Garage } from './garage/Garage'
import { localAddresses } from './garage/localAddresses'
import { openGarage } from './garage/openGarage'
import { HeavyWork } from './heavy/HeavyWork'
import { LiveHub } from './live/LiveHub'
import { Signals, tell } from './live/Signals'
import { limitClients } from './http/limitClients'
import { makeLog } from './http/logOf'
import { sweepScratch } from './workshop/scratch'
import { WorkshopExports } from './workshop/WorkshopExports'

/**
 * Starts the server from its environment: DATABASE_URL, PORT (0 picks one), DEMO=off for an empty workshop,
 * SHARE_ORIGIN for where links to shared sheets lead, PUBLIC_ORIGIN for where a reverse proxy hands on everything (and
 * TRUST_PROXY for its addresses), GARAGE_FOLDER for what the local network is served with and GARAGE=on to do so.
 * When it listens it says so to its parent process, which prints the address.
 */
const log = makeLog(process.env['LOG_LEVEL'] ?? 'warn')
const url = process.env['DATABASE_URL']
if (!url) throw new Error('DATABASE_URL must name a PostgreSQL database. `npm start` sets one up.')

/** An address without a path, or a message that says what one looks like. */
function originIn(name: 'SHARE_ORIGIN' | 'PUBLIC_ORIGIN', such: string): string | null {
  const text = process.env[name]
  if (!text) return null
  if (!URL.canParse(text) || !/^https?:$/.test(new URL(text).protocol))
    throw new Error(`${name} is an address such as ${such}, not “${text}”.`)
  return new URL(text).origin
}

const numberIn = (name: string, usual: number): number => {
  const text = process.env[name]
  const number = Number(text ?? usual)
  if (!Number.isInteger(number) || number < 0)
    throw new Error(`${name} is a whole number such as ${usual}, not “${text}”.`)
  return number
}
const db = connect(url, {
  connections: Math.max(2, numberIn('DATABASE_CONNECTIONS', 10)),
  statementMs: numberIn('STATEMENT_TIMEOUT_MS', 60_000),
})
/** Tables and the first records, however long they take; another server that starts meanwhile waits for them. */
async function prepare(database: string) {
  const patient = connect(database, { connections: 3 })
  try {
    const hasMigrated = await migrate(patient)
    const here = await currentWorkshop(patient)
    const found = process.env['DEMO'] === 'off' ? here : await loadDemo(patient, here, demo)
    if (hasMigrated) await tell(patient, { kind: 'migrated' })
    return found
  } finally {
    await patient.destroy()
  }
}
const workshop = await prepare(url).catch((error: unknown): never => {
  // Whoever starts it reads what went wrong; where in the program it did is for the log.
  const { message, stack } = error instanceof Error ? error : new Error(String(error))
  log.debug({ stack }, 'the start failed')
  process.stderr.write(`Bold Ballast could not start: ${message}\n`)
  process.exit(1)
})

const webRoot = process.env['WEB_ROOT'] ?? join(dirname(fileURLToPath(import.meta.url)), '../../web/dist')
const shareOrigin = originIn('SHARE_ORIGIN', 'https://proof.example.org')
const publicOrigin = originIn('PUBLIC_ORIGIN', 'https://garage.example.org')
const port = Number(process.env['PORT'] ?? 4610)
const garageFolder = process.env['GARAGE_FOLDER']
const addressesGiven = process.env['GARAGE_ADDRESSES']?.split(',')
const garage = garageFolder
  ? new Garage({
      folder: garageFolder,
      host: hostname(),
      port: Number(process.env['GARAGE_PORT'] ?? (port === 0 ? 0 : port + 1)),
      addresses: () => addressesGiven ?? localAddresses(),
      log,
    })
  : null
const heavy = new HeavyWork(url, 1)
const exports = new WorkshopExports(heavy)
// What runs left behind that were killed.
sweepScratch()
const signals = new Signals(url, log)
const hub = new LiveHub(db, signals, log)
await signals.open()
/** A newer version has changed the records under this one: it stops, rather than writing what it knows only half of. */
const stopIfOutgrown = () =>
  void stepsUnknown(db).then(
    (steps) => {
      if (steps.length === 0) return
      log.fatal(outgrown(steps))
      process.exitCode = 1
      close()
    },
    () => undefined,
  )
signals.hear(({ kind }) => kind === 'migrated' && stopIfOutgrown(), stopIfOutgrown)
let isClosing = false
const app = createApp({
  db,
  heavy,
  workshop,
  log,
  hub,
  exports,
  shareOrigin,
  publicOrigin,
  ...(process.env['TRUST_PROXY'] ? { trustProxy: process.env['TRUST_PROXY'] } : {}),
  garage,
  isClosing: () => isClosing,
  ...(existsSync(webRoot) ? { webRoot } : {}),
})
const server = app.listen(port, '127.0.0.1', (error?: Error) => {
  if (error) throw error
  const address = server.address()
  process.send?.({ listening: typeof address === 'object' ? address?.port : address })
  if (garage)
    openGarage(garage, app, db, process.env['GARAGE'] === 'on').then(
      (opened) => process.send?.({ garage: opened }),
      (failure: unknown) => log.error(failure, 'the local network is not served'),
    )
})
limitClients(server)

const close = () => {
  isClosing = true
  // Whoever listens is let go first: they go on at another server, or wait for this one.
  hub.close()
  const end = () =>
    Promise.all([garage?.close(), exports.close(), heavy.close(), signals.close(), db.destroy()])
  server.close(() => void end().then(() => process.exit()))
  server.closeIdleConnections()
  // A request that hangs must not keep the machine from shutting down.
  setTimeout(() => process.exit(), 3000).unref()
}
process.on('SIGTERM', close)
process.on('SIGINT', close)
process.on('SIGHUP', close)
process.on('disconnect', close)
