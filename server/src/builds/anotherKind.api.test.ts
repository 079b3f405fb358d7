import {
  buildDocument,
  buildFileJsonSchema,
  changesBetween,
  COLLECTION,
  openApi,
  RECORDS,
  removalOf,
  rewind,
  withNewIds,
  type BuildDocument,
  type Edit,
  type PartKind,
} from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { METRIC, US } from '@bold-ballast/core'
import { columnsOf, csvList, describeValue, differingFields, fieldLabel } from '@bold-ballast/words'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import * as z from 'zod'
import { recordTable } from '../database/recordTable'
import { testServer, type TestServer } from '../testing/testServer'

/** A kind of record that there is only here: one definition and one table, as of any other. */
vi.mock('../../../contract/src/records/registry', async (original) => {
  const { REGISTRY } = await original<{ REGISTRY: object }>()
  const { defineKind } = await import('../../../contract/src/records/defineKind')
  const { choice, field } = await import('../../../contract/src/records/field')
  const f = await import('../../../contract/src/records/fields')
  const z = await import('zod')
  const bushTest = defineKind({
    name: 'bushTest',
    within: 'stage',
    words: { one: 'bush test', many: 'bush tests' },
    sortedBy: 'date',
    most: 50,
    fields: {
      date: f.date,
      rate: field(z.number('Type a rate.').gt(0, 'A bush gives way.').max(1e8, 'Check the unit.'), {
        quantity: 'stiffness',
        label: 'Rate',
      }),
      kind: choice(['rubber', 'joint'], { rubber: 'rubber', joint: 'spherical joint' }, 'It is'),
      against: field(f.mass.nullable(), { label: 'Loaded with' }),
      points: field(z.array(field(f.mass, { label: 'Load' })).max(20), { label: 'Loads' }),
      componentId: f.linkTo('component', 'Of'),
    },
  })
  return { REGISTRY: { ...REGISTRY, bushTest } }
})

const KIND = 'bushTest' as PartKind
/** Its records in a document, which no type knows of. */
const bushTests = (document: object) =>
  new Map(Object.entries(document)).get(COLLECTION[KIND]) as Record<string, unknown>[]
const put = (record: object) => ({ op: 'put', kind: KIND, record }) as unknown as Edit

let server: TestServer
let document: BuildDocument
let test: Record<string, unknown>
beforeAll(async () => {
  server = await testServer()
  await server.db.raw(
    recordTable(
      'bush_tests',
      'date text NOT NULL, rate double precision NOT NULL, kind text NOT NULL, against double precision, points jsonb NOT NULL, component_id uuid',
      { table: 'stages', column: 'stage_id' },
    ),
  )
  const { body } = await server.add(sampleBuild(randomUUID))
  document = (await server.read(body.id)).body
  test = {
    id: randomUUID(),
    stageId: document.stages[0]!.id,
    date: '2026-11-28',
    rate: 250_000,
    kind: 'rubber',
    against: 80,
    points: [10, 20],
    componentId: null,
    version: 0,
  }
})
afterAll(() => server.close())
const read = async () => (await server.read(document.build.id)).body

describe('a kind of record that is defined once', () => {
  it('is stored, changed, refused and removed over the API', async () => {
    await server.edit(document.build.id, [put(test)])
    expect(bushTests(await read())).toEqual([{ ...test, version: 1 }])
    await server.edit(document.build.id, [put({ ...test, rate: 300_000, version: 1 })])
    expect(bushTests(await read())).toEqual([{ ...test, rate: 300_000, version: 2 }])
    const conflict = await server.refuseEdit(document.build.id, [put({ ...test, version: 1 })])
    expect(conflict.status).toBe(409)
    const wrong = await server.refuseEdit(document.build.id, [put({ ...test, rate: -1, version: 2 })])
    expect(wrong.status).toBe(422)
    expect(wrong.body.errors?.[0]?.problem).toBe('A bush gives way.')
  })
  it('stands in the document, the file and their descriptions', async () => {
    const now = buildDocument.parse(await read())
    expect(bushTests(now)).toHaveLength(1)
    const file = await (await fetch(`${server.base}/api/v1/builds/${document.build.id}/file`)).json()
    expect(bushTests(file as object)).toHaveLength(1)
    expect(JSON.stringify(buildFileJsonSchema())).toContain('bushTests')
    expect(JSON.stringify(openApi().components.schemas.EditBatch)).toContain('bushTest')
  })
  it('comes with its build under new ids', async () => {
    const file = (await (
      await fetch(`${server.base}/api/v1/builds/${document.build.id}/file`)
    ).json()) as Parameters<typeof withNewIds>[0]
    const renamed = withNewIds(file, randomUUID)
    expect(bushTests(renamed)[0]).toMatchObject({ stageId: renamed.stages[0]!.id, rate: 300_000 })
    const copied = await server.add(file)
    expect(copied.status).toBe(201)
    expect(bushTests((await server.read(copied.body.id)).body)[0]!['id']).not.toBe(test['id'])
  })
  it('has a history that undo and any day follow', async () => {
    const { entries } = await server
      .ask(
        `/builds/${document.build.id}/history`,
        z.object({ entries: z.array(z.object({ id: z.string() })) }),
      )
      .then((answer) => answer.body)
    const detail = await server.ask(
      `/builds/${document.build.id}/history/${entries[0]!.id}`,
      z.object({ inverse: z.array(z.unknown()) }),
    )
    expect(detail.body.inverse).toEqual([put({ ...test, version: expect.any(Number) as number })])
    const before = rewind(await read(), [detail.body.inverse as Edit[]])
    expect(bushTests(before)).toMatchObject([{ rate: 250_000 }])
    const changes = changesBetween(document, await read())
    expect(changes.map((c) => c.kind)).toEqual([KIND])
  })
  it('is said in words, field by field', () => {
    const words = { units: METRIC }
    expect(fieldLabel(KIND, 'against')).toBe('loaded with')
    expect(describeValue(KIND, 'rate', 250_000, words, test)).toMatch(/^250.* N\/mm$/)
    expect(differingFields(KIND, test, { ...test, kind: 'joint' }, words)).toEqual([
      { label: 'it is', before: 'rubber', after: 'spherical joint' },
    ])
  })
  it('is held by a frozen stage', async () => {
    const { frozenFault } = await import('@bold-ballast/contract')
    const seal = { stageId: test['stageId'], reopened: null } as BuildDocument['seals'][number]
    expect(frozenFault({ ...document, seals: [seal] }, [put(test)])).toMatch(/is frozen/)
  })
  it('is written as CSV and read again', () => {
    for (const units of [METRIC, US]) {
      const list = csvList<object>(RECORDS[KIND], columnsOf(RECORDS[KIND], units))
      const { version: _, ...record } = test
      const text = list.write([record], { units })
      expect(text.split('\n')[0]).toMatch(/^date,rate \(.*\),it is,loaded with \(.*\)$/)
      const { records, bad } = list.read(text, { units }, ({ fields }) => ({ ...record, ...fields }))
      expect(bad).toEqual([])
      expect(records).toEqual([record])
    }
  })
  it('goes with what it hangs from, and by itself', async () => {
    const now = await read()
    expect(removalOf(now, 'stage', String(test['stageId'])).some((e) => e.kind === KIND)).toBe(true)
    await server.edit(now.build.id, removalOf(now, KIND, String(test['id'])))
    expect(bushTests(await read())).toEqual([])
  })
})
