import { randomUUID } from 'node:crypto'
import { connect } from '../database/connect'

/** A database of its own in the test cluster; give the URL to `connect`. */
export async function testDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const admin = connect(process.env['TEST_DATABASE_URL']!)
  const name = `test_${randomUUID().replaceAll('-', '')}`
  await admin.raw(`CREATE DATABASE ${name}`)
  const url = new URL(process.env['TEST_DATABASE_URL']!)
  url.pathname = `/${name}`
  return {
    url: url.href,
    drop: async () => {
      // The database's own housekeeping may be in it, which nobody else may end: it is done in a moment.
      for (let left = 20; left >= 0; left -= 1) {
        try {
          await admin.raw(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`)
          break
        } catch (error) {
          if (left === 0) throw error
          await new Promise((done) => setTimeout(done, 250))
        }
      }
      await admin.destroy()
    },
  }
}
