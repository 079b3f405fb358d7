import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { appendFileSync, chownSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { dump } from '../../../bin/parts/backup.mjs'
import { startCluster, type Cluster } from '../../../bin/parts/cluster.mjs'
import { startServer } from '../../../bin/parts/server.mjs'
import { certificatesIn } from '../garage/certificates'
import { connect } from './connect'

const root = resolve(import.meta.dirname, '../../..')

/** A database as it is somewhere else: it takes nobody without TLS, and shows a certificate that an authority made out. */
describe('a database over TLS', () => {
  let folder: string
  /** The records are owned by another account, which has to get at them. */
  let records: string
  let cluster: Cluster
  let trusted: string
  let stranger: string
  beforeAll(async () => {
    folder = mkdtempSync(join(tmpdir(), 'bold-ballast-tls-'))
    const { authority, leaf } = await certificatesIn(join(folder, 'here'), 'db', ['127.0.0.1'], new Date())
    const other = await certificatesIn(join(folder, 'there'), 'db', ['127.0.0.1'], new Date())
    trusted = join(folder, 'authority.pem')
    stranger = join(folder, 'stranger.pem')
    writeFileSync(trusted, authority)
    writeFileSync(stranger, other.authority)

    records = mkdtempSync(join(tmpdir(), 'bold-ballast-tls-'))
    cluster = await startCluster(records, { throwaway: true })
    cluster.stop()
    const { uid, gid } = statSync(cluster.data)
    for (const [name, text] of [
      ['server.crt', leaf.certificate],
      ['server.key', leaf.key],
    ] as const) {
      writeFileSync(join(cluster.data, name), text, { mode: 0o600 })
      chownSync(join(cluster.data, name), uid, gid)
    }
    appendFileSync(join(cluster.data, 'postgresql.conf'), '\nssl = on\n')
    writeFileSync(join(cluster.data, 'pg_hba.conf'), 'hostssl all all 127.0.0.1/32 scram-sha-256\n')
    cluster.start()
  })
  afterAll(() => {
    cluster.stop()
    for (const gone of [folder, records]) rmSync(gone, { recursive: true, force: true })
  })

  const url = (parameters: string) => `${cluster.url}?${parameters}`

  it('is worked with by everything that asks it, the line on which servers hear each other too', async () => {
    const secure = url(`sslmode=verify-full&sslrootcert=${trusted}`)
    const server = await startServer(root, { DATABASE_URL: secure, PORT: '0', DEMO: 'off' })
    const db = connect(secure)
    try {
      const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 1 })
      const added = await fetch(`http://127.0.0.1:${server.port}/api/v1/builds`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(file),
      })
      expect(added.status).toBe(201)
      const { rows } = (await db.raw(
        `select s.ssl, a.query from pg_stat_ssl s join pg_stat_activity a using (pid) where a.application_name = 'bold-ballast'`,
      )) as { rows: { ssl: boolean; query: string }[] }
      expect(rows.map(({ ssl }) => ssl)).not.toContain(false)
      expect(rows.some(({ query }) => query.startsWith('LISTEN'))).toBe(true)
    } finally {
      await db.destroy()
      server.child.kill('SIGKILL')
    }
  })

  it('is dumped over it, too', async () => {
    const to = join(folder, 'dumps')
    const secure = url(`sslmode=verify-full&sslrootcert=${trusted}`)
    expect(statSync(await dump(secure, to)).size).toBeGreaterThan(0)
    await expect(dump(url(`sslmode=verify-full&sslrootcert=${stranger}`), to)).rejects.toThrow(/certificate/)
  })

  it.each([
    ['without TLS', () => url('sslmode=disable'), /pg_hba.conf|no encryption/],
    [
      'where another authority made its certificate out',
      () => url(`sslmode=verify-full&sslrootcert=${stranger}`),
      /certificate/,
    ],
  ])('is not talked to %s', async (_how, to, why) => {
    const db = connect(to())
    await expect(db.raw('select 1')).rejects.toThrow(why)
    await db.destroy()
  })
})
