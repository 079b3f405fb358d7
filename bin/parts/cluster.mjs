import { spawnSync } from 'node:child_process'
import { createHash, randomBytes } from 'node:crypto'
import { chmodSync, chownSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { dirname, join } from 'node:path'
import { applicationUser } from './applicationUser.mjs'
import { postgresPrograms } from './packages.mjs'
import { say, stop } from './say.mjs'

/** Milliseconds between two looks at a running database. */
const WATCHED_EVERY = 3000

/** A port that nothing listens on, now. */
export const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })

/** The account that runs PostgreSQL, which refuses root: ourselves, or Debian's `postgres`. */
function databaseUser() {
  if (process.getuid() !== 0) return null
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((l) => l.startsWith('postgres:'))
  if (!line) stop('There is no account called postgres. Installing Debian’s postgresql package makes one.')
  const [, , uid, gid] = line.split(':')
  return { uid: Number(uid), gid: Number(gid) }
}

const canEnter = (dir, user) => spawnSync('test', ['-x', dir], { ...user }).status === 0

/** `.data` in the checkout, or, where the database's user can't enter that, a folder of its own below /var/lib. */
function folderFor(root, user) {
  const inCheckout = join(root, '.data')
  if (!user || canEnter(root, user)) return inCheckout
  const mark = createHash('sha256').update(root).digest('hex').slice(0, 12)
  return join('/var/lib/bold-ballast', mark)
}

/** True while the checkout's own cluster runs. */
export function isClusterRunning(root) {
  const user = databaseUser()
  const data = join(folderFor(root, user), 'cluster')
  const program = join(postgresPrograms(), 'pg_ctl')
  return existsSync(data) && spawnSync(program, ['status', '-D', data], { ...user, cwd: '/' }).status === 0
}

/**
 * A PostgreSQL cluster of our own, listening on 127.0.0.1 only, behind a password that only we can read.
 *
 * @param root the checkout, or for a throwaway cluster the folder to put it in
 * @param options.throwaway true for tests: no wait for the disk
 * @returns the application's URL of it, its folder, and how to stop it
 */
export async function startCluster(root, { throwaway = false } = {}) {
  const programs = postgresPrograms()
  const user = databaseUser()
  const folder = throwaway ? root : folderFor(root, user)
  const data = join(folder, 'cluster')
  const secretFile = join(folder, 'secret')
  const as = (program, args, input) =>
    spawnSync(join(programs, program), args, { ...user, cwd: '/', encoding: 'utf8', input })
  const own = (path) => user && chownSync(path, user.uid, user.gid)

  const isNew = !existsSync(join(data, 'PG_VERSION'))
  if (isNew) {
    mkdirSync(folder, { recursive: true })
    if (folder.startsWith('/var/lib/')) chmodSync(dirname(folder), 0o755)
    // The folder holds a secret; the database's user needs to pass through it, nobody needs to list it.
    chmodSync(folder, 0o711)
    rmSync(data, { recursive: true, force: true })
    mkdirSync(data, { mode: 0o700 })
    own(data)
    const secret = randomBytes(24).toString('hex')
    writeFileSync(secretFile, secret, { mode: 0o600 })
    const passed = join(folder, 'first-password')
    writeFileSync(passed, secret, { mode: 0o600 })
    own(passed)
    const made = as('initdb', [
      '-D',
      data,
      '-U',
      'ballast',
      '-A',
      'scram-sha-256',
      `--pwfile=${passed}`,
      '-E',
      'UTF8',
      '--locale=C.UTF-8',
    ])
    rmSync(passed, { force: true })
    if (made.status !== 0) {
      rmSync(data, { recursive: true, force: true })
      stop(`The database could not be set up in ${data}:\n${made.stderr}`)
    }
  }
  const secret = readFileSync(secretFile, 'utf8')
  const running = as('pg_ctl', ['status', '-D', data]).status === 0
  let port
  if (running) {
    port = Number(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[3])
  } else {
    port = await freePort()
    const fast = throwaway ? '-c fsync=off -c synchronous_commit=off -c full_page_writes=off' : ''
    const options = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' ${fast}`
    const started = as('pg_ctl', [
      'start',
      '-w',
      '-t',
      '60',
      '-D',
      data,
      '-l',
      join(data, 'server.log'),
      '-o',
      options,
    ])
    if (started.status !== 0)
      stop(`The database did not start. Its log is ${join(data, 'server.log')}.\n${started.stderr}`)
  }
  if (!throwaway) {
    const elsewhere = folder !== join(root, '.data')
    if (isNew)
      say(
        `The records are kept in ${data}${elsewhere ? ' (the database’s user can’t enter this checkout)' : ''}`,
      )
    else if (elsewhere) say(`The records are in ${data}`)
  }
  const isUp = () => as('pg_ctl', ['status', '-D', data]).status === 0
  const start = () =>
    as('pg_ctl', [
      'start',
      '-w',
      '-D',
      data,
      '-l',
      join(data, 'server.log'),
      '-o',
      `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=''`,
    ])
  const url = applicationUser(folder, { program: join(programs, 'psql'), port, secret, canCreate: throwaway })
  return {
    url,
    data,
    stop: () => void as('pg_ctl', ['stop', '-D', data, '-m', 'fast', '-w', '-t', '30']),
    start: () => void start(),
    /** Starts it again whenever it has died, and says so; the server waits for it meanwhile. */
    watch: (tell, every = WATCHED_EVERY) => {
      const timer = setInterval(() => {
        if (isUp()) return
        tell('The database stopped by itself. It is started again; nothing that was saved is lost.')
        const { status, stderr } = start()
        if (status !== 0)
          tell(`The database does not start: its log is ${join(data, 'server.log')}.\n${stderr}`)
      }, every)
      timer.unref()
      return () => clearInterval(timer)
    },
  }
}
