import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import * as z from 'zod'
import {
  applyEdits,
  buildFile,
  fileOf,
  inverseOf,
  KINDS,
  newBuild,
  newBuildForm,
  RECORDS,
  removalOf,
  sameRecord,
  drivetrainIdOf,
  upgradeFile,
  withNewIds,
  type Edit,
} from './index'
import {
  documentFrom,
  sampleBuild,
  sampleComponent,
  sampleDrive,
  sampleDynoDay,
  sampleElement,
  sampleLine,
  samplePull,
  sampleSeal,
} from './testing/sampleBuild'

const newId = () => crypto.randomUUID()

describe('edits', () => {
  const document = documentFrom(sampleBuild(newId, { swaps: 3, linesEach: 4 }))

  it('taken back leave the document as it was, for any run of edits', () => {
    const someEdit = fc.oneof(
      fc
        .record({ at: fc.nat(11), mass: fc.double({ min: 0, max: 100, noNaN: true }) })
        .map(({ at, mass }): Edit[] => [
          { op: 'put', kind: 'line', record: { ...document.lines[at]!, mass } },
        ]),
      fc.nat(2).map((at): Edit[] => removalOf(document, 'swap', document.swaps[at]!.id)),
      fc
        .nat(2)
        .map((at): Edit[] => [
          { op: 'put', kind: 'line', record: { ...sampleLine(document.swaps[at]!.id, newId()), version: 0 } },
        ]),
    )
    fc.assert(
      fc.property(someEdit, (edits) => {
        const there = applyEdits(document, edits)
        const back = applyEdits(there, inverseOf(document, edits))
        expect(sameRecord(fileOf(back), fileOf(document))).toBe(true)
      }),
    )
  })
  it('leave the given document alone', () => {
    const before = structuredClone(document)
    applyEdits(document, removalOf(document, 'stage', document.stages[0]!.id))
    expect(document).toEqual(before)
  })
  it('remove leaves before what they hang from', () => {
    const kinds = removalOf(document, 'stage', document.stages[0]!.id).map((e) => e.kind)
    expect(kinds.at(-1)).toBe('stage')
    expect(kinds.indexOf('swap')).toBe(4)
  })
})

describe('build files', () => {
  it('are the same bytes however the records lay', () => {
    const document = documentFrom(sampleBuild(newId, { swaps: 2, linesEach: 3 }))
    const shuffled = {
      ...document,
      lines: [...document.lines].reverse(),
      swaps: [...document.swaps].reverse(),
    }
    expect(JSON.stringify(fileOf(shuffled))).toBe(JSON.stringify(fileOf(document)))
  })
  it('keep their links under new ids', () => {
    const copy = withNewIds(sampleBuild(newId, { swaps: 3, linesEach: 2 }), newId)
    expect(buildFile.safeParse(copy).success).toBe(true)
  })
  it('refuse an id that stands twice', () => {
    const file = sampleBuild(newId)
    file.lines[1]!.id = file.lines[0]!.id
    expect(buildFile.safeParse(file).error?.issues[0]?.message).toMatch(/twice/)
  })
})

describe('a new build', () => {
  const form = {
    name: 'Kite',
    car: '',
    discipline: 'drift',
    layout: 'rear',
    baseFuel: 0.03,
    wheelbase: 2.6,
    trackFront: 1.5,
    trackRear: 1.5,
    baseMass: 1200,
    baseGrade: 'claim',
    frontShare: 0.54,
    currency: 'EUR',
    unitSystem: 'us',
  } as const
  it('fits the file’s own schema', () =>
    expect(buildFile.safeParse(newBuild(newBuildForm.parse(form), newId)).success).toBe(true))
  it('puts the centre where the front share says', () =>
    expect(newBuild(form, newId).build.baseCentre.x).toBeCloseTo(0.46 * 2.6))
  it.each([
    [{ wheelbase: 2600 }, /check the unit/],
    [{ name: ' ' }, /name/],
    [{ baseMass: 3 }, /50 kg/],
  ])('refuses %j', (wrong, message) =>
    expect(newBuildForm.safeParse({ ...form, ...wrong }).error?.issues[0]?.message).toMatch(message),
  )
})

