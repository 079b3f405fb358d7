import {
  partsOf,
  PART_KINDS,
  sameRecord,
  type BuildDocument,
  type Edit,
  type PartKind,
} from '@bold-ballast/contract'
import {
  sampleBuild,
  sampleComponent,
  sampleDrive,
  sampleOuting,
  sampleSetup,
} from '@bold-ballast/contract/sampleBuild'
import { demo } from '@bold-ballast/demo'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { signedSeal } from '../testing/signedSeal'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
let document: BuildDocument
beforeAll(async () => {
  server = await testServer()
  const { body } = await server.add(sampleBuild(randomUUID))
  document = (await server.read(body.id)).body
})
afterAll(() => server.close())

const put = (kind: PartKind, record: object) => ({ op: 'put', kind, record: { ...record, version: 0 } })
const stageId = () => document.stages[0]!.id
const of = (record: object) => ({ id: randomUUID(), stageId: stageId(), note: '', ...record })

/** A wing, a set of wheels and the like, from the demo, hung from the stage of the test. */
const fromDemo = (kind: PartKind): object => {
  for (const file of demo.builds()) {
    const [record] = partsOf(file as unknown as BuildDocument, kind)
    if (record) return { ...record, id: randomUUID(), ...('stageId' in record && { stageId: stageId() }) }
  }
  throw new Error(`no ${kind} in the demo`)
}

describe('a set-up sheet that was driven on', () => {
  const sheetOf = (more: object = {}) => ({ ...sampleSetup(stageId(), randomUUID(), 41), ...more })
  const day = (setupId: string | null) => sampleOuting(stageId(), randomUUID(), { setupId })
  it('is never set otherwise, nor taken away, but may get a name', async () => {
    const sheet = sheetOf()
    await server.edit(document.build.id, [
      put('setup', sheet) as unknown as Edit,
      put('outing', day(sheet.id)) as unknown as Edit,
    ])
    const next = (more: object, version: number) =>
      ({ op: 'put', kind: 'setup', record: { ...sheet, ...more, version } }) as Edit
    const wrong = await server.refuseEdit(document.build.id, [next({ brakeBar: 0.6 }, 1)])
    expect(wrong.status).toBe(422)
    expect(wrong.body.detail).toContain('Set-up sheet 41 was driven on at Quarry Hill')
    const gone = await server.refuseEdit(document.build.id, [
      { op: 'remove', kind: 'setup', id: sheet.id, version: 1 } as Edit,
    ])
    expect(gone.status).toBe(422)
    await server.edit(document.build.id, [next({ name: 'A good one' }, 1)])
    // One that nobody has driven on is put right.
    const other = sheetOf({ order: 42 })
    await server.edit(document.build.id, [put('setup', other) as unknown as Edit])
    await server.edit(document.build.id, [
      { op: 'put', kind: 'setup', record: { ...other, brakeBar: 0.6, version: 1 } } as Edit,
    ])
  })
})

describe('every kind of record of the driveline and aero', () => {
  const kinds = [
    ...(['drivetrain', 'gearset', 'courseSpeeds', 'component', 'outing', 'service', 'steering'] as const),
    ...(['fitment', 'aeroElement', 'coastDown', 'rulebook', 'scrutiny'] as const),
    ...(['downforceTest', 'attitude', 'sheetStock', 'job', 'mark', 'course', 'branch'] as const),
    ...(['geometry', 'bodyCheck', 'suspension', 'setup', 'alignment'] as const),
    ...(['tyreReading', 'brakes', 'brakeReading'] as const),
  ]
  it.each(kinds)('%s is written, read back as it was, conflicts when it moved on, and goes', async (kind) => {
    const record = fromDemo(kind)
    const { id } = record as { id: string }
    await server.edit(document.build.id, [put(kind, record) as unknown as Edit])
    const read = async () =>
      partsOf((await server.read(document.build.id)).body, kind).find((r) => r.id === id)
    expect(sameRecord(await read(), record)).toBe(true)
    // Somebody else's change of what has moved on since is not taken.
    const stale = await server.refuseEdit(document.build.id, [put(kind, record)])
    expect(stale.status).toBe(409)
    await server.edit(document.build.id, [{ op: 'remove', kind, id, version: 1 } as Edit])
    expect(await read()).toBeUndefined()
  })
  it('stands in the demo in every kind there is', () => {
    const all = demo.builds() as unknown as BuildDocument[]
    const missing = PART_KINDS.filter((kind) => !all.some((file) => partsOf(file, kind).length > 0))
    expect(missing).toEqual([])
  })
})

