import {
  applyEdits,
  buildFile,
  fileOf,
  inverseOf,
  problem,
  removalOf,
  sameRecord,
  type BuildDocument,
  type Edit,
} from '@bold-ballast/contract'
import { demo } from '@bold-ballast/demo'
import Ajv2020 from 'ajv/dist/2020'
import addFormats from 'ajv-formats'
import { documentFrom, sampleBuild, sampleLine, sampleSwap } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { request } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as z from 'zod'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(() => server.close())

const start = async (size?: { swaps: number; linesEach: number }): Promise<BuildDocument> => {
  const { body } = await server.add(sampleBuild(randomUUID, size))
  return (await server.read(body.id)).body
}
const put = (kind: 'line' | 'swap' | 'stage', record: object): Edit =>
  ({ op: 'put', kind, record }) as unknown as Edit

describe('builds', () => {
  it('lists what was added, with figures computed', async () => {
    const build = await start()
    const listed = (await server.list()).body.find((b) => b.id === build.build.id)!
    expect(listed.stages[0]!.finished.mass.value).toBeCloseTo(5000 - 1 + 1.01, 6)
  })

  it('gives each demo build back exactly as it was imported, and again under new ids beside it', async () => {
    for (const file of demo.builds()) {
      const first = (await server.add(file)).body
      const exported = (await server.ask(`/builds/${first.id}/file`, buildFile)).body
      expect(sameRecord(exported, fileOf(documentFrom(file)))).toBe(true)
      const copy = (await server.add(exported)).body
      expect(copy.id).not.toBe(first.id)
      expect({ ...copy, id: '', stages: copy.stages.map((s) => ({ ...s, id: '' })) }).toEqual({
        ...first,
        id: '',
        stages: first.stages.map((s) => ({ ...s, id: '' })),
      })
    }
  })

  it('publishes a JSON Schema that says the same as the import', async () => {
    const schema = (await server.ask('/schema/build.json', z.record(z.string(), z.unknown()))).body
    const ajv = new Ajv2020({ strict: false })
    addFormats(ajv)
    const check = ajv.compile(schema)
    for (const file of demo.builds()) expect(check(file), JSON.stringify(check.errors)).toBe(true)
    expect(check({ ...demo.builds()[0]!, format: 'other' })).toBe(false)
  })

  it('publishes OpenAPI with a schema for every body', async () => {
    const { body } = await server.ask(
      '/openapi.json',
      z.looseObject({
        paths: z.record(z.string(), z.unknown()),
        components: z.looseObject({ schemas: z.record(z.string(), z.unknown()) }),
      }),
    )
    const refs = [...JSON.stringify(body.paths).matchAll(/#\/components\/schemas\/(\w+)/g)].map((m) => m[1]!)
    expect(refs.length).toBeGreaterThan(8)
    for (const ref of refs) expect(body.components.schemas).toHaveProperty(ref)
  })

  it('removes a build with everything in it', async () => {
    const { build } = await start()
    const response = await fetch(`${server.base}/api/v1/builds/${build.id}`, { method: 'DELETE' })
    expect(response.status).toBe(204)
    expect((await server.refuse(`/builds/${build.id}`)).status).toBe(404)
    expect(await server.db('lines').where({ build_id: build.id })).toHaveLength(0)
  })

  it('refuses a file whose records don’t hang together, and names the place', async () => {
    const file = sampleBuild(randomUUID)
    file.lines[0]!.swapId = randomUUID()
    const { status, body } = await server.refuse('/builds', { method: 'POST', json: file })
    expect(status).toBe(422)
    expect(body.errors![0]).toEqual({
      field: 'lines.0.swapId',
      problem: 'No swap with this id stands in the file.',
    })
  })
})

describe('edits', () => {
  it('writes records, counts their versions, and agrees with applyEdits', async () => {
    const before = await start()
    const line = before.lines[0]!
    const fresh = { ...sampleLine(before.swaps[0]!.id, randomUUID(), 9), version: 0 }
    const edits: Edit[] = [put('line', { ...line, mass: 12.5 }), put('line', fresh)]
    const { body } = await server.edit(before.build.id, edits)
    expect(body.versions.map((v) => v.version)).toEqual([2, 1])
    const after = (await server.read(before.build.id)).body
    expect(sameRecord(fileOf(after), fileOf(applyEdits(before, edits)))).toBe(true)
  })

  it('takes back a removal with everything below it', async () => {
    const before = await start({ swaps: 2, linesEach: 3 })
    const gone = removalOf(before, 'stage', before.stages[0]!.id)
    expect(gone).toHaveLength(2 * 3 + 2 + 1)
    await server.edit(before.build.id, gone)
    expect((await server.read(before.build.id)).body.lines).toHaveLength(0)
    await server.edit(before.build.id, inverseOf(before, gone))
    expect(sameRecord(fileOf((await server.read(before.build.id)).body), fileOf(before))).toBe(true)
  })

  it('answers a batch sent twice as it did once', async () => {
    const before = await start()
    const batchId = randomUUID()
    const edits = [put('line', { ...before.lines[0]!, mass: 3 })]
    const first = await server.edit(before.build.id, edits, batchId)
    const second = await server.edit(before.build.id, edits, batchId)
    expect(second.body).toEqual(first.body)
    expect(
      (await server.read(before.build.id)).body.lines.find((l) => l.id === before.lines[0]!.id)!.version,
    ).toBe(2)
  })

  it('shows both versions of a conflict and changes nothing', async () => {
    const before = await start()
    const line = before.lines[0]!
    await server.edit(before.build.id, [put('line', { ...line, mass: 3 })])
    const { status, body } = await server.refuseEdit(before.build.id, [
      put('line', { ...line, mass: 4 }),
      put('swap', { ...before.swaps[0]!, name: 'other' }),
    ])
    expect(status).toBe(409)
    expect(body.conflicts).toHaveLength(1)
    expect(body.conflicts![0]).toMatchObject({
      yours: { mass: 4, version: 1 },
      theirs: { mass: 3, version: 2 },
    })
    expect((await server.read(before.build.id)).body.swaps[0]!.name).toBe('Swap 0')
  })

  it('calls a change of what is gone a conflict, and a second removal none', async () => {
    const before = await start()
    const line = before.lines[0]!
    const gone = removalOf(before, 'line', line.id)
    await server.edit(before.build.id, gone)
    expect((await server.edit(before.build.id, gone)).status).toBe(200)
    const { status, body } = await server.refuseEdit(before.build.id, [put('line', { ...line, mass: 4 })])
    expect(status).toBe(409)
    expect(body.conflicts![0]!.theirs).toBeNull()
  })

  it('lets only one of many who edit the same line at once through', async () => {
    const before = await start()
    const line = before.lines[0]!
    const tries = await Promise.all(
      Array.from({ length: 8 }, (_, i) =>
        fetch(`${server.base}/api/v1/builds/${before.build.id}/edits`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({
            id: randomUUID(),
            label: 'race',
            edits: [put('line', { ...line, mass: i + 1 })],
          }),
        }),
      ),
    )
    expect(tries.map((t) => t.status).sort()).toEqual([200, ...Array(7).fill(409)])
  })

  it('refuses to leave a line without its swap, whole batch', async () => {
    const before = await start()
    const { status, body } = await server.refuseEdit(before.build.id, [
      { op: 'remove', kind: 'swap', id: before.swaps[0]!.id, version: 1 },
    ])
    expect(status).toBe(409)
    expect(body.type).toBe('/problems/still-referenced')
    expect((await server.read(before.build.id)).body.swaps).toHaveLength(1)
  })

  it('can’t hang a line from another build’s swap', async () => {
    const mine = await start()
    const other = await start()
    const { status } = await server.refuseEdit(mine.build.id, [
      put('line', { ...sampleLine(other.swaps[0]!.id, randomUUID()), version: 0 }),
    ])
    expect(status).toBe(409)
    expect((await server.read(other.build.id)).body.lines).toHaveLength(2)
  })

  it('can’t touch another build’s records', async () => {
    const mine = await start()
    const other = await start()
    const { status } = await server.refuseEdit(mine.build.id, [put('line', { ...other.lines[0]!, mass: 77 })])
    expect(status).toBe(409)
    expect((await server.edit(mine.build.id, removalOf(other, 'line', other.lines[0]!.id))).status).toBe(200)
    expect((await server.read(other.build.id)).body.lines[0]!.mass).not.toBe(77)
    expect((await server.read(other.build.id)).body.lines).toHaveLength(2)
  })

  it.each([
    ['a mass below zero', { mass: -1 }, 'mass', /below zero/],
    ['a mass over 20 t', { mass: 1e6 }, 'mass', /check the unit/],
    ['a grade that is none', { grade: 'sure' }, 'grade', /./],
    ['an empty name', { name: '  ' }, 'name', /name/],
    ['half a piece', { quantity: 0.5 }, 'quantity', /whole number/],
    ['a field nobody knows', { colour: 'red' }, '', /colour/],
  ])('refuses %s and says where', async (_what, wrong, field, message) => {
    const before = await start()
    const { status, body } = await server.refuseEdit(before.build.id, [
      put('line', { ...before.lines[0]!, ...wrong }),
    ])
    expect(status).toBe(422)
    expect(body.errors![0]!.field).toBe(field ? `edits.0.record.${field}` : 'edits.0.record')
    expect(body.errors![0]!.problem).toMatch(message)
  })

  it('refuses a batch that changes one record twice', async () => {
    const before = await start()
    const edit = put('line', { ...before.lines[0]!, mass: 2 })
    expect((await server.refuseEdit(before.build.id, [edit, edit])).status).toBe(422)
  })

  it('lets text be any text', async () => {
    const before = await start()
    const name = `O'Neill "); DROP TABLE lines; -- <script>alert(1)</script> 🔧`
    await server.edit(before.build.id, [put('swap', { ...before.swaps[0]!, name })])
    expect((await server.read(before.build.id)).body.swaps[0]!.name).toBe(name)
  })

  it('needs the swap that a new line names in the same batch, in any order', async () => {
    const before = await start()
    const swap = { ...sampleSwap(before.stages[0]!.id, randomUUID(), 5), version: 0 }
    const line = { ...sampleLine(swap.id, randomUUID()), version: 0 }
    expect((await server.edit(before.build.id, [put('line', line), put('swap', swap)])).status).toBe(200)
  })
})

describe('what may be asked, and by whom', () => {
  const url = () => new URL(`${server.base}/api/v1/builds`)
  const raw = (
    headers: Record<string, string>,
    method = 'GET',
    body?: string,
  ): Promise<{ status: number; body: string }> =>
    new Promise((resolve, reject) => {
      const { hostname, port, pathname } = url()
      const req = request({ hostname, port, path: pathname, method, headers }, (res) => {
        let text = ''
        res.on('data', (chunk) => (text += chunk))
        res.on('end', () => resolve({ status: res.statusCode!, body: text }))
      })
      req.on('error', reject)
      req.end(body)
    })

  it('answers only under its own address', async () => {
    expect((await raw({ host: 'rebound.example' })).status).toBe(403)
    expect((await raw({ host: `localhost:${url().port}` })).status).toBe(200)
  })
  it('lets a page on another site neither read nor write', async () => {
    expect((await raw({ origin: 'https://other.example' })).status).toBe(403)
    expect((await raw({ 'sec-fetch-site': 'cross-site' })).status).toBe(403)
    expect(
      (await raw({ origin: 'https://other.example', 'content-type': 'application/json' }, 'POST', '{}'))
        .status,
    ).toBe(403)
    expect((await raw({ 'content-type': 'text/plain' }, 'POST', '{}')).status).toBe(415)
  })
  it('sends security headers', async () => {
    const { headers } = await server.list()
    expect(headers.get('content-security-policy')).toContain("default-src 'self'")
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('cross-origin-resource-policy')).toBe('same-origin')
    expect(headers.get('access-control-allow-origin')).toBeNull()
  })
  it('says what is wrong with broken JSON', async () => {
    const { status, body } = await raw({ 'content-type': 'application/json' }, 'POST', '{"format": ')
    expect(status).toBe(400)
    expect(problem.parse(JSON.parse(body)).type).toBe('/problems/not-json')
  })
  it('refuses a body that is too large', async () => {
    const { status } = await raw(
      { 'content-type': 'application/json' },
      'POST',
      `"${'x'.repeat(41 * 1024 * 1024)}"`,
    )
    expect(status).toBe(413)
  })
  it('answers unknown places with a problem', async () => {
    expect((await server.refuse('/nowhere')).status).toBe(404)
    expect((await server.refuse('/builds/not-an-id')).status).toBe(404)
  })
  it('slows down who asks too often', async () => {
    const slow = await testServer({ requestsAMinute: 3 })
    const statuses = []
    for (let i = 0; i < 4; i += 1) statuses.push((await fetch(`${slow.base}/api/v1/builds`)).status)
    expect(statuses).toEqual([200, 200, 200, 429])
    await slow.close()
  })
})
