import { stageSummaries } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { buildFile, usualConditions, withNewIds, type BuildDocument, type Line } from '@bold-ballast/contract'
import { carFacts, countedLines, forecastParts, ledgerIndex, stageInputs } from '@bold-ballast/model'
import { documentFrom, sampleBuild, sampleComponent, sampleLine } from '@bold-ballast/contract/sampleBuild'

const newId = () => crypto.randomUUID()
const line = (order: number, more: Partial<Line> = {}): Line => ({
  ...sampleLine(newId(), newId(), order),
  version: 1,
  ...more,
})
const weighed = (more: Partial<NonNullable<Line['weighing']>> = {}): NonNullable<Line['weighing']> => ({
  readings: [1.2],
  tare: 0.2,
  resolution: 0.01,
  bias: 0.005,
  scale: 'Hook',
  pieces: 1,
  together: null,
  ...more,
})
function documentWith(change: (file: ReturnType<typeof sampleBuild>) => void): BuildDocument {
  const file = sampleBuild(newId, { swaps: 1, linesEach: 3 })
  change(file)
  return documentFrom(file)
}

describe('countedLines', () => {
  it('says what lines of one scale share, whatever the case of its name', () => {
    const [a, b, c] = countedLines([
      line(0, { weighing: weighed() }),
      line(1, { weighing: weighed({ scale: 'hook' }) }),
      line(2),
    ])
    expect(a!.sharing).toEqual({ with: 'scale hook', relative: 0.005 })
    expect(b!.sharing!.with).toBe(a!.sharing!.with)
    expect(c!.sharing).toBeNull()
  })
  it('says what lines weighed together share: one reading’s error over what it weighed', () => {
    const together = newId()
    const [a] = countedLines([line(0, { weighing: weighed({ together, bias: 0 }) })])
    expect(a!.sharing!.with).toBe(`together ${together}`)
    // A step of 10 g on 1 kg net.
    expect(a!.sharing!.relative).toBeCloseTo(0.01 / Math.sqrt(12), 6)
  })
  it('shares nothing where a scale has no error of its own, or no name', () => {
    const lines = countedLines([
      line(0, { weighing: weighed({ bias: 0 }) }),
      line(1, { weighing: weighed({ scale: '' }) }),
    ])
    expect(lines.map((l) => l.sharing)).toEqual([null, null])
  })
  it('takes guesses and claims as doubtful as the build does, and leaves what was stated or weighed alone', () => {
    const doubts = { guess: 0.3, claim: 0.1 }
    const some = [
      line(0, { grade: 'guess', mass: 10, sigma: null }),
      line(1, { grade: 'claim', mass: 10, sigma: null }),
      line(2, { grade: 'claim', mass: 10, sigma: 0.4 }),
      line(3, { grade: 'measured', mass: 10, sigma: null }),
    ]
    expect(countedLines(some, { doubts }).map((l) => l.sigma)).toEqual([3, 1, 0.4, null])
    expect(countedLines(some).map((l) => l.sigma)).toEqual([null, null, 0.4, null])
  })
  it('draws allowances down and keeps the order', () => {
    const [bits, part] = countedLines([line(1, { role: 'allowance', mass: 6 }), line(3, { mass: 2 })])
    expect([bits!.mass, part!.mass]).toEqual([4, 2])
  })
})

describe('a stage with several places, shared errors and conditions', () => {
  it('counts pieces at every place', () => {
    const place = { x: 2, y: 0, z: 0.5 }
    const document = documentWith((file) => {
      Object.assign(file.lines[1]!, { mass: 3, quantity: 1, alsoAt: [{ position: place, quantity: 4 }] })
    })
    const one = documentWith((file) => Object.assign(file.lines[1]!, { mass: 3, quantity: 1 }))
    const mass = (d: BuildDocument) => stageSummaries(stageInputs(d))[0]!.planned.mass.value
    expect(mass(document) - mass(one)).toBeCloseTo(12, 6)
  })
  it('is wider where two parts hang from one scale than from two', () => {
    const sigma = (scales: [string, string]) => {
      const document = documentWith((file) => {
        file.build.baseSigma = 0
        file.lines.forEach((l, i) =>
          Object.assign(l, {
            kind: 'on',
            mass: 100,
            sigma: 0,
            weighing: weighed({ scale: scales[i % 2]!, bias: 0.01 }),
          }),
        )
      })
      return stageSummaries(stageInputs(document))[0]!.planned.mass.sigma
    }
    expect(sigma(['Hook', 'Hook'])).toBeGreaterThan(sigma(['Hook', 'Bench']))
  })
  it('weighs what the condition says is aboard', () => {
    const loads = usualConditions(sampleBuild(newId).build, newId).loads
    const mass = (coolant: number) =>
      stageSummaries(
        stageInputs(
          documentWith((file) => {
            file.loads.push(...loads)
            file.build.reference = { ...file.build.reference, amounts: { [loads[0]!.id]: coolant } }
          }),
        ),
      )[0]!.planned.mass.value
    // Seven litres of coolant at 1,050 kg/m³.
    expect(mass(1) - mass(0)).toBeCloseTo(7.35, 6)
  })
  it('hands core the loads with the car', () => {
    const document = documentWith((file) => file.loads.push(...usualConditions(file.build, newId).loads))
    expect(carFacts(document).loads).toBe(document.loads)
  })
})

