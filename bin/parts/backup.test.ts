import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import {
  byOneOnly,
  connectionOf,
  dump,
  dumpsIn,
  nameAt,
  restore,
  timeOf,
  toDrop,
  untilNight,
} from './backup.mjs'
import { startCluster, type Cluster } from './cluster.mjs'

let cluster: Cluster
const root = mkdtempSync(join(tmpdir(), 'bold-ballast-backup-'))
const folder = join(root, 'backups')
beforeAll(async () => {
  cluster = await startCluster(root, { throwaway: true })
  await ask(`CREATE TABLE parents (id int PRIMARY KEY, word text NOT NULL);
    CREATE TABLE children (parent int REFERENCES parents DEFERRABLE INITIALLY DEFERRED, made timestamptz DEFAULT now());
    INSERT INTO parents VALUES (1, 'ſteel'), (2, 'żelazo'); INSERT INTO children VALUES (1), (2)`)
})
afterAll(() => {
  cluster.stop()
  rmSync(root, { recursive: true, force: true })
})

async function ask(sql: string): Promise<unknown[]> {
  const client = new pg.Client({ connectionString: cluster.url })
  await client.connect()
  try {
    return (await client.query(sql)).rows
  } finally {
    await client.end()
  }
}
const words = async () =>
  (await ask('SELECT word FROM parents ORDER BY id')).map((r) => (r as { word: string }).word)

describe('tonight’s dump', () => {
  it('is made by one of several servers, and by another where that one fails', async () => {
    await ask('CREATE TABLE dumps (at timestamptz PRIMARY KEY DEFAULT now())')
    let made = 0
    const slow = async () => {
      await new Promise((done) => setTimeout(done, 100))
      made += 1
    }
    const failing = byOneOnly(cluster.url, () => Promise.reject(new Error('the disk is full')))
    await expect(failing).rejects.toThrow('the disk is full')
    const answers = await Promise.all([1, 2, 3].map(() => byOneOnly(cluster.url, slow)))
    expect([made, answers.filter(Boolean).length]).toEqual([1, 1])
    expect(await byOneOnly(cluster.url, slow)).toBe(false)
    // The night after it is to be made again.
    await ask(`UPDATE dumps SET at = now() - interval '1 day'`)
    expect(await byOneOnly(cluster.url, slow)).toBe(true)
    await ask('DROP TABLE dumps')
  })
})