describe('records', () => {
  const weighIn = {
    id: newId(),
    stageId: newId(),
    date: '2026-05-01',
    readings: { method: 'fourPads', corners: { frontLeft: 0, frontRight: 0, rearLeft: 0, rearRight: 0 } },
    checklist: null,
    scale: '',
    resolution: 0.5,
    accuracy: 0.003,
    condition: { fuel: 0, driver: 0, amounts: {} },
    tyrePressures: null,
    note: '',
  }
  it('a weigh-in can’t add up to zero, nor carry a driver heavier than the car', () => {
    expect(RECORDS.weighIn.safeParse(weighIn).error?.issues[0]?.message).toMatch(/add up to zero/)
    const full = {
      ...weighIn,
      readings: { method: 'axles', front: 40, rear: 40 },
      condition: { fuel: 0, driver: 85, amounts: {} },
    }
    expect(RECORDS.weighIn.safeParse(full).error?.issues[0]?.message).toMatch(/driver weighs more/)
  })
  it('three pads must leave out two corners, one at a time', () => {
    const corners = { frontLeft: 20, frontRight: 20, rearLeft: 20, rearRight: 0 }
    const same = { block: 'rearRight', corners }
    const readings = { method: 'threePads', placements: [same, same] }
    expect(RECORDS.weighIn.safeParse({ ...weighIn, readings }).error?.issues[0]?.message).toMatch(
      /at another/,
    )
  })
  it('a pull needs a curve or a peak, a channel a value for each point, and a photograph no measured grade', () => {
    const pull = samplePull(newId(), newId())
    const points = [{ speed: 300, torque: 200 }]
    const fits = (more: object) => RECORDS.pull.safeParse({ ...pull, ...more }).success
    expect(fits({})).toBe(true)
    expect(fits({ peakPower: null })).toBe(false)
    expect(fits({ points, channels: { boost: [1e5] } })).toBe(true)
    expect(fits({ points, channels: { boost: [1e5, null] } })).toBe(false)
    expect(fits({ points, source: 'photo' })).toBe(false)
    expect(fits({ points, source: 'photo', grade: 'claim' })).toBe(true)
    expect(fits({ time: '25:00' })).toBe(false)
  })
  it('a drivetrain has falling ratios and a shift below its limiter', () => {
    const record = { id: newId(), stageId: newId(), note: '' }
    const fault = (more: object) =>
      RECORDS.drivetrain.safeParse({ ...record, drive: { ...sampleDrive(), ...more } }).error?.issues[0]
        ?.message
    expect(fault({})).toBeUndefined()
    expect(fault({ ratios: [2, 3.3] })).toMatch(/taller than the one before/)
    expect(fault({ shiftSpeed: 800 })).toMatch(/at or below the limiter/)
    expect(fault({ loss: { least: 0.2, most: 0.1 } })).toMatch(/not below the least/)
    expect(fault({ tyreSize: '265/35R18' })).toBeUndefined()
    expect(fault({ tyreSize: 'wide' })).toMatch(/Write a size such as 265\/35R18/)
  })
})

/** What no file before version 4 has. */
const withoutVersion4 = <T extends object>(file: T): Partial<T> => {
  const late = [
    'drivetrains',
    'gearsets',
    'courseSpeeds',
    'outings',
    'services',
    'steerings',
    'fitments',
    'aeroElements',
    'coastDowns',
    'rulebooks',
    'scrutinies',
    'jobs',
    'seals',
    'downforceTests',
    'attitudes',
    'sheetStocks',
    'courses',
    'branches',
  ]
  return Object.fromEntries(Object.entries(file).filter(([key]) => !late.includes(key))) as Partial<T>
}