describe('forecastParts', () => {
  it('lets only grow what is still to come onto the car, and ends at its stage', () => {
    const document = documentWith((file) => {
      Object.assign(file.lines[0]!, { kind: 'off', fitted: false })
      Object.assign(file.lines[1]!, { kind: 'on', fitted: false })
      Object.assign(file.lines[2]!, { kind: 'on', fitted: true })
    })
    const grows = forecastParts(document, document.stages[0]!.id).filter((p) => p.grows)
    expect(grows.map((p) => p.id)).toEqual([document.lines[1]!.id])
    expect(forecastParts(document, document.stages[0]!.id)[0]).toMatchObject({
      id: document.build.id,
      whole: true,
    })
  })
  it('gives each place of a part its own contribution', () => {
    const document = documentWith((file) => {
      file.lines[2]!.alsoAt = [{ position: { x: 0, y: 0, z: 0 }, quantity: 2 }]
    })
    const id = document.lines[2]!.id
    expect(forecastParts(document, document.stages[0]!.id).filter((p) => p.id === id)).toHaveLength(2)
  })
})

describe('usualConditions', () => {
  const usual = usualConditions(sampleBuild(newId).build, newId)
  it('are five, and dry is empty of everything', () => {
    expect(usual.conditions.map((c) => c.name)).toEqual([
      'Dry',
      'Wet',
      'Race start',
      'End of race',
      'As the class weighs it',
    ])
    expect(Object.values(usual.conditions[0]!.amounts)).toEqual([0, 0])
    expect(usual.conditions.filter((c) => c.driver > 0)).toHaveLength(3)
  })
  it('fit a build file, and keep their links under new ids', () => {
    const file = sampleBuild(newId)
    file.loads.push(...usual.loads)
    file.conditions.push(...usual.conditions)
    file.build.reference = { ...file.build.reference, amounts: usual.conditions[1]!.amounts }
    const copy = withNewIds(file, newId)
    expect(buildFile.safeParse(copy).error?.issues ?? []).toEqual([])
    const ids = new Set(copy.loads.map((l) => l.id))
    expect(usual.loads.some((l) => ids.has(l.id))).toBe(false)
    for (const condition of [...copy.conditions, copy.build.reference])
      expect(Object.keys(condition.amounts).every((id) => ids.has(id))).toBe(true)
  })
})

describe('withNewIds', () => {
  it('leaves what a day was run for alone, and keeps what it names of components', () => {
    const file = sampleBuild(newId)
    const stageId = file.stages[0]!.id
    const amounts = { hours: 7200, laps: 30, launches: 4, trackDays: 1, heatCycles: 5 }
    file.outings.push({
      id: newId(),
      stageId,
      name: 'Loop',
      date: '2026-05-01',
      planned: false,
      amounts,
      bestLap: 71.9,
      quarterMile: null,
      topSpeed: null,
      setupId: null,
      courseId: null,
      cost: null,
      result: null,
      take: [],
      fuelCost: null,
      tyreCost: null,
      note: '',
    })
    file.components.push(sampleComponent(stageId, newId()))
    file.components.push({ ...sampleComponent(stageId, newId(), 1), replaces: file.components[0]!.id })
    const copy = buildFile.parse(withNewIds(file, newId))
    expect(copy.outings[0]!.amounts).toEqual(amounts)
    expect(copy.components[1]!.replaces).toBe(copy.components[0]!.id)
    expect(copy.components[0]!.id).not.toBe(file.components[0]!.id)
  })
  it('keeps what a line was before, and the order of the ledger', () => {
    const file = sampleBuild(newId, { swaps: 1, linesEach: 2 })
    file.lines[1]!.fromLine = file.lines[0]!.id
    const copy = withNewIds(file, newId)
    expect(copy.lines[1]!.fromLine).toBe(copy.lines[0]!.id)
    expect(ledgerIndex({ ...copy, stages: [], swaps: [], lines: [] } as never).stages).toEqual([])
  })
})