describe('a frozen stage', () => {
  it('is signed once: not twice in one go, nor again before it was opened', async () => {
    const { body } = await server.add(sampleBuild(randomUUID))
    const [stage] = (await server.read(body.id)).body.stages
    const { body: document } = await server.read(body.id)
    const seal = () => signedSeal(document, stage!.id)
    const twice = await server.refuseEdit(body.id, [put('seal', seal()), put('seal', seal())])
    expect([twice.status, twice.body.detail]).toEqual([422, expect.stringMatching(/is frozen already/)])
    await server.edit(body.id, [put('seal', seal()) as unknown as Edit])
    expect((await server.refuseEdit(body.id, [put('seal', seal())])).status).toBe(422)
  })
  it('is refused every change until it is opened again, and keeps what was signed', async () => {
    const { body } = await server.add(sampleBuild(randomUUID))
    const own = (await server.read(body.id)).body
    const [stage] = own.stages
    const seal = signedSeal(own, stage!.id)
    await server.edit(own.build.id, [put('seal', seal) as unknown as Edit])
    const change = { op: 'put', kind: 'line', record: { ...own.lines[0]!, mass: 3 } } as Edit
    const refused = await server.refuseEdit(own.build.id, [change])
    expect(refused.status).toBe(422)
    expect(refused.body.detail).toMatch(/is frozen: open it again/)
    const gone = await server.refuseEdit(own.build.id, [
      { op: 'remove', kind: 'seal', id: seal.id, version: 1 },
    ])
    expect(gone.body.detail).toMatch(/kept for good/)
    const reopened = { at: '2026-11-24T09:00:00Z', author: 'B', reason: 'New scales' }
    await server.edit(own.build.id, [
      { op: 'put', kind: 'seal', record: { ...seal, reopened, version: 1 } } as unknown as Edit,
    ])
    await server.edit(own.build.id, [change])
    expect((await server.read(own.build.id)).body.seals).toMatchObject([{ author: 'A. Builder', reopened }])
  })
})

describe('nonsense', () => {
  const drive = (more: object) => of({ drive: { ...sampleDrive(), ...more } })
  const component = (more: object) => ({ ...sampleComponent(stageId(), randomUUID()), ...more })
  const life = { measure: 'hours', expected: 3600, spread: 0.3, usedBefore: 0, since: null }
  const cases: [string, PartKind, () => object, string, RegExp][] = [
    [
      'a gear that is missing',
      'drivetrain',
      () => drive({ ratios: [3, null] }),
      'drive.ratios.1',
      /such as 1.45/,
    ],
    [
      'ratios out of order',
      'drivetrain',
      () => drive({ ratios: [1, 2] }),
      'drive.ratios',
      /fall from first to last/,
    ],
    [
      'a tyre nobody makes',
      'drivetrain',
      () => drive({ tyreSize: '999/35R18' }),
      'drive.tyreSize',
      /265\/35R18/,
    ],
    [
      'torque beyond the axle',
      'drivetrain',
      () => drive({ rearSplit: 1.2 }),
      'drive.rearSplit',
      /0 to 100 %/,
    ],
    [
      'a rating on an unknown shaft',
      'component',
      () => component({ shaft: 'moon' }),
      'shaft',
      /Choose the shaft/,
    ],
    ['a torque without a shaft', 'component', () => component({ shaft: null }), 'shaft', /Choose the shaft/],
    ['neither rating nor life', 'component', () => component({ rating: null }), 'rating', /or a life below/],
    [
      'a life of nothing',
      'component',
      () => component({ life: { ...life, expected: 0 } }),
      'life.expected',
      /above zero/,
    ],
    [
      'a set of no ratios',
      'gearset',
      () => ({ id: randomUUID(), name: 'x', order: 0, set: { kind: 'between', ratios: [] }, note: '' }),
      'set.ratios',
      /At least one ratio/,
    ],
    [
      'a lap that goes back in time',
      'courseSpeeds',
      () => ({
        id: randomUUID(),
        name: 'x',
        order: 0,
        note: '',
        points: [
          { time: 3, speed: 20 },
          { time: 1, speed: 30 },
        ],
      }),
      'points',
      /rise/,
    ],
    [
      'half a lap',
      'outing',
      () => ({
        ...fromDemo('outing'),
        amounts: { hours: 1, laps: 2.5, launches: 0, trackDays: 1, heatCycles: 0 },
      }),
      'amounts.laps',
      /whole number/,
    ],
    ['a date of words', 'service', () => ({ ...fromDemo('service'), date: 'May' }), 'date', /year-month-day/],
    [
      'a lock beyond the wheel',
      'steering',
      () => ({ ...fromDemo('steering'), lockInside: 2 }),
      'lockInside',
      /85°/,
    ],
    [
      'a spacer in front of the hub',
      'fitment',
      () => {
        const f = fromDemo('fitment') as { front: { wheel: object } }
        return { ...f, front: { ...f.front, wheel: { ...f.front.wheel, spacer: -0.01 } } }
      },
      'front.wheel.spacer',
      /check the unit/,
    ],
    [
      'an element outside the car',
      'aeroElement',
      () => ({ ...fromDemo('aeroElement'), x: 40 }),
      'x',
      /6 m behind it/,
    ],
    [
      'a thickness of nothing',
      'aeroElement',
      () => ({
        ...fromDemo('aeroElement'),
        panel: {
          sheet: 'abs',
          thickness: 0,
          lay: 'weak',
          spanAlong: 0.3,
          spanAcross: 0.3,
          overhang: 0,
          struts: null,
        },
      }),
      'panel.thickness',
      /1 to 60 mm/,
    ],
    [
      'a coast-down without a run',
      'coastDown',
      () => ({ ...fromDemo('coastDown'), runs: [] }),
      'runs',
      /Add a run/,
    ],
    [
      'a wing that is none',
      'aeroElement',
      () => ({ ...fromDemo('aeroElement'), kind: 'wing', wing: null }),
      'wing',
      /foils and an angle/,
    ],
  ]
  it.each(cases)(
    '%s is refused, with the field and what would be right',
    async (_, kind, record, field, says) => {
      const { status, body } = await server.refuseEdit(document.build.id, [put(kind, record())])
      expect(status).toBe(422)
      const fault = body.errors!.find((e) => e.field.endsWith(`record.${field}`))
      expect(fault?.problem, JSON.stringify(body.errors)).toMatch(says)
    },
  )
})
