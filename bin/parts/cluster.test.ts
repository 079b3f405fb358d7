import { randomUUID } from 'node:crypto'
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { afterEach, describe, expect, it } from 'vitest'
import { freePort, startCluster, type Cluster } from './cluster.mjs'

let cluster: Cluster | undefined
const folders: string[] = []
const folder = () => {
  const made = mkdtempSync(join(tmpdir(), 'bold-ballast-cluster-'))
  folders.push(made)
  return made
}
afterEach(() => {
  cluster?.stop()
  cluster = undefined
  for (const made of folders.splice(0)) rmSync(made, { recursive: true, force: true })
})

async function ask(url: string, sql: string, values: unknown[] = []): Promise<Record<string, unknown>[]> {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    return (await client.query(sql, values)).rows
  } finally {
    await client.end()
  }
}

/** The cluster's own account, by which the application came in once. */
function ownerOf({ url }: Cluster, root: string): string {
  const owner = new URL(url)
  owner.username = 'ballast'
  owner.password = readFileSync(join(root, 'secret'), 'utf8')
  return owner.href
}

describe('startCluster', () => {
  it('keeps what was written through a stop and a second start', async () => {
    const root = folder()
    const word = randomUUID()
    cluster = await startCluster(root, { throwaway: true })
    await ask(cluster.url, 'CREATE TABLE kept (word text)')
    await ask(cluster.url, 'INSERT INTO kept VALUES ($1)', [word])
    cluster.stop()
    cluster = await startCluster(root, { throwaway: true })
    expect(await ask(cluster.url, 'SELECT word FROM kept')).toEqual([{ word }])
  })

  it('takes up a cluster that is running already', async () => {
    const root = folder()
    cluster = await startCluster(root, { throwaway: true })
    expect((await startCluster(root, { throwaway: true })).url).toBe(cluster.url)
  })

  it('is started again when it was killed, and says so', async () => {
    const root = folder()
    cluster = await startCluster(root, { throwaway: true })
    const said: string[] = []
    const stopWatching = cluster.watch((text) => said.push(text), 100)
    const pid = Number(readFileSync(join(cluster.data, 'postmaster.pid'), 'utf8').split('\n')[0])
    process.kill(pid, 'SIGKILL')
    const { url } = cluster
    await expect
      .poll(() => ask(url, 'SELECT 1 AS one').catch(() => null), { timeout: 60_000 })
      .toEqual([{ one: 1 }])
    stopWatching()
    expect(said[0]).toContain('started again')
  })

  it('listens on loopback only, behind a password that only its owner can read', async () => {
    const root = folder()
    cluster = await startCluster(root, { throwaway: true })
    const owner = ownerOf(cluster, root)
    expect(await ask(owner, 'SHOW listen_addresses')).toEqual([{ listen_addresses: '127.0.0.1' }])
    expect(await ask(owner, 'SHOW unix_socket_directories')).toEqual([{ unix_socket_directories: '' }])
    expect(statSync(join(root, 'secret')).mode & 0o077).toBe(0)
    expect(readFileSync(join(root, 'cluster/pg_hba.conf'), 'utf8')).not.toMatch(/^[^#]*\btrust\b/m)
    const open = new URL(cluster.url)
    open.password = 'guess'
    await expect(ask(open.href, 'SELECT 1')).rejects.toThrow(/password/)
  })

  it('lets the application do nothing but with its own records', async () => {
    const root = folder()
    cluster = await startCluster(root, { throwaway: true })
    const { url } = cluster
    const [me] = await ask(
      url,
      'SELECT rolsuper, rolcreaterole, rolreplication, rolbypassrls FROM pg_roles WHERE rolname = current_user',
    )
    expect(Object.values(me!)).toEqual([false, false, false, false])
    for (const wrong of [
      "COPY (SELECT 1) TO PROGRAM 'true'",
      "SELECT pg_read_file('postgresql.conf')",
      'CREATE ROLE other SUPERUSER',
      "ALTER SYSTEM SET listen_addresses = '*'",
    ])
      await expect(ask(url, wrong), wrong).rejects.toThrow(/permission denied|must be superuser/)
    expect(statSync(join(root, 'application-secret')).mode & 0o077).toBe(0)
  })

  it('hands over what an earlier version made under the cluster’s own account', async () => {
    const root = folder()
    cluster = await startCluster(root, { throwaway: true })
    const owner = ownerOf(cluster, root)
    await ask(owner, 'CREATE TABLE old (id serial PRIMARY KEY, word text)')
    await ask(owner, "INSERT INTO old (word) VALUES ('kept')")
    await expect(ask(cluster.url, 'ALTER TABLE old ADD COLUMN more text')).rejects.toThrow(/owner/)
    const { url } = await startCluster(root, { throwaway: true })
    await ask(url, 'ALTER TABLE old ADD COLUMN more text')
    await ask(url, "INSERT INTO old (word) VALUES ('new')")
    expect(await ask(url, 'SELECT word FROM old ORDER BY id')).toEqual([{ word: 'kept' }, { word: 'new' }])
    await ask(url, 'DROP TABLE old')
  })

  // Only root has another user run the database, and so a checkout that this user can't enter.
  it.runIf(process.getuid?.() === 0)(
    'goes elsewhere when the database’s user can’t enter the checkout',
    async () => {
      const closed = folder()
      cluster = await startCluster(closed)
      expect(cluster.data).toMatch(/^\/var\/lib\/bold-ballast\/[0-9a-f]{12}\/cluster$/)
      expect(existsSync(join(closed, '.data'))).toBe(false)
      expect(await ask(cluster.url, 'SELECT 1 AS one')).toEqual([{ one: 1 }])
      folders.push(join(cluster.data, '..'))
    },
  )
})

describe('freePort', () => {
  it('gives a port that can be had', async () => {
    const port = await freePort()
    expect(port).toBeGreaterThan(1023)
  })
})
