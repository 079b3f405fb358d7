#!/usr/bin/env node
import { existsSync, statSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import {
  backupFolder,
  dump,
  dumpsIn,
  nameAt,
  restore,
  restoredSaid,
  runProgram,
  timeOf,
} from './parts/backup.mjs'
import { isClusterRunning, startCluster } from './parts/cluster.mjs'
import { ensurePostgres } from './parts/packages.mjs'
import { say, stop } from './parts/say.mjs'

/** `npm run restore` lists the dumps; `npm run restore -- latest`, a name or a path puts one back. */
const root = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const folder = backupFolder(root)
const dumps = dumpsIn(folder)
const [wanted] = process.argv.slice(2)

console.log('\n  Bold Ballast: put a dump back\n')
if (!wanted) {
  if (dumps.length === 0)
    stop(`There is no dump in ${folder} yet. One is made on the first start, and each night.`)
  for (const name of dumps)
    say(`${(statSync(join(folder, name)).size / 1e6).toFixed(1).padStart(8)} MB  ${name}`)
  say('\n  Put one back:  npm run restore -- latest   (or its name, or the path of a file)\n')
  process.exit(0)
}
// What a restore set aside is put back by its name only.
const latest = dumps.find(timeOf)
const path =
  wanted === 'latest'
    ? latest && join(folder, latest)
    : [join(folder, wanted), resolve(wanted)].find((candidate) => existsSync(candidate))
if (!path || !existsSync(path)) stop(`There is no dump called ${wanted}. npm run restore lists them.`)

ensurePostgres()
const isOwn = !process.env.DATABASE_URL
if (isOwn && isClusterRunning(root))
  stop('Bold Ballast is running. Stop it first (Ctrl+C where it was started).')
const cluster = isOwn ? await startCluster(root) : null
const url = cluster?.url ?? process.env.DATABASE_URL
try {
  const [busy] = (
    await runProgram(
      'psql',
      [
        '-tAc',
        "select count(*) from pg_stat_activity where application_name = 'bold-ballast' and datname = current_database()",
      ],
      url,
    )
  ).split('\n')
  if (Number(busy) > 0) throw new Error('Bold Ballast is running on this database. Stop it first.')
  const before = await dump(url, folder, `before ${nameAt(new Date())}`)
  say(`What is there now is kept in ${before}`)
  const ended = await restore(url, path)
  const [builds] = (await runProgram('psql', ['-tAc', 'select count(*) from builds'], url)).split('\n')
  say(`Put back: ${path}`)
  say(`${builds} ${builds === '1' ? 'build is' : 'builds are'} there. npm start opens them.`)
  for (const line of restoredSaid(ended)) say(line)
  console.log()
  cluster?.stop()
} catch (error) {
  cluster?.stop()
  stop(`Nothing was changed. ${error.message}`)
}
