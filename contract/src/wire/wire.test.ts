import { describe, expect, it } from 'vitest'
import {
  buildDocument,
  buildFileJsonSchema,
  buildSummary,
  COLLECTION,
  ledgerIndex,
  newBuild,
  openApi,
  PARENT,
  PART_KINDS,
  RECORDS,
  stageInputs,
  summarise,
  withoutVersion,
  type BuildDocument,
} from '../index'
import { sampleForm, sampleLine, sampleSwap } from '../sampleBuild'

let counter = 0
const newId = () => `00000000-0000-4000-8000-${String((counter += 1)).padStart(12, '0')}`

/** Two stages, out of order in the document as a database may give them. */
function twoStages(): BuildDocument {
  const file = newBuild({ ...sampleForm, baseMass: 1000 }, newId)
  const first = { ...file.stages[0]!, version: 1 }
  const second = { ...first, id: newId(), name: 'Second', order: 1, plannedWheelPower: 120_000 }
  const swaps = [
    sampleSwap(second.id, newId(), 1),
    sampleSwap(second.id, newId(), 0),
    sampleSwap(first.id, newId(), 0),
  ]
  const lines = swaps.flatMap((swap) =>
    [2, 0, 1].map((order) => ({ ...sampleLine(swap.id, newId(), order), version: 1 })),
  )
  return buildDocument.parse({
    build: { ...file.build, version: 1 },
    stages: [second, first],
    swaps: swaps.map((s) => ({ ...s, version: 1 })),
    lines,
    weighIns: [],
    tiltTests: [],
    loads: [],
    conditions: [],
    dynoDays: [],
    sizings: [],
    optionSets: [],
    drivetrains: [],
    gearsets: [],
    courseSpeeds: [],
    components: [],
    outings: [],
    services: [],
    jobs: [],
    seals: [],
    steerings: [],
    fitments: [],
    aeroElements: [],
    coastDowns: [],
    downforceTests: [],
    attitudes: [],
    sheetStocks: [],
    rulebooks: [],
    scrutinies: [],
    courses: [],
    instruments: [],
    branches: [],
    pulls: [],
    marks: [
      {
        id: newId(),
        stageId: first.id,
        measure: 'mass',
        comparator: 'atMost',
        value: 2000,
        tolerance: 0,
        weight: 1,
        conditionId: null,
        gear: null,
        place: '',
        speed: null,
        version: 1,
      },
    ],
  })
}

describe('ledgerIndex', () => {
  const index = ledgerIndex(twoStages())
  it('puts stages, swaps and lines in their order', () => {
    expect(index.stages.map((s) => s.name)).toEqual(['As bought', 'Second'])
    const swaps = index.swapsOf(index.stages[1]!.id)
    expect(swaps.map((s) => s.swap.order)).toEqual([0, 1])
    expect(swaps[0]!.lines.map((l) => l.order)).toEqual([0, 1, 2])
  })
  it('has nothing for a stage that isn’t there', () => expect(index.swapsOf('nowhere')).toEqual([]))
  it('leaves the document in the order it came', () => {
    const document = twoStages()
    const before = structuredClone(document)
    ledgerIndex(document)
    expect(document).toEqual(before)
  })
})

describe('stageInputs', () => {
  it('hands the fold each stage’s own lines', () => {
    const inputs = stageInputs(twoStages())
    expect(inputs.stages.map((s) => inputs.linesOf(s.id).length)).toEqual([3, 6])
  })
})

describe('summarise', () => {
  it('says what the Garage shows, in the contract’s own shape', () => {
    const summary = buildSummary.parse(summarise(twoStages()))
    expect(summary.stages.map((s) => s.name)).toEqual(['As bought', 'Second'])
    // Parts 0, 1 and 2 of each swap: 1.00 off, 1.01 on, 1.02 off; with as much petrol as it was weighed with.
    expect(summary.stages[0]!.mass.value).toBeCloseTo(1000 - 1.01)
    expect(summary.stages[1]!.mass.value).toBeCloseTo(1000 - 3 * 1.01)
    const { finished, standing } = summary.stages[1]!
    expect(finished.powerToWeight!.value).toBeCloseTo(120_000 / finished.mass.value)
    expect(standing.mass).toEqual(finished.mass)
    expect(summary.marks).toEqual({ met: 1, missed: 0, cantTell: 0 })
  })
})

describe('kinds', () => {
  it('each have a place in the document and a parent that comes before them', () => {
    for (const kind of PART_KINDS) {
      expect(buildDocument.shape).toHaveProperty(COLLECTION[kind])
      const parent = PARENT[kind]
      if (!parent) continue
      expect(PART_KINDS.indexOf(parent.kind)).toBeLessThan(PART_KINDS.indexOf(kind))
      expect(RECORDS[kind].shape).toHaveProperty(parent.field)
    }
  })
  it('lose nothing but the version when they lose it', () =>
    expect(withoutVersion({ id: 'a', version: 3, name: 'b' })).toEqual({ id: 'a', name: 'b' }))
})

describe('what is published', () => {
  it('a JSON Schema that names every collection and forbids what nobody knows', () => {
    const schema = buildFileJsonSchema() as {
      properties: Record<string, unknown>
      required: string[]
      additionalProperties: boolean
    }
    expect(Object.keys(schema.properties).sort()).toEqual([
      'aeroElements',
      'attitudes',
      'branches',
      'build',
      'coastDowns',
      'components',
      'conditions',
      'courseSpeeds',
      'courses',
      'downforceTests',
      'drivetrains',
      'dynoDays',
      'fitments',
      'format',
      'formatVersion',
      'gearsets',
      'instruments',
      'jobs',
      'lines',
      'loads',
      'marks',
      'optionSets',
      'outings',
      'pulls',
      'rulebooks',
      'scrutinies',
      'seals',
      'services',
      'sheetStocks',
      'sizings',
      'stages',
      'steerings',
      'swaps',
      'tiltTests',
      'weighIns',
    ])
    expect(schema.required).toEqual(expect.arrayContaining(Object.keys(schema.properties)))
    expect(schema.additionalProperties).toBe(false)
  })
  it('an OpenAPI document in which every answer can be a problem', () => {
    const { paths } = openApi()
    const operations = Object.values(paths).flatMap((path) =>
      Object.entries(path).filter(([method]) => ['get', 'post', 'delete'].includes(method)),
    )
    expect(operations.length).toBeGreaterThanOrEqual(9)
    const withoutProblem = operations.filter(
      ([, o]) => !('default' in (o as { responses: object }).responses),
    )
    // Only the published schema can't go wrong.
    expect(withoutProblem).toHaveLength(1)
  })
})

describe('limits of records', () => {
  const build = newBuild(sampleForm, newId).build
  it.each([
    ['a wheelbase in millimetres', { wheelbase: 2575 }, /check the unit/],
    ['a tank of 45 m³', { baseFuel: 45 }, /over 500 l/],
    ['fuel as light as air', { fuelDensity: 0.7 }, /at least 500/],
    ['a seat on the other side of the street', { seat: { x: 40, y: 0, z: 0 } }, /over 20 m/],
    ['a discipline nobody runs', { discipline: 'rally' }, /track, drift or time attack/],
    ['a unit nobody knows', { units: { mass: 'stone' } }, /./],
  ])('refuse %s', (_what, wrong, message) => {
    expect(RECORDS.build.safeParse({ ...build, ...wrong }).error?.issues[0]?.message).toMatch(message)
  })
  it('trim names', () => expect(RECORDS.build.parse({ ...build, name: '  Wren ' }).name).toBe('Wren'))
})
