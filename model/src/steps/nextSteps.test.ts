import type { StageSummary } from '@bold-ballast/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planReplacements, applyEdits, stageNamed, type BuildFile } from '@bold-ballast/contract'
import { documentFrom, sampleCourse, sampleLine, sampleSwap } from '@bold-ballast/contract/sampleBuild'
import { fittedAt } from '../car/fittedAt'
import { lapGains } from './lapGains'
import { nextSteps } from './nextSteps'
import { shortfall } from '../marks/shortfall'
import { ledgerIndex } from '../ledger/stageInputs'
import { ladderOf } from '../car/ladderOf'
import { RANKED_BY, rankByLap, rankSteps, scoreOf, type Step } from './step'
import { figuresOf, sampleMark as mark, wholeCar } from '../testing/wholeCar'

const newId = () => crypto.randomUUID()
function stepsOf(file: BuildFile, at = 0) {
  const { document, stage } = figuresOf(file, at)
  return rankSteps(nextSteps(document, stage.id), 'hour')
}
const kinds = (file: BuildFile, at = 0) => stepsOf(file, at).map((s) => s.kind)
const bare = () => {
  const { file, stageId } = wholeCar()
  return { file: Object.assign(file, { swaps: [], lines: [] }) as BuildFile, stageId }
}

describe('nextSteps', () => {
  it('has nothing to say where no mark is set', () => expect(kinds(wholeCar().file)).toEqual([]))
  it('offers a measurement once for all the marks it settles, and ranks it by what it settles in an hour', () => {
    const { file, stageId } = bare()
    file.marks.push(
      mark(stageId, 'downforce', { speed: 50, comparator: 'atLeast' }),
      mark(stageId, 'aeroBalance', { comparator: 'within' }),
      mark(stageId, 'noise'),
    )
    const steps = stepsOf(file)
    const log = steps.find((s) => s.kind === 'logDownforce')!
    expect(log.marks).toHaveLength(2)
    // A mark that counts three times moves its step up.
    const before = steps.find((s) => s.kind === 'measureForClass')!.worth
    file.marks[2]!.weight = 3
    expect(stepsOf(file).find((s) => s.kind === 'measureForClass')!.worth).toBeCloseTo(3 * before)
  })
  it('asks for open swaps to be finished before the car is weighed, with what they take off', () => {
    const { file, stageId } = wholeCar()
    file.lines = file.lines.map((l) => ({ ...l, fitted: false, kind: 'off', mass: 8 }))
    file.marks.push(mark(stageId, 'mass', { value: 1100 }))
    const first = stepsOf(file).find((s) => s.kind === 'finishSwap')!
    expect(first).toMatchObject({ swapId: file.swaps[0]!.id, kilograms: -16 })
    expect(first.marks).toHaveLength(1)
  })
  it('says how many kilos are still to be found once all that is planned is done', () => {
    const { file, stageId } = bare()
    const { value } = figuresOf(file).summaries[0]!.mass
    file.marks.push(mark(stageId, 'mass', { value: value - 20, tolerance: 2 }))
    const find = stepsOf(file).find((s) => s.kind === 'findKilos')!
    expect(find.kilograms).toBeCloseTo(-18, 6)
    // Planned, they are not asked for again.
    const swap = sampleSwap(stageId, newId())
    file.swaps.push(swap)
    file.lines.push({
      ...sampleLine(swap.id, newId()),
      kind: 'off',
      mass: 18.1,
      fitted: false,
      grade: 'guess',
    })
    expect(kinds(file)).not.toContain('findKilos')
    expect(kinds(file)).toContain('finishSwap')
  })
  it('brings forward what a later stage would take off, by how much of the lack it closes', () => {
    const { file, stageId } = bare()
    const later = { ...stageNamed('Later', 1, newId()) }
    file.stages.push(later)
    const { value } = figuresOf(file).summaries[0]!.mass
    file.marks.push(mark(stageId, 'mass', { value: value - 20 }))
    for (const [name, mass, kind] of [
      ['Small', 5, 'off'],
      ['Large', 15, 'off'],
      ['Heavier', 9, 'on'],
    ] as const) {
      const swap = { ...sampleSwap(later.id, newId()), name, workTime: 7200 }
      file.swaps.push(swap)
      file.lines.push({ ...sampleLine(swap.id, newId()), kind, mass, fitted: false, grade: 'claim' })
    }
    const forward = stepsOf(file).filter((s) => s.kind === 'bringForward')
    const named = forward.map((s) => file.swaps.find((w) => w.id === s.swapId)!.name)
    expect(named).toEqual(['Large', 'Small'])
    expect(forward[0]!.worth / forward[1]!.worth).toBeCloseTo(3)
  })
  it('names each link that is too weak, with its replacement where one is noted, until it is planned', () => {
    const { file, stageId } = bare()
    const [component] = file.components
    component!.rating = 50
    component!.mass = 40
    file.marks.push(mark(stageId, 'weakestLink', { comparator: 'atLeast', value: 1.2 }))
    expect(stepsOf(file)).toMatchObject([{ kind: 'strengthen', componentId: component!.id, cost: null }])
    component!.replacement = {
      name: 'Dog box',
      rating: 900,
      mass: 44,
      massGrade: 'claim',
      price: 3000,
      workTime: 36_000,
    }
    expect(stepsOf(file)).toMatchObject([{ cost: 3000, workTime: 36_000, kilograms: 4 }])
    const { document, ledger, car, stage } = figuresOf(file)
    const rungs = ladderOf(car)
    const parts = rungs.map((r) => r.part)
    const { target, edits } = planReplacements(document, parts, ledger.stages, stage, newId)
    expect(target.name).toBe(`After ${stage.name}`)
    const after = applyEdits(document, edits)
    const stages = ledgerIndex(after).stages
    expect(fittedAt(after.components, stages, target.id).map((c) => c.name)).toEqual(['Dog box'])
    expect(fittedAt(after.components, stages, stage.id).map((c) => c.name)).toEqual([component!.name])
    const swap = after.swaps.find((s) => s.stageId === target.id)!
    expect([swap.cost, swap.workTime]).toEqual([3000, 36_000])
    expect(after.lines.filter((l) => l.swapId === swap.id).map((l) => [l.kind, l.mass])).toEqual([
      ['off', 40],
      ['on', 44],
    ])
    const planned = { ...file, stages: after.stages, components: after.components } as unknown as BuildFile
    expect(kinds(planned)).not.toContain('strengthen')
  })
})

