import { demo } from '@bold-ballast/demo'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { createApp } from './app'
import { currentWorkshop } from './builds/currentWorkshop'
import { loadDemo } from './builds/loadDemo'
import { connect, migrate } from './database/connect'
import { HeavyWork } from './heavy/HeavyWork'
import { LiveHub } from './live/LiveHub'
import { Signals } from './live/Signals'
import { limitClients } from './http/limitClients'

/**
 * Starts the server from its environment: DATABASE_URL, PORT (0 picks one), DEMO=off for an empty workshop,
 * SHARE_ORIGIN for where links to shared sheets lead.
 * When it listens it says so to its parent process, which prints the address.
 */
const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' })
const url = process.env['DATABASE_URL']
if (!url) throw new Error('DATABASE_URL must name a PostgreSQL database. `npm start` sets one up.')

/** An address without a path, or a message that says what one looks like. */
function shareOriginIn(text: string | undefined): string | null {
  if (!text) return null
  if (!URL.canParse(text) || !/^https?:$/.test(new URL(text).protocol))
    throw new Error(`SHARE_ORIGIN is an address such as https://proof.example.org, not “${text}”.`)
  return new URL(text).origin
}

const db = connect(url)
await migrate(db)
const here = await currentWorkshop(db)
const workshop = process.env['DEMO'] === 'off' ? here : await loadDemo(db, here, demo)

const webRoot = join(dirname(fileURLToPath(import.meta.url)), '../../web/dist')
const shareOrigin = shareOriginIn(process.env['SHARE_ORIGIN'])
const heavy = new HeavyWork(url)
const signals = new Signals(url, log)
const hub = new LiveHub(db, signals, log)
await signals.open()
let isClosing = false
const app = createApp({
  db,
  heavy,
  workshop,
  log,
  hub,
  shareOrigin,
  isClosing: () => isClosing,
  ...(existsSync(webRoot) ? { webRoot } : {}),
})
const server = app.listen(Number(process.env['PORT'] ?? 4610), '127.0.0.1', (error?: Error) => {
  if (error) throw error
  const address = server.address()
  process.send?.({ listening: typeof address === 'object' ? address?.port : address })
})
limitClients(server)

const close = () => {
  isClosing = true
  // Whoever listens is let go first: they go on at another server, or wait for this one.
  hub.close()
  const end = () => Promise.all([heavy.close(), signals.close(), db.destroy()])
  server.close(() => void end().then(() => process.exit(0)))
  server.closeIdleConnections()
  // A request that hangs must not keep the machine from shutting down.
  setTimeout(() => process.exit(0), 3000).unref()
}
process.on('SIGTERM', close)
process.on('SIGINT', close)
process.on('SIGHUP', close)
process.on('disconnect', close)
