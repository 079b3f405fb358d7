import {
  adoption,
  buildDocument,
  buildFile,
  buildSummary,
  editBatch,
  editResult,
  FORMAT_VERSION,
  historyDetail,
  historyPage,
  reckoning,
  sharedSheet,
  upgradeFile,
  workshopImported,
  frozenFault,
  type BuildDocument,
} from '@bold-ballast/contract'
import { createHash, randomUUID } from 'node:crypto'
import { spawnSync } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { postgresPrograms } from '../../../bin/parts/packages.mjs'
import { testDatabase } from '../testing/testDatabase'
import { testServer, type TestServer } from '../testing/testServer'

/** What every earlier format left behind; `npm run landed` writes the next. */
const FOLDER = join(import.meta.dirname, '../testing/landed')
const landed = (end: string) =>
  readdirSync(FOLDER)
    .filter((name) => name.endsWith(end))
    .sort()
const unpacked = (name: string) => gunzipSync(readFileSync(join(FOLDER, name))).toString('utf8')

const PACKED = { method: 'POST', headers: { 'content-type': 'application/gzip' } }

/** A server on a database as a dump left it. */
async function serverOn(dump: string): Promise<TestServer> {
  const database = await testDatabase()
  const loaded = spawnSync(join(postgresPrograms(), 'psql'), ['-q', '-v', 'ON_ERROR_STOP=1', database.url], {
    input: unpacked(dump),
    encoding: 'utf8',
  })
  if (loaded.status !== 0) throw new Error(loaded.stderr)
  return testServer({}, database)
}

describe.each(landed('.sql.gz'))('a database of %s', (dump) => {
  let server: TestServer
  let other: TestServer
  let id: string
  beforeAll(async () => {
    server = await serverOn(dump)
    other = await testServer()
    id = (await server.list()).body[0]!.id
  })
  afterAll(() => Promise.all([server.close(), other.close()]))

  it('opens, and is of today wherever whole records are stored', async () => {
    expect((await server.list()).body).toHaveLength(1)
    expect((await server.read(id)).status).toBe(200)
    for (const table of ['edit_batches', 'branches', 'shares'])
      for (const { formatVersion } of await server.db(table).select('format_version'))
        expect(formatVersion).toBe(FORMAT_VERSION)
    for (const { sheet } of await server.db('shares').select('sheet'))
      expect(sharedSheet.safeParse(sheet).error?.issues).toBeUndefined()
  })
  it('shows every change, and the build as it was after each', async () => {
    const { entries } = (await server.ask(`/builds/${id}/history`, historyPage)).body
    expect(entries.length).toBeGreaterThan(0)
    for (const entry of entries) {
      const { edits, inverse } = (await server.ask(`/builds/${id}/history/${entry.id}`, historyDetail)).body
      for (const list of [edits, inverse])
        if (list.length > 0)
          expect(editBatch.safeParse({ id, label: 'x', edits: list }).error?.issues).toBeUndefined()
      if (entry.isKept)
        expect((await server.ask(`/builds/${id}/at?batch=${entry.id}`, buildDocument)).status).toBe(200)
    }
  })
  it('leaves as a file and as a workshop, and both come back', async () => {
    const file = (await server.ask(`/builds/${id}/file`, buildFile)).body
    expect((await server.add(file)).status).toBe(201)
    expect((await other.add(file)).status).toBe(201)
    await other.ask(`/builds/${id}`, buildDocument)
    const packed = Buffer.from(await (await fetch(`${server.base}/api/v1/workshop/file`)).arrayBuffer())
    const third = await testServer()
    try {
      const taken = await third.ask('/workshop/file', workshopImported, { ...PACKED, body: packed })
      expect(taken.body.builds.map((b) => b.fate)).toContain('new')
      const [theirs, ours] = await Promise.all(
        [third, server].map(async (s) => (await s.ask(`/builds/${id}/history`, historyPage)).body.entries),
      )
      expect(theirs!.map((e) => e.id)).toEqual(ours!.map((e) => e.id))
    } finally {
      await third.close()
    }
  })
  it('takes its own branch over', async () => {
    const document = (await server.read(id)).body
    let taken = 0
    for (const branch of document.branches) {
      const now = (await server.read(id)).body as BuildDocument
      const { edits } = adoption(
        now,
        now.branches.find((b) => b.id === branch.id)!,
      )
      if (edits.length === 0) continue
      if (frozenFault(now, edits)) continue
      expect((await server.edit(id, edits)).status).toBe(200)
      taken += 1
    }
    expect(taken > 0).toBe(document.branches.length > 0)
  })
  it('has its people told once what reads otherwise now', async () => {
    const path = `/builds/${id}/reckoning`
    expect((await server.ask(path, reckoning)).body).toEqual({ isUntold: true })
    const told = await fetch(`${server.base}/api/v1${path}`, { method: 'DELETE' })
    expect(told.status).toBe(204)
    expect((await server.ask(path, reckoning)).body).toEqual({ isUntold: false })
  })
  it('has no two records of one id', async () => {
    const document = (await server.read(id)).body
    const ids = Object.values(document).flatMap((records) =>
      (Array.isArray(records) ? records : [records]).map((r: { id: string }) => r.id),
    )
    expect(new Set(ids).size).toBe(ids.length)
  })
})

