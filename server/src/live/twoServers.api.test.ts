import { buildDocument, editBatch, type BuildDocument } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { resolve } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startServer } from '../../../bin/parts/server.mjs'
import { connect } from '../database/connect'
import { testDatabase } from '../testing/testDatabase'

const root = resolve(import.meta.dirname, '../../..')
const CLIENTS = 8
/** Edits of each client before, between and after the two kills. */
const EACH = 12

type Server = Awaited<ReturnType<typeof startServer>>
let database: Awaited<ReturnType<typeof testDatabase>>
let db: ReturnType<typeof connect>
let servers: Server[]
const start = () => startServer(root, { DATABASE_URL: database.url, PORT: '0', DEMO: 'off' })
beforeAll(async () => {
  database = await testDatabase()
  db = connect(database.url)
  servers = await Promise.all([start(), start()])
})
afterAll(async () => {
  for (const { child } of servers) child.kill('SIGKILL')
  await db.destroy()
  await database.drop()
})

const kill = async (at: number) => {
  const gone = new Promise((done) => servers[at]!.child.once('exit', done))
  servers[at]!.child.kill('SIGKILL')
  await gone
}

describe('two servers of one database, and a kill of either under load', () => {
  it('lose no edit and do none twice: whoever got no answer sends the same again, wherever', async () => {
    const file = sampleBuild(randomUUID, { swaps: 1, linesEach: CLIENTS })
    const at = (i: number) => `http://127.0.0.1:${servers[i % 2]!.port}/api/v1`
    const added = await fetch(`${at(0)}/builds`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(file),
    })
    expect(added.status).toBe(201)
    const lines = file.lines
    let done = 0
    /** One client: weighs its line again and again, and sends what got no answer to the other server. */
    const client = async (own: number) => {
      for (let turn = 0; turn < EACH * 3; turn += 1) {
        const record = { ...lines[own]!, mass: turn + 1, version: turn + 1 }
        const body = JSON.stringify(
          editBatch.parse({
            id: randomUUID(),
            label: `Weigh ${own}, ${turn}`,
            edits: [{ op: 'put', kind: 'line', record }],
          }),
        )
        for (let attempt = own + turn; ; attempt += 1) {
          const answer = await fetch(`${at(attempt)}/builds/${file.build.id}/edits`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body,
          }).catch(() => null)
          if (answer?.ok) {
            await answer.body?.cancel()
            break
          }
          if (answer && answer.status < 500) throw new Error(`${answer.status} ${await answer.text()}`)
          await pause(20)
        }
        done += 1
      }
    }
    const until = async (count: number) => {
      while (done < count) await pause(5)
    }
    const working = Promise.all(Array.from({ length: CLIENTS }, (_, i) => client(i)))
    await until(CLIENTS * EACH)
    await kill(0)
    servers[0] = await start()
    await until(CLIENTS * EACH * 2)
    await kill(1)
    servers[1] = await start()
    await working

    const documents = await Promise.all(
      [0, 1].map(async (i) => {
        const answer = await fetch(`${at(i)}/builds/${file.build.id}`)
        return buildDocument.parse(await answer.json()) as BuildDocument
      }),
    )
    expect(documents[0]).toEqual(documents[1])
    for (const { id } of lines) {
      const line = documents[0]!.lines.find((l) => l.id === id)!
      expect([line.mass, line.version]).toEqual([EACH * 3, EACH * 3 + 1])
    }
    // Each once, in a row without a gap.
    const kept = (await db('edit_batches')
      .where({ buildId: file.build.id })
      .orderBy('sequence')
      .select('label', 'sequence')) as { label: string; sequence: number }[]
    expect(kept.map(({ sequence }) => Number(sequence))).toEqual(kept.map((_, i) => i + 1))
    expect(new Set(kept.map(({ label }) => label)).size).toBe(kept.length)
    expect(kept).toHaveLength(CLIENTS * EACH * 3)
  }, 120_000)
})