describe('rankSteps', () => {
  const step = (more: Partial<Step>): Step => ({
    key: newId(),
    kind: 'finishSwap',
    marks: [],
    lineId: null,
    swapId: null,
    componentId: null,
    source: null,
    certainty: null,
    workTime: 3600,
    cost: 0,
    kilograms: 0,
    watts: null,
    worth: 1,
    ...more,
  })
  it('puts first what is quick, cheap or light, as it was asked for', () => {
    const quick = step({ workTime: 1800, cost: 500, kilograms: 3 })
    const cheap = step({ workTime: 7200, kilograms: 2 })
    const light = step({ workTime: 9000, cost: 900, kilograms: -1 })
    const first = (by: (typeof RANKED_BY)[number]) => rankSteps([cheap, light, quick], by)[0]
    expect([first('hour'), first('money'), first('kilo')]).toEqual([quick, cheap, light])
  })
  it('never ranks more worth lower, nor more hours, money or kilos higher', () => {
    const amount = fc.double({ min: 0, max: 1e5, noNaN: true })
    fc.assert(
      fc.property(
        amount,
        amount,
        amount,
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        (workTime, cost, kilograms, worth) => {
          const plain = { workTime, cost, kilograms, worth }
          for (const by of RANKED_BY) {
            const score = scoreOf(step(plain), by)
            expect(scoreOf(step({ ...plain, worth: worth * 2 }), by)).toBeGreaterThan(score)
            for (const more of [
              { workTime: workTime + 900 },
              { cost: cost + 10 },
              { kilograms: kilograms + 1 },
            ])
              expect(scoreOf(step({ ...plain, ...more }), by)).toBeLessThanOrEqual(score)
          }
        },
      ),
    )
  })
})

