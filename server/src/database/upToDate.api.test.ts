import { resolve } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startServer } from '../../../bin/parts/server.mjs'
import { tell } from '../live/Signals'
import { testDatabase } from '../testing/testDatabase'
import { connect, migrate, stepsUnknown } from './connect'

const root = resolve(import.meta.dirname, '../../..')
let database: Awaited<ReturnType<typeof testDatabase>>
let db: ReturnType<typeof connect>
beforeAll(async () => {
  database = await testDatabase()
  db = connect(database.url)
})
afterAll(async () => {
  await db.destroy()
  await database.drop()
})

describe('a database', () => {
  it('is brought up to date by one of the servers that start at once', async () => {
    const others = [1, 2, 3].map(() => connect(database.url))
    const done = await Promise.all(others.map(migrate))
    expect(done.filter(Boolean)).toHaveLength(1)
    expect(await stepsUnknown(db)).toEqual([])
    await Promise.all(others.map((other) => other.destroy()))
  })
  it('is freed of the mark that a server left there when it was killed', async () => {
    await db('knex_migrations_lock').update({ isLocked: 1 })
    expect(await migrate(db)).toBe(false)
  })
  it('that a newer version has changed is left alone by an older one, which says so', async () => {
    await db('knex_migrations').insert({ name: '0099_later', batch: 99, migration_time: new Date() })
    await expect(migrate(db)).rejects.toThrow(/newer version.*0099_later.*restore/)
    const child = startServer(root, { DATABASE_URL: database.url, PORT: '0', DEMO: 'off' })
    await expect(child).rejects.toThrow(/newer version of Bold Ballast/)
    await db('knex_migrations').where({ name: '0099_later' }).delete()
  })
  it('that a newer version changes while an older one runs stops the older one', async () => {
    const { child } = await startServer(root, { DATABASE_URL: database.url, PORT: '0', DEMO: 'off' })
    const gone = new Promise<number | null>((done) => child.once('exit', done))
    // A change that it knows is none of that kind.
    await tell(db, { kind: 'migrated' })
    await db('knex_migrations').insert({ name: '0099_later', batch: 99, migration_time: new Date() })
    await tell(db, { kind: 'migrated' })
    expect(await gone).toBe(1)
  })
})

describe('a statement', () => {
  it('that takes longer than it may is ended, and the connection goes on', async () => {
    const hasty = connect(database.url, { connections: 1, statementMs: 50 })
    await expect(hasty.raw('select pg_sleep(5)')).rejects.toThrow(/statement timeout/)
    expect((await hasty.raw('select 1 as one')).rows).toEqual([{ one: 1 }])
    await hasty.destroy()
  })
})
