import { spawn } from 'node:child_process'
import {
  closeSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { postgresPrograms } from './packages.mjs'

const SUFFIX = '.dump'
/** Of a dump that isn't whole yet. */
const HALF = '.part'
const NIGHT = 3
/** Beginning of the names of folders that a restore works in. */
const SCRATCH = `bold-ballast-restore-${process.pid}-`
const DAY = 86_400_000
const DAYS_KEPT = 14
const MONTHS_KEPT = 12

export const backupFolder = (root) => join(root, '.data/backups')

const two = (n) => String(n).padStart(2, '0')
/** A dump's name is its time, so that names sort as times do. */
export const nameAt = (time) =>
  `${time.getFullYear()}-${two(time.getMonth() + 1)}-${two(time.getDate())} ${two(time.getHours())}.${two(time.getMinutes())}.${two(time.getSeconds())}${SUFFIX}`

/** When a dump was made, by its name; null for what was not made by the clock, which is never dropped. */
export function timeOf(name) {
  const found = /^(\d{4})-(\d\d)-(\d\d) (\d\d)\.(\d\d)(?:\.(\d\d))?\.dump$/.exec(name)
  if (!found) return null
  // Earlier versions named dumps to the minute.
  const [year, month, day, hour, minute, second] = found.slice(1).map((part) => Number(part ?? 0))
  return new Date(year, month - 1, day, hour, minute, second)
}

/** The dumps in a folder, the newest first. */
export const dumpsIn = (folder) =>
  existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => name.endsWith(SUFFIX))
        .sort()
        .reverse()
    : []

/**
 * Which dumps to drop: kept are those of the last fourteen days, and the first of each month for a year.
 *
 * @param names of dumps
 * @param now a Date
 */
export function toDrop(names, now) {
  const made = names.flatMap((name) => (timeOf(name) ? [{ name, time: timeOf(name) }] : []))
  const monthOf = ({ time }) => `${time.getFullYear()}-${time.getMonth()}`
  const firsts = new Map()
  for (const dump of [...made].sort((a, b) => a.time - b.time))
    if (!firsts.has(monthOf(dump))) firsts.set(monthOf(dump), dump.name)
  const since = new Date(now.getFullYear(), now.getMonth() - MONTHS_KEPT, 1)
  return made
    .filter(({ name, time }) => {
      const isRecent = now - time <= DAYS_KEPT * DAY
      return !isRecent && !(time >= since && firsts.get(monthOf({ time })) === name)
    })
    .map(({ name }) => name)
}

/** Milliseconds until the next night's dump. */
export function untilNight(now) {
  const night = new Date(now.getFullYear(), now.getMonth(), now.getDate(), NIGHT)
  if (night <= now) night.setDate(night.getDate() + 1)
  return night - now
}

/** The connection as the environment that PostgreSQL's programs read: a password on a command line is seen by all. */
export function connectionOf(url) {
  const { hostname, port, username, password, pathname, searchParams } = new URL(url)
  // As the driver and libpq both call them in an address.
  const tls = Object.fromEntries(
    ['sslmode', 'sslrootcert', 'sslcert', 'sslkey'].flatMap((name) => {
      const value = searchParams.get(name)
      return value ? [[`PG${name.toUpperCase()}`, value]] : []
    }),
  )
  return {
    PGHOST: hostname.replace(/^\[|\]$/g, ''),
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: decodeURIComponent(pathname.slice(1)) || 'postgres',
    ...tls,
  }
}

/** Runs one of PostgreSQL's programs; throws with its own words when it fails. */
export function runProgram(program, args, url) {
  const programs = postgresPrograms()
  const path = programs && existsSync(join(programs, program)) ? join(programs, program) : program
  return new Promise((done, fail) => {
    const child = spawn(path, args, {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, ...connectionOf(url) },
    })
    const [out, err] = [[], []]
    child.stdout.on('data', (chunk) => out.push(chunk))
    child.stderr.on('data', (chunk) => err.push(chunk))
    child.once('error', (error) => fail(new Error(`${program} can’t be run: ${error.message}`)))
    child.once('exit', (code) =>
      code === 0
        ? done(Buffer.concat(out).toString())
        : fail(new Error(`${program}: ${Buffer.concat(err).toString().trim()}`)),
    )
  })
}

/** A name in a folder that no dump has, and none gets twice: what was set aside is never written over. */
function freeName(folder, name) {
  const stem = name.slice(0, -SUFFIX.length)
  for (let n = 1; ; n += 1) {
    const path = join(folder, n === 1 ? name : `${stem} (${n})${SUFFIX}`)
    if (existsSync(path)) continue
    try {
      // Its half is taken at once, so that two at the same time don't take the same.
      closeSync(openSync(`${path}${HALF}`, 'wx', 0o600))
      return path
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
    }
  }
}

/**
 * Dumps a database into a folder, whole or not at all, beside all that is there.
 *
 * @returns the path of the dump
 */
export async function dump(url, folder, name = nameAt(new Date())) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const path = freeName(folder, name)
  const half = `${path}${HALF}`
  try {
    await runProgram('pg_dump', ['--format=custom', '--no-owner', '--no-privileges', `--file=${half}`], url)
    renameSync(half, path)
  } finally {
    rmSync(half, { force: true })
  }
  return path
}

