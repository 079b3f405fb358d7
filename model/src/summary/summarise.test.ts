import { figuresOf, wholeCar } from '../testing/wholeCar'
import {
  buildDocument,
  buildSummary,
  eachCollection,
  newBuild,
  type BuildDocument,
} from '@bold-ballast/contract'
import { documentFrom, sampleForm, sampleLine, sampleSwap } from '@bold-ballast/contract/sampleBuild'
import { describe, expect, it } from 'vitest'
import { ledgerIndex, stageInputs } from '../ledger/stageInputs'
import { summarise } from './summarise'

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
    ...eachCollection(() => []),
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
        part: '',
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

describe('a new build', () => {
  it.each([0, 0.005, 0.04, 0.075])('shows the mass that was typed, weighed with %f m³ aboard', (baseFuel) => {
    const { stages, fault } = summarise(
      documentFrom(newBuild({ ...sampleForm, baseMass: 1020, baseFuel }, newId)),
    )
    expect(stages.map((s) => [s.mass.value, s.standing.mass.value, s.finished.mass.value])).toEqual([
      [expect.closeTo(1020, 9), expect.closeTo(1020, 9), expect.closeTo(1020, 9)],
    ])
    expect(fault).toBeNull()
  })
})

describe('what is sent and stored of a pulled car', () => {
  it('is what the contract says, without the names of its doubts', () => {
    const { document } = figuresOf(wholeCar().file)
    const { stages } = buildSummary.parse(summarise(document))
    expect(stages[0]!.standing.power!.sigma).toBeGreaterThan(0)
  })
})