describe('shortfall', () => {
  const known = (value: number) => ({ value, sigma: 1, grade: 'measured' as const })
  const summary = () =>
    ({
      finished: { mass: known(1200) },
      measuredPower: null,
      plannedPower: known(240_000),
    }) as unknown as StageSummary
  /** A car whose driver of so many kilos isn't aboard yet. */
  const lacking = (driverMass: number) => {
    const { build } = figuresOf(wholeCar().file).car
    return {
      summary: summary(),
      build: { ...build, driverMass, reference: { ...build.reference, driver: 0 } },
    }
  }
  const ask = (
    measure: Parameters<typeof mark>[1],
    comparator: 'atMost' | 'atLeast' | 'within',
    value: number,
  ) => ({ ...mark('x', measure), comparator, value, tolerance: 0 }) as Parameters<typeof shortfall>[0]
  // By hand: 240 kW for 210 W/kg allows 1142.86 kg, or wants 252 kW; 12 s for 11.7 s is (12/11.7)³ = 1.07892.
  it.each([
    ['a mass', ask('mass', 'atMost', 1180), 1200, 20, 0],
    ['a mass with the driver aboard', ask('mass', 'atMost', 1270), 1284, 14, 0],
    ['a mass that is met', ask('mass', 'atMost', 1300), 1200, 0, 0],
    ['a power', ask('wheelPower', 'atLeast', 250_000), null, 0, 10_000],
    ['power to weight', ask('powerToWeight', 'atLeast', 210), null, 57.142_857, 12_000],
    ['402 m', ask('quarterMile', 'atMost', 11.7), 12, 87.776_25, 18_940.8],
  ])('says what %s lacks', (_what, asked, value, kilograms, watts) => {
    const found = shortfall(asked, { value: value === null ? null : known(value) }, lacking(0))!
    expect(found.kilograms).toBeCloseTo(kilograms, 1)
    expect(found.watts / 1000).toBeCloseTo(watts / 1000, 1)
  })
  it('counts the kilos of a run on the car with its driver aboard', () => {
    const asked = ask('quarterMile', 'atMost', 11.7)
    const alone = shortfall(asked, { value: known(12) }, lacking(0))!
    const driven = shortfall(asked, { value: known(12) }, lacking(84))!
    expect(driven.kilograms / alone.kilograms).toBeCloseTo(1284 / 1200, 9)
    expect(driven.watts).toBe(alone.watts)
  })
  it('says nothing of marks that neither kilos nor power help', () => {
    for (const asked of [
      ask('noise', 'atMost', 98),
      ask('mass', 'within', 1180),
      ask('mass', 'atLeast', 1300),
      ask('quarterMile', 'atMost', 11),
    ])
      expect(shortfall(asked, { value: null }, lacking(0))).toBeNull()
  })
})

describe('steps by the lap', () => {
  it('come by what they save for each hour, and what saves nothing after them', () => {
    const { file, stageId } = wholeCar()
    const course = { ...sampleCourse(newId()), version: 1 }
    const document = documentFrom({ ...file, courses: [course] })
    const plain = (key: string, more: Partial<Step>): Step => ({ key, kind: 'findKilos', marks: [], lineId: null, swapId: null, componentId: null, source: null, certainty: null, workTime: 3600, cost: null, kilograms: null, watts: null, worth: 1, ...more }) // prettier-ignore
    const steps = [
      plain('measure', { worth: 9 }),
      plain('kilos', { kilograms: -20 }),
      plain('kilos, slowly', { kilograms: -20, workTime: 36_000 }),
      plain('power', { watts: 30_000 }),
      plain('heavier', { kilograms: 20 }),
    ]
    const gains = lapGains(document, stageId, course, steps)
    expect(gains.has('measure')).toBe(false)
    expect(gains.get('kilos')!).toBeGreaterThan(0)
    expect(gains.get('heavier')!).toBeLessThan(0)
    const order = rankByLap(steps, gains).map((s) => s.key)
    expect(order.indexOf('kilos')).toBeLessThan(order.indexOf('kilos, slowly'))
    expect(order.slice(3)).toEqual(expect.arrayContaining(['measure', 'heavier']))
  })
})
