import { applyEdits, type BuildDocument, type Edit, type Kind } from '@bold-ballast/contract'
import { summarise } from '@bold-ballast/model'
import { demo } from '@bold-ballast/demo'
import { sampleBuild, sampleLine } from '@bold-ballast/contract/sampleBuild'
import fc from 'fast-check'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { firstEvents } from '../testing/firstEvents'
import { testServer, type TestServer } from '../testing/testServer'
import { BuildTexts } from './BuildTexts'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(() => server.close())

const putEdit = (kind: Kind, record: object): Edit => ({ op: 'put', kind, record }) as unknown as Edit

/** A change of anything that the Garage shows of a build. */
const changes = fc.array(
  fc.oneof(
    fc.record({ what: fc.constant('mass'), value: fc.double({ min: 0.1, max: 40, noNaN: true }) }),
    fc.record({ what: fc.constant('add'), value: fc.double({ min: 0.1, max: 40, noNaN: true }) }),
    fc.record({ what: fc.constant('remove'), value: fc.constant(0) }),
    fc.record({ what: fc.constant('base'), value: fc.double({ min: 4000, max: 6000, noNaN: true }) }),
    fc.record({ what: fc.constant('name'), value: fc.integer() }),
  ),
  { minLength: 1, maxLength: 5 },
)

function editFor(document: BuildDocument, { what, value }: { what: string; value: number }): Edit | null {
  const line = document.lines[0]
  if (what === 'add')
    return putEdit('line', { ...sampleLine(document.swaps[0]!.id, randomUUID(), 9), mass: value, version: 0 })
  if (what === 'base') return putEdit('build', { ...document.build, baseMass: value })
  if (what === 'name') return putEdit('build', { ...document.build, name: `Build ${value}` })
  if (!line) return null
  return what === 'mass'
    ? putEdit('line', { ...line, mass: value })
    : { op: 'remove', kind: 'line', id: line.id, version: line.version }
}

describe('the kept summaries', () => {
  it('say what a fold of the whole build says, whatever was changed', async () => {
    const { id } = (await server.add(sampleBuild(randomUUID, { swaps: 2, linesEach: 2 }))).body
    await fc.assert(
      fc.asyncProperty(changes, async (list) => {
        for (const change of list) {
          const edit = editFor((await server.read(id)).body, change)
          if (edit) expect((await server.edit(id, [edit])).status).toBe(200)
        }
        const listed = (await server.list()).body.find((b) => b.id === id)
        expect(listed).toEqual(JSON.parse(JSON.stringify(summarise((await server.read(id)).body))))
      }),
      { numRuns: 12 },
    )
  })
  it('are of now after an import, an undo and a removal, in another server on the same records too', async () => {
    const ids: string[] = []
    for (const file of demo.builds()) ids.push((await server.add(file)).body.id)
    const fold = async (id: string) => JSON.parse(JSON.stringify(summarise((await server.read(id)).body)))
    for (const id of ids) expect((await server.list()).body.find((b) => b.id === id)).toEqual(await fold(id))
    await server.db('builds').where({ id: ids[0] }).update({ name: 'Said elsewhere', state: randomUUID() })
    expect((await server.list()).body.find((b) => b.id === ids[0])!.name).toBe('Said elsewhere')
    await fetch(`${server.base}/api/v1/builds/${ids[1]}`, { method: 'DELETE' })
    expect((await server.list()).body.map((b) => b.id)).not.toContain(ids[1])
  })
  it('by other formulas are worked out anew', async () => {
    const { id } = (await server.add(sampleBuild(randomUUID))).body
    await server.db('build_summaries').update({ made_by: 'other', summary: '{}' })
    await server.db('builds').where({ id }).update({ state: randomUUID() })
    expect((await server.list()).body.find((b) => b.id === id)!.name).toBe('Sample')
  })
})

describe('the list', () => {
  it('never waits: what has changed is listed as it was, marked, and told once it is worked out', async () => {
    const own = await testServer()
    try {
      const ids: string[] = []
      for (let i = 0; i < 4; i += 1) ids.push((await own.add(sampleBuild(randomUUID))).body.id)
      await own.list()
      // As if each took long, one had never been looked at, and one were called otherwise by now.
      await own.db('build_summaries').update({ took: 5000 })
      await own.db('builds').update({ state: own.db.raw('gen_random_uuid()') })
      await own.db('builds').where({ id: ids[2] }).update({ name: 'Renamed' })
      await own.db('build_summaries').where({ buildId: ids[3] }).delete()
      // What other formulas made of one is what was last known of it.
      await own.db('build_summaries').where({ buildId: ids[0] }).update({ madeBy: 'other' })
      const twin = await testServer({}, { url: own.url, drop: async () => undefined })
      try {
        const hearing = firstEvents(`${twin.base}/api/v1/events`, 2)
        const now = (await twin.listNow()).body
        expect(now.map((build) => build.isWorkingOut)).toEqual([true, true, true, true])
        expect(now.map((build) => build.stages.length > 0)).toEqual([true, true, true, false])
        expect(now[2]!.name).toBe('Renamed')
        expect((await hearing).map(({ event }) => event)).toEqual(['hello', 'builds'])
        const { body } = await twin.list()
        for (const build of body)
          expect(build).toEqual(JSON.parse(JSON.stringify(summarise((await twin.read(build.id)).body))))
      } finally {
        await twin.close()
      }
    } finally {
      await own.close()
    }
  })
})