describe('upgradeFile', () => {
  const file = sampleBuild(newId, { swaps: 1, linesEach: 1 })
  const corners = { frontLeft: 232, frontRight: 218, rearLeft: 204, rearRight: 226 }
  it('brings a file of version 1 back without loss', () => {
    const { springs: _s, ballast: _b, growth: _g, currency: _c, bridges: _i, ...build } = file.build
    const {
      tiltTests: _t,
      loads: _o,
      conditions: _n,
      sizings: _z,
      optionSets: _p,
      components: _q,
      ...later
    } = file
    const rest = withoutVersion4(later)
    const old = {
      ...rest,
      formatVersion: 1,
      build: { ...build, reference: { fuel: build.reference.fuel, driver: build.reference.driver } },
      lines: file.lines.map(
        ({ role: _r, weighing: _h, fate: _f, fromLine: _l, alsoAt: _a, ...line }) => line,
      ),
      swaps: file.swaps.map(({ workTime: _w, cost: _k, ...swap }) => swap),
      weighIns: [
        {
          id: newId(),
          stageId: file.stages[0]!.id,
          date: '2026-05-01',
          corners,
          resolution: 0.5,
          accuracy: 0.003,
          condition: { fuel: 0, driver: 0 },
          tyrePressures: null,
          note: '',
        },
      ],
    }
    const upgraded = buildFile.parse(upgradeFile(JSON.parse(JSON.stringify(old))))
    expect(upgraded.weighIns[0]!.readings).toEqual({ method: 'fourPads', corners })
    expect({ ...upgraded, weighIns: [] }).toEqual(file)
  })
  it('brings a file of version 2 back: one reading of the air, pulls without a configuration', () => {
    const day = sampleDynoDay(file.stages[0]!.id, newId())
    const { boostControl: _c, gear: _g, limits: _l, sheetColumns: _s, air: _a, ...oldDay } = day
    const { configuration: _n, time: _t, channels: _h, source: _o, ...oldPull } = samplePull(day.id, newId())
    const { bridges: _b, ...build } = file.build
    const { sizings: _z, optionSets: _p, components: _q, ...later } = file
    const rest = withoutVersion4(later)
    const ambient = { temperature: 290, pressure: 1e5, humidity: 0.5 }
    const old = { ...rest, formatVersion: 2, build, dynoDays: [{ ...oldDay, ambient }, { ...oldDay, id: newId(), ambient: null }], pulls: [oldPull] } // prettier-ignore
    const upgraded = buildFile.parse(upgradeFile(JSON.parse(JSON.stringify(old))))
    expect(upgraded.dynoDays[0]).toEqual({ ...day, air: [{ time: null, ...ambient }] })
    expect(upgraded.dynoDays[1]!.air).toEqual([])
    expect(upgraded.pulls[0]).toEqual(samplePull(day.id, oldPull.id))
    expect(upgradeFile({ ...old, formatVersion: 9 })).toMatchObject({ formatVersion: 12 })
  })
  it('brings a file of version 3 back: its gears become its first stage’s', () => {
    const { rollOut: _r, tyreDiameter: _t, rearSplit: _s, clutchTorque: _c, clutchMass: _m, ...drive } = sampleDrive() // prettier-ignore
    const component = sampleComponent(file.stages[0]!.id, newId())
    const { axle: _a, flow: _f, statedEthanol: _e, mass: _w, life: _l, spares: _p, replacement: _n, replaces: _o, ...old } = component // prettier-ignore
    const upgraded = buildFile.parse(
      upgradeFile({
        ...withoutVersion4(file),
        formatVersion: 3,
        build: { ...file.build, drivetrain: drive },
        components: [old],
      }),
    )
    expect(upgraded.drivetrains).toEqual([
      { id: drivetrainIdOf(file.build.id), stageId: file.stages[0]!.id, drive: sampleDrive(), note: '' },
    ])
    expect(upgraded.components).toEqual([component])
    expect(upgraded.build).toEqual(file.build)
  })
  it('brings a file of version 4 back: panels square, wings without a tube, nothing corrected', () => {
    const element = sampleElement(file.stages[0]!.id, newId())
    const { correction: _c, lineId: _l, panel, mount, ...plain } = element
    const { stockId: _s, under: _u, rearWidth: _r, cornerRadius: _o, struts, ...oldPanel } = panel!
    const { kind: _k, ...oldStruts } = struts!
    const { topBolts: _b, topBoltDiameter: _d, spar: _p, footing: _f, ...oldMount } = mount!
    const { airLoads: _a, ...build } = file.build
    const {
      downforceTests: _t,
      attitudes: _i,
      sheetStocks: _h,
      jobs: _j,
      seals: _e,
      courses: _x,
      branches: _y,
      ...rest
    } = file
    const mark = {
      id: newId(),
      stageId: file.stages[0]!.id,
      measure: 'mass',
      comparator: 'atMost',
      value: 900,
      tolerance: 0,
    }
    const old = {
      ...rest,
      formatVersion: 4,
      build,
      marks: [mark],
      lines: file.lines.map(({ said: _said, ...line }) => line),
      aeroElements: [{ ...plain, panel: { ...oldPanel, struts: oldStruts }, mount: oldMount }],
    }
    const upgraded = buildFile.parse(upgradeFile(JSON.parse(JSON.stringify(old))))
    expect(upgraded.marks).toEqual([
      { ...mark, weight: 1, conditionId: null, gear: null, place: '', part: '', speed: null },
    ])
    expect({ ...upgraded, marks: [] }).toEqual({ ...file, aeroElements: [element] })
  })
  it('brings a file of version 5 back: nothing tried, no courses, nobody named, no ticket signed', () => {
    const { courses: _x, branches: _y, ...old } = file
    const { doubts: _d, ...build } = file.build
    const [first, ...others] = file.lines.map(({ source: _s, ...line }) => line)
    const seal = { ...sampleSeal(file.stages[0]!.id, newId()) }
    const { ticket: _t, ...figures } = seal.figures
    const upgraded = buildFile.parse(
      upgradeFile({
        ...old,
        formatVersion: 5,
        build,
        seals: [{ ...seal, figures }],
        lines: [{ ...first, said: { mass: 3, grade: 'guess' } }, ...others],
      }),
    )
    expect(upgraded.lines[0]!.said).toEqual({ mass: 3, grade: 'guess', source: '' })
    expect(upgraded.seals).toEqual([seal])
    const [line, ...rest] = upgraded.lines
    expect({ ...upgraded, seals: [], lines: [{ ...line, said: null }, ...rest] }).toEqual(file)
  })
  it('brings a file of version 6 back: no instruments, no days of parts, nobody leaned, no slide measured', () => {
    const { instruments: _i, ...old } = file
    const { lean: _l, ...build } = file.build
    const seal = sampleSeal(file.stages[0]!.id, newId())
    const { expectedWrong: _e, ...figures } = seal.figures
    const { slide: _s, ...drive } = sampleDrive()
    const stageId = file.stages[0]!.id
    const gears = { id: newId(), stageId, note: '' }
    const line = file.lines[0]!
    const { changedOn: _c, ...oldLine } = line
    const branch = { id: newId(), stageId, name: 'B', order: 0, stepId: null, adoptedAt: null, note: '' }
    const put = { op: 'put', kind: 'line' }
    const upgraded = buildFile.parse(
      upgradeFile({
        ...old,
        formatVersion: 6,
        build,
        seals: [{ ...seal, figures }],
        lines: file.lines.map(({ changedOn: _, ...l }) => l),
        drivetrains: [{ ...gears, drive }],
        branches: [{ ...branch, edits: [{ ...put, record: { ...oldLine, version: 1 } }] }],
      }),
    )
    expect(upgraded.seals).toEqual([seal])
    expect(upgraded.drivetrains).toEqual([{ ...gears, drive: sampleDrive() }])
    expect(upgraded.branches[0]!.edits).toEqual([{ ...put, record: { ...line, version: 1 } }])
    expect({ ...upgraded, seals: [], drivetrains: [], branches: [] }).toEqual(file)
  })
  it('leaves files of today, and what is no file, alone', () => {
    expect(upgradeFile(file)).toBe(file)
    for (const nonsense of [null, 7, 'x', [], { formatVersion: 1, swaps: 'none' }])
      expect(buildFile.safeParse(upgradeFile(nonsense)).success).toBe(false)
  })
})

