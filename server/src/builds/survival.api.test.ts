import type { Edit } from '@bold-ballast/contract'
import { spawn, type ChildProcess } from 'node:child_process'
import { sampleBuild, sampleLine, sampleSwap } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startCluster, type Cluster } from '../../../bin/parts/cluster.mjs'
import { connect } from '../database/connect'

const root = resolve(import.meta.dirname, '../../..')
let folder: string
let cluster: Cluster

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'bold-ballast-survival-'))
  cluster = await startCluster(folder, { throwaway: true })
})
afterAll(() => {
  cluster.stop()
  rmSync(folder, { recursive: true, force: true })
})

function startServer(): Promise<{ child: ChildProcess; base: string }> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: cluster.url, PORT: '0', DEMO: 'off' },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  })
  return new Promise((done) =>
    child.once('message', (m) =>
      done({ child, base: `http://127.0.0.1:${(m as { listening: number }).listening}/api/v1` }),
    ),
  )
}
const post = (url: string, json: unknown) =>
  fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(json) })
const exited = (child: ChildProcess) => new Promise((done) => child.once('exit', done))

describe('when things die', () => {
  it('leaves no half-written swap behind a SIGKILL in the middle of writes', async () => {
    const LINES = 40
    const first = await startServer()
    const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
    await post(`${first.base}/builds`, file)
    const writes: Promise<unknown>[] = []
    let written = 0
    const count = (answer: Response) => answer.ok && ++written === 10 && first.child.kill('SIGKILL')
    for (let i = 0; i < 60; i += 1) {
      const swap = { ...sampleSwap(file.stages[0]!.id, randomUUID(), i), version: 0 }
      const lines = Array.from({ length: LINES }, (_, l) => ({
        ...sampleLine(swap.id, randomUUID(), l),
        version: 0,
      }))
      const edits = [
        { op: 'put', kind: 'swap', record: swap },
        ...lines.map((record) => ({ op: 'put', kind: 'line', record })),
      ] as Edit[]
      const batch = { id: randomUUID(), label: 'swap', edits }
      writes.push(
        post(`${first.base}/builds/${file.build.id}/edits`, batch)
          .then(count)
          .catch(() => null),
      )
    }
    await Promise.all([...writes, exited(first.child)])

    const second = await startServer()
    const db = connect(cluster.url)
    const counts = await db('swaps')
      .leftJoin('lines', 'lines.swap_id', 'swaps.id')
      .where('swaps.build_id', file.build.id)
      .groupBy('swaps.id')
      .count('lines.id as n')
    expect(counts.length).toBeGreaterThanOrEqual(10)
    expect(counts.length).toBeLessThan(60)
    expect(counts.every(({ n }) => Number(n) === LINES)).toBe(true)
    expect((await fetch(`${second.base}/builds/${file.build.id}`)).status).toBe(200)
    await db.destroy()
    second.child.kill('SIGTERM')
    await exited(second.child)
  })

  it('brings a build home whole or not at all when it is killed meanwhile, and once when it is sent again', async () => {
    const first = await startServer()
    const base = sampleBuild(randomUUID, { swaps: 5, linesEach: 60 })
    expect((await post(`${first.base}/builds`, base)).status).toBe(201)
    const id = randomUUID()
    const mine = { ...base, lines: base.lines.map((line) => ({ ...line, mass: 77 })) }
    const coming = { id, from: 'the paddock', base, mine, choices: {}, look: false }
    const bring = (server: { readonly base: string }) =>
      post(`${server.base}/builds/${base.build.id}/homecoming`, coming)
    const db = connect(cluster.url)
    const brought = async () =>
      Number((await db('lines').where({ build_id: base.build.id, mass: 77 }).count('id as n'))[0]?.['n'])
    // Held where all is about to be written, until it is known to wait there.
    await db.transaction(async (held) => {
      await held.raw('lock table edit_batches in exclusive mode')
      const broken = bring(first).catch(() => null)
      await expect
        .poll(
          async () => Number((await held('pg_locks').where({ granted: false }).count('* as n'))[0]?.['n']),
          {
            timeout: 30_000,
          },
        )
        .toBeGreaterThan(0)
      first.child.kill('SIGKILL')
      await Promise.all([broken, exited(first.child)])
    })
    const second = await startServer()
    await expect.poll(async () => [0, 300].includes(await brought())).toBe(true)
    expect(((await (await bring(second)).json()) as { isDone: boolean }).isDone).toBe(true)
    expect(await brought()).toBe(300)
    expect(await db('edit_batches').where({ build_id: base.build.id })).toHaveLength(1)
    await db.destroy()
    second.child.kill('SIGTERM')
    await exited(second.child)
  })

  it('says 503 while the database is away, and goes on when it is back', async () => {
    const server = await startServer()
    expect((await fetch(`${server.base}/builds`)).status).toBe(200)
    cluster.stop()
    const away = await fetch(`${server.base}/builds`)
    expect(away.status).toBe(503)
    expect(away.headers.get('retry-after')).toBe('1')
    expect(((await away.json()) as { type: string }).type).toBe('/problems/database-away')
    cluster.start()
    let status = 503
    for (let i = 0; i < 20 && status === 503; i += 1) status = (await fetch(`${server.base}/builds`)).status
    expect(status).toBe(200)
    server.child.kill('SIGTERM')
    await exited(server.child)
  })
})