describe('what the car weighs at least', () => {
  it('is never more than the fold says, however lines change, and stops what leaves nothing', async () => {
    const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 3 })
    const { id } = (await server.add({ ...file, build: { ...file.build, baseMass: 300 } })).body
    const masses = fc.array(fc.tuple(fc.nat(2), fc.double({ min: 0, max: 60, noNaN: true })), {
      minLength: 1,
      maxLength: 8,
    })
    await fc.assert(
      fc.asyncProperty(masses, async (list) => {
        for (const [at, mass] of list) {
          const before = (await server.read(id)).body
          const line = before.lines[at]!
          const edit = putEdit('line', { ...line, mass, kind: 'off' })
          const least = Math.min(
            ...summarise(applyEdits(before, [edit])).stages.map((s) => s.finished.mass.value),
          )
          const isTaken = least > 0
          if (isTaken) expect((await server.edit(id, [edit])).status).toBe(200)
          else expect((await server.refuseEdit(id, [edit])).status).toBe(422)
          const [{ lightest }] = await server.db('builds').where({ id }).select('lightest')
          if (isTaken) expect(lightest).toBeLessThanOrEqual(least + 1e-9)
        }
      }),
      { numRuns: 12 },
    )
  })
})

describe('the kept texts', () => {
  it('are of now, are read once by all who ask together, and take no more room than they may', async () => {
    const files = [0, 1, 2].map(() => sampleBuild(randomUUID, { swaps: 2, linesEach: 20 }))
    const ids: string[] = []
    for (const file of files) ids.push((await server.add(file)).body.id)
    const [{ workshopId }] = await server.db('builds').where({ id: ids[0] }).select('workshop_id')
    const length = (await new BuildTexts(server.db).read({ workshopId, buildId: ids[0]! }))!.length
    const texts = new BuildTexts(server.db, length * 2.5)
    const read = (i: number) => texts.read({ workshopId, buildId: ids[i]! })
    const [a, b] = await Promise.all([read(0), read(0)])
    expect(a).toBe(b)
    expect(await read(0)).toBe(a)
    await read(1)
    await read(2)
    expect(await read(0)).not.toBe(a)
    const document = JSON.parse(String(await read(1))) as BuildDocument
    await server.edit(ids[1]!, [putEdit('build', { ...document.build, note: 'new' })])
    expect((JSON.parse(String(await read(1))) as BuildDocument).build.note).toBe('new')
    expect(await texts.read({ workshopId: randomUUID(), buildId: ids[1]! })).toBeNull()
  })
})

describe('a build that is asked for', () => {
  it('comes packed to whoever unpacks it, as it is to others, and is of now each time', async () => {
    const { id } = (await server.add(sampleBuild(randomUUID, { swaps: 4, linesEach: 10 }))).body
    const ask = async (encoding: string) => {
      const answer = await fetch(`${server.base}/api/v1/builds/${id}`, {
        headers: { 'accept-encoding': encoding },
      })
      return {
        packed: answer.headers.get('content-encoding'),
        sent: Number(answer.headers.get('content-length')),
        document: (await answer.json()) as BuildDocument,
      }
    }
    const [packed, plain, again] = [await ask('gzip, br'), await ask('identity'), await ask('gzip')]
    expect([packed.packed, plain.packed]).toEqual(['gzip', null])
    expect(packed.sent).toBeLessThan(plain.sent / 4)
    expect(packed.document).toEqual(plain.document)
    expect(again.sent).toBe(packed.sent)
    await server.edit(id, [putEdit('build', { ...plain.document.build, note: 'new' })])
    expect((await ask('gzip')).document.build.note).toBe('new')
  })
})

describe('two records of one id', () => {
  it('can’t be, of whatever kinds, and nothing of the batch is kept', async () => {
    const { id } = (await server.add(sampleBuild(randomUUID))).body
    const document = (await server.read(id)).body
    const wrong = { ...sampleLine(document.swaps[0]!.id, document.stages[0]!.id, 7), version: 0 }
    expect((await server.refuseEdit(id, [putEdit('line', wrong)])).status).toBe(409)
    const file = sampleBuild(randomUUID)
    const twice = { ...file, swaps: file.swaps.map((swap) => ({ ...swap, id: file.stages[0]!.id })) }
    expect((await server.refuse('/builds', { method: 'POST', json: twice })).status).toBe(422)
    expect((await server.read(id)).body).toEqual(document)
  })
  it('nor is another build changed through this one', async () => {
    const [one, other] = [
      await server.add(sampleBuild(randomUUID)),
      await server.add(sampleBuild(randomUUID)),
    ]
    const foreign = (await server.read(other.body.id)).body.build
    expect((await server.refuseEdit(one.body.id, [putEdit('build', foreign)])).status).toBe(422)
  })
})

describe('what many change at once', () => {
  it('is all there: no change is lost, and one batch sent by many at once is carried out once', async () => {
    const { id } = (await server.add(sampleBuild(randomUUID, { swaps: 1, linesEach: 0 }))).body
    const swapId = (await server.read(id)).body.swaps[0]!.id
    const added = Array.from({ length: 60 }, (_, i) => sampleLine(swapId, randomUUID(), i))
    const batchId = randomUUID()
    const answers = await Promise.all([
      ...added.slice(1).map((line) => server.edit(id, [putEdit('line', { ...line, version: 0 })])),
      ...[1, 2, 3, 4].map(() => server.edit(id, [putEdit('line', { ...added[0]!, version: 0 })], batchId)),
    ])
    expect(new Set(answers.map((a) => a.status))).toEqual(new Set([200]))
    const { lines } = (await server.read(id)).body
    expect(lines.map((l) => l.id).sort()).toEqual(added.map((l) => l.id).sort())
    const places = await server
      .db('edit_batches')
      .where({ build_id: id })
      .orderBy('sequence')
      .select('sequence')
    expect(places.map((p) => p.sequence)).toEqual(added.map((_, i) => i + 1))
  })
})