/**
 * Ends whatever lets somebody in, with the same transaction: who was signed out, sent away or locked out since the dump
 * was made does not come back by it. Dumps of versions without accounts have nothing of the kind.
 */
const REVIVE_NOBODY = `
CREATE TEMP TABLE ended (what text, count bigint) ON COMMIT DROP;
DO $$
DECLARE
  ending record;
  ended_now bigint;
BEGIN
  FOR ending IN SELECT * FROM (VALUES
    ('sessions', 'UPDATE public.sessions SET ended_at = now() WHERE ended_at IS NULL AND ends_at > now()'),
    ('passes', 'UPDATE public.passes SET withdrawn_at = now() WHERE used_at IS NULL AND withdrawn_at IS NULL AND ends_at > now()'),
    ('homes', 'DELETE FROM public.homes'),
    ('known_devices', 'DELETE FROM public.known_devices'),
    ('presences', 'DELETE FROM public.presences')
  ) AS endings (held, how) LOOP
    CONTINUE WHEN to_regclass('public.' || ending.held) IS NULL;
    EXECUTE ending.how;
    GET DIAGNOSTICS ended_now = ROW_COUNT;
    INSERT INTO ended VALUES (ending.held, ended_now);
  END LOOP;
END $$;
SELECT coalesce(json_object_agg(what, count), '{}') FROM ended;
`

/**
 * Puts a dump in place of what a database holds, all or nothing: where anything fails, everything stays as it was. It
 * revives nobody: devices are signed out, open links and pairings ended.
 *
 * @param path of the dump
 * @returns how many of each were ended, by their table; nothing of a dump without accounts
 */
export async function restore(url, path) {
  const scratch = mkdtempSync(join(tmpdir(), SCRATCH))
  const sql = join(scratch, 'dump.sql')
  const ending = join(scratch, 'ending.sql')
  try {
    // The schema itself is made here; a dump may or may not have it.
    await runProgram(
      'pg_restore',
      ['--no-owner', '--no-privileges', '--schema=public', `--file=${sql}`, path],
      url,
    )
    writeFileSync(ending, REVIVE_NOBODY)
    const said = await runProgram(
      'psql',
      [
        '--no-psqlrc',
        '--quiet',
        '--tuples-only',
        '--no-align',
        '--single-transaction',
        '--set=ON_ERROR_STOP=1',
        '--command=DROP SCHEMA IF EXISTS public CASCADE',
        '--command=CREATE SCHEMA public',
        `--file=${sql}`,
        `--file=${ending}`,
      ],
      url,
    )
    return JSON.parse(said.trim().split('\n').at(-1))
  } finally {
    rmSync(scratch, { recursive: true, force: true })
  }
}

const manyOf = (count, one, many) => `${count} ${count === 1 ? one : many}`

/**
 * What becomes of those who work here when a dump is put back, in words.
 *
 * @param ended as `restore` says it
 */
export function restoredSaid({ sessions = null, passes = 0, homes = 0 }) {
  if (sessions === null) return []
  const also = [
    ...(passes > 0 ? [manyOf(passes, 'open link', 'open links')] : []),
    ...(homes > 0 ? [manyOf(homes, 'pairing with another workshop', 'pairings with other workshops')] : []),
  ]
  return [
    '',
    `Everybody is signed out (${manyOf(sessions, 'device', 'devices')})${also.length > 0 ? `, and ended: ${also.join(' and ')}` : ''}.`,
    'Passwords are those of the dump: whoever has chosen a new one since signs in with the one before.',
    'Who works here, and which sheets are shared, is as it was in the dump, too: npm run people lists the people.',
  ]
}

/** The lock that whoever dumps a database holds, among all that ever ask for one. */
const DUMP_LOCK = [4610, 1]
/** What was dumped so short a time ago is tonight's. */
const TONIGHT = '12 hours'

/**
 * Does tonight's work on a database if nobody else is at it, or has done it: of any number of servers one.
 *
 * @returns whether it was done here
 */
export async function byOneOnly(url, work) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url, application_name: 'bold-ballast' })
  await client.connect()
  try {
    const { rows } = await client.query('select pg_try_advisory_lock($1, $2) as mine', DUMP_LOCK)
    if (!rows[0].mine) return false
    const done = await client.query(`select from dumps where at > now() - interval '${TONIGHT}'`)
    if (done.rows.length > 0) return false
    await work()
    await client.query('insert into dumps default values')
    return true
  } finally {
    // The lock goes with the connection.
    await client.end()
  }
}

/**
 * Dumps a database each night while the application runs, and at once where the last dump is older than a day.
 *
 * Of several servers of one database one does.
 *
 * @param say tells the person at the terminal what went wrong
 * @returns stops it
 */
export function dumpNightly(url, folder, say) {
  let timer
  const night = async () => {
    try {
      await byOneOnly(url, () => dump(url, folder))
      for (const name of toDrop(dumpsIn(folder), new Date())) rmSync(join(folder, name), { force: true })
    } catch (error) {
      say(`The nightly dump failed: ${error.message}`)
    }
    plan()
  }
  const plan = () => {
    timer = setTimeout(() => void night(), untilNight(new Date()))
    timer.unref()
  }
  const newest = dumpsIn(folder).map(timeOf).find(Boolean)
  if (newest && Date.now() - newest < DAY) plan()
  else void night()
  return () => clearTimeout(timer)
}
