#!/usr/bin/env node
import { dirname, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { register } from 'tsx/esm/api'
import { isClusterRunning, startCluster } from './parts/cluster.mjs'
import { ensurePostgres } from './parts/packages.mjs'
import { portOfRunning } from './parts/running.mjs'
import { stop } from './parts/say.mjs'

/** `npm run people` lists who works here; with `password` or `owner` and a sign-in name it helps whoever is locked out. */
const root = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const isOwn = !process.env.DATABASE_URL
if (isOwn) ensurePostgres()
const wasRunning = isOwn && isClusterRunning(root)
const cluster = isOwn ? await startCluster(root) : null
register()
const { connect, migrate } = await import('../server/src/database/connect.ts')
const { peopleCommand } = await import('../server/src/access/peopleCommand.ts')
const db = connect(cluster?.url ?? process.env.DATABASE_URL)
try {
  await migrate(db)
  const port = wasRunning ? await portOfRunning(root) : null
  const origin = process.env.PUBLIC_ORIGIN ?? `http://localhost:${port ?? 4610}`
  const lines = await peopleCommand(db, process.argv.slice(2), origin)
  console.log(`\n  ${lines.join('\n  ')}\n`)
} catch (error) {
  stop(error.message)
} finally {
  await db.destroy()
  if (!wasRunning) cluster?.stop()
}