describe('a dump that is put back', () => {
  it('has all that was there, and nothing that came after it, tables and all; twice as well', async () => {
    const path = await dump(cluster.url, folder, 'one.dump')
    const made = await ask('SELECT made FROM children ORDER BY parent')
    await ask(`DELETE FROM children; UPDATE parents SET word = 'lost'; CREATE TABLE later (id int)`)
    for (let i = 0; i < 2; i += 1) {
      await restore(cluster.url, path)
      expect(await words()).toEqual(['ſteel', 'żelazo'])
      expect(await ask('SELECT made FROM children ORDER BY parent')).toEqual(made)
      expect(await ask(`SELECT to_regclass('later') AS t`)).toEqual([{ t: null }])
    }
    await expect(ask('INSERT INTO children VALUES (9)')).rejects.toThrow(/foreign key/)
    // What was put back can be dumped and put back again.
    await restore(cluster.url, await dump(cluster.url, folder, 'two.dump'))
    expect(await words()).toEqual(['ſteel', 'żelazo'])
  })
  it('is taken back within the same minute: what was set aside is never written over', async () => {
    const first = await dump(cluster.url, folder, 'first.dump')
    await ask(`UPDATE parents SET word = 'newer' WHERE id = 1`)
    const aside = await dump(cluster.url, folder, `before ${nameAt(new Date(0))}`)
    await restore(cluster.url, first)
    expect(await words()).toEqual(['ſteel', 'żelazo'])
    const again = await dump(cluster.url, folder, `before ${nameAt(new Date(0))}`)
    expect(again).not.toBe(aside)
    await restore(cluster.url, aside)
    expect(await words()).toEqual(['newer', 'żelazo'])
    await restore(cluster.url, again)
    expect(await words()).toEqual(['ſteel', 'żelazo'])
  })
  it('leaves no name behind where it failed', async () => {
    const away = cluster.url.replace(/:\d+\//, ':1/')
    await expect(dump(away, folder, 'away.dump')).rejects.toThrow(/pg_dump/)
    expect(dumpsIn(folder)).not.toContain('away.dump')
  })
  it('changes nothing where it was cut off or is something else', async () => {
    const whole = await dump(cluster.url, folder, 'whole.dump')
    const bytes = readFileSync(whole)
    for (const [name, content] of [
      ['cut.dump', bytes.subarray(0, Math.floor(bytes.length * 0.7))],
      ['other.dump', Buffer.from('hello')],
      ['empty.dump', Buffer.alloc(0)],
    ] as const) {
      writeFileSync(join(folder, name), content)
      await expect(restore(cluster.url, join(folder, name)), name).rejects.toThrow(/pg_restore|psql/)
      expect(await words()).toEqual(['ſteel', 'żelazo'])
    }
  })
  it('leaves no half of a dump behind when it fails', async () => {
    const away = new URL(cluster.url)
    away.pathname = '/nowhere'
    await expect(dump(away.href, folder, 'never.dump')).rejects.toThrow(/nowhere/)
    expect(readdirSync(folder).filter((name) => name.startsWith('never'))).toEqual([])
  })
  it('is listed newest first', () => {
    for (const name of ['2026-11-26 03.00.dump', '2026-11-27 03.00.dump', 'notes.txt'])
      writeFileSync(join(folder, name), '')
    const dated = dumpsIn(folder).filter((name) => timeOf(name))
    expect(dated).toEqual(['2026-11-27 03.00.dump', '2026-11-26 03.00.dump'])
    expect(dumpsIn(folder)).not.toContain('notes.txt')
    expect(dumpsIn(join(root, 'nowhere'))).toEqual([])
  })
})

describe('which dumps are kept', () => {
  const now = new Date(2026, 10, 27, 12)
  const at = (daysAgo: number) => nameAt(new Date(2026, 10, 27 - daysAgo, 3))
  it('is every one of fourteen days, and the first of each month for a year', () => {
    const names = Array.from({ length: 500 }, (_, i) => at(i))
    const dropped = new Set(toDrop(names, now))
    const kept = names.filter((name) => !dropped.has(name))
    expect(kept.slice(0, 14)).toEqual(names.slice(0, 14))
    const older = kept.slice(14)
    expect(older).toHaveLength(13)
    expect(older.every((name) => name.slice(8, 10) === '01')).toBe(true)
  })
  it('keeps what a restore set aside, and what somebody put there', () =>
    expect(toDrop(['before 2020-01-01 03.00.dump', 'my copy.dump'], now)).toEqual([]))
  it('is told by names that say their time', () => {
    expect(timeOf(at(0))).toEqual(new Date(2026, 10, 27, 3))
    expect(nameAt(new Date(2026, 0, 5, 9, 7, 3))).toBe('2026-01-05 09.07.03.dump')
    // As earlier versions named them.
    expect(timeOf('2026-01-05 09.07.dump')).toEqual(new Date(2026, 0, 5, 9, 7))
  })
})

describe('the next night', () => {
  it('is at three, today or tomorrow', () => {
    expect(untilNight(new Date(2026, 10, 27, 1))).toBe(2 * 3_600_000)
    expect(untilNight(new Date(2026, 10, 27, 3))).toBe(24 * 3_600_000)
    expect(untilNight(new Date(2026, 11, 31, 23))).toBe(4 * 3_600_000)
  })
})

describe('a connection', () => {
  it('goes to PostgreSQL’s programs by the environment, decoded', () =>
    expect(connectionOf('postgres://b%40llast:p%2Fw@[::1]:5433/yard?sslmode=require')).toEqual({
      PGHOST: '::1',
      PGPORT: '5433',
      PGUSER: 'b@llast',
      PGPASSWORD: 'p/w',
      PGDATABASE: 'yard',
      PGSSLMODE: 'require',
    }))
})
