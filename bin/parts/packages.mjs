import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { say, stop } from './say.mjs'

const run = (command, args, options = {}) =>
  spawnSync(command, args, { stdio: ['ignore', 'ignore', 'pipe'], encoding: 'utf8', ...options })

/** Installs a Debian package when `isThere` says that it is missing. */
export function ensureDebianPackage(name, isThere) {
  if (isThere()) return
  say(`Installing ${name} from Debian’s packages …`)
  const asRoot = process.getuid() === 0 ? [] : ['sudo', '-n']
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, 'apt-get', ...args]
    return run(command, rest, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } })
  }
  if (apt('install', '-y', '--no-install-recommends', name).status !== 0) {
    apt('update')
    const second = apt('install', '-y', '--no-install-recommends', name)
    if (second.status !== 0) {
      stop(
        `${name} could not be installed. Run this once as an administrator, then start again:\n\n    apt-get install ${name}\n\n${second.stderr ?? ''}`,
      )
    }
  }
  if (!isThere()) stop(`${name} was installed, but its programs are not where they should be.`)
}

/** Folder of PostgreSQL's own programs, newest version first, or null. */
export function postgresPrograms() {
  const root = '/usr/lib/postgresql'
  if (existsSync(root)) {
    const versions = readdirSync(root).filter((v) => existsSync(join(root, v, 'bin/initdb')))
    versions.sort((a, b) => Number(b) - Number(a))
    if (versions[0]) return join(root, versions[0], 'bin')
  }
  const onPath = (process.env.PATH ?? '').split(':').find((dir) => dir && existsSync(join(dir, 'initdb')))
  return onPath ?? null
}

export const ensurePostgres = () => ensureDebianPackage('postgresql', () => postgresPrograms() !== null)

const fingerprint = (files) => {
  const hash = createHash('sha256')
  for (const file of files) hash.update(file).update(readFileSync(file))
  return hash.digest('hex')
}

/** Runs `npm ci` when the lock file has changed since it last ran here. */
export function ensureModules(root) {
  const marker = join(root, 'node_modules/.bold-ballast-lock')
  const wanted = fingerprint([join(root, 'package-lock.json')])
  if (existsSync(marker) && readFileSync(marker, 'utf8') === wanted) return
  say('Installing the parts it is made of (npm ci) …')
  const result = spawnSync('npm', ['ci', '--no-audit', '--no-fund'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  if (result.status !== 0) stop('npm ci failed; the lines above say why.')
  writeFileSync(marker, wanted)
}

const filesBelow = (dir) =>
  readdirSync(dir, { withFileTypes: true }).flatMap((entry) => {
    if (entry.name === 'node_modules' || entry.name === 'dist') return []
    const path = join(dir, entry.name)
    return entry.isDirectory() ? filesBelow(path) : [path]
  })

/** Builds the web client when any of its sources has changed. */
export function ensureWebClient(root) {
  const sources = ['web', 'core/src', 'contract/src', 'model/src', 'words/src']
    .flatMap((dir) => filesBelow(join(root, dir)))
    .sort()
  const marker = join(root, 'web/dist/.built-from')
  const wanted = fingerprint([
    ...sources.filter((f) => statSync(f).isFile()),
    join(root, 'package-lock.json'),
  ])
  if (existsSync(marker) && readFileSync(marker, 'utf8') === wanted) return
  say('Building the web client …')
  const result = spawnSync('npx', ['--no-install', 'vite', 'build', 'web', '--logLevel', 'error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  if (result.status !== 0) stop('The web client could not be built; the lines above say why.')
  writeFileSync(marker, wanted)
}