describe('what a tab of an earlier format still had to send', () => {
  it.each(landed('.sql.gz'))('is taken from %s', async (dump) => {
    const from = Number(/\d+/.exec(dump)![0])
    const fresh = await testServer()
    try {
      const file = JSON.parse(unpacked(`format-${from}.build.json.gz`)) as Record<string, unknown>
      const { id } = (await fresh.add(file)).body
      const now = (await fresh.read(id)).body
      const old = (file['lines'] as { id: string }[])[0]!
      const line = now.lines.find((l) => l.id === old.id)!
      const edits = [{ op: 'put', kind: 'line', record: { ...old, version: line.version } }]
      const json = { id: randomUUID(), label: 'Sent late', edits }
      const path = `/builds/${id}/edits`
      const sent = { method: 'POST', json: { ...json, formatVersion: from } }
      expect((await fresh.ask(path, editResult, sent)).status).toBe(200)
      expect(
        (await fresh.refuse(path, { method: 'POST', json: { ...json, formatVersion: 99 } })).status,
      ).toBe(422)
      const { version: _, ...rest } = (await fresh.read(id)).body.lines.find((l) => l.id === old.id)!
      const { version: _v, ...before } = line
      expect(rest).toEqual(before)
    } finally {
      await fresh.close()
    }
  })
})

describe('files of earlier formats', () => {
  it.each(landed('.build.json.gz'))('%s comes back', (name) => {
    expect(buildFile.safeParse(upgradeFile(JSON.parse(unpacked(name)))).error?.issues).toBeUndefined()
  })
  it.each(landed('.workshop.gz'))('%s comes back, with a history that can be looked at', async (name) => {
    const fresh = await testServer()
    try {
      const body = readFileSync(join(FOLDER, name))
      const taken = await fresh.ask('/workshop/file', workshopImported, { ...PACKED, body })
      expect(taken.body.builds[0]).toMatchObject({ fate: 'new' })
      const { id } = (await fresh.list()).body[0]!
      const { entries } = (await fresh.ask(`/builds/${id}/history`, historyPage)).body
      expect(entries).toHaveLength(taken.body.builds[0]!.changes)
      for (const entry of entries) await fresh.ask(`/builds/${id}/at?batch=${entry.id}`, buildDocument)
      expect((await fresh.ask('/builds', buildSummary.array())).status).toBe(200)
    } finally {
      await fresh.close()
    }
  })
})

describe('steps of the tables that have landed', () => {
  const folder = join(import.meta.dirname, 'migrations')
  const sums = JSON.parse(readFileSync(join(folder, 'landed.json'), 'utf8')) as Record<string, string>
  it.each(Object.entries(sums))('%s is as it landed', (name, sum) => {
    expect(
      createHash('sha256')
        .update(readFileSync(join(folder, name)))
        .digest('hex'),
    ).toBe(sum)
  })
})