describe('plainFault', () => {
  const said = (schema: z.ZodType, value: unknown) =>
    schema.safeParse(value).error?.issues.map((i) => i.message)
  it('speaks plainly where a field has no words of its own', () => {
    expect(said(z.number(), null)).toEqual(['Type a number.'])
    expect(said(z.enum(['off', 'on']), 'up')).toEqual(['Choose one of off, on.'])
    expect(said(z.strictObject({ a: z.number() }), { a: 1, b: 2 })).toEqual(['There is no field b here.'])
    expect(said(z.number().max(5), 6)).toEqual(['That is too large: at most 5.'])
  })
  it('leaves a field’s own words alone', () =>
    expect(said(z.number('Type a mass.'), 'x')).toEqual(['Type a mass.']))
  it('leaves no field of any record with words from a library, whatever is put into it', () => {
    for (const kind of KINDS) {
      const fields = Object.keys(RECORDS[kind].shape)
      for (const nonsense of [null, undefined, NaN, 'blue', -1e12, 1e99, {}, [], true]) {
        const messages = said(RECORDS[kind], Object.fromEntries(fields.map((f) => [f, nonsense]))) ?? []
        for (const message of messages)
          expect(message).not.toMatch(/invalid|expected|received|NaN|undefined/i)
      }
    }
  })
})
