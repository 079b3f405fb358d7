import { doubtName, doubtSource, QUARTER_MILE, sigmaOf, straightLine } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import type { BuildFile } from '@bold-ballast/contract'
import { sampleCourse } from '@bold-ballast/contract/sampleBuild'
import { lapOf } from '../course/lapOf'
import { expectedWrong } from '../marks/expectedWrong'
import { runDoubt, typedDoubts } from './runDoubt'
import { timedSpread } from './timedSpread'
import { askedFor, figuresOf, wholeCar } from '../testing/wholeCar'

const newId = () => crypto.randomUUID()
const sections = [
  { length: 600, radius: null },
  { length: 150, radius: 40 },
]
const course = sampleCourse(newId(), { name: 'Loop', sections })
const carOf = (file: BuildFile) => {
  const { car, summaries } = figuresOf(file)
  return { car: car.geared!, summaries }
}
const timed = (more: { bestLap?: number; quarterMile?: number }) => {
  const { file, stageId } = wholeCar()
  file.courses.push(course)
  file.outings.push({
    id: newId(),
    stageId,
    name: 'Loop, May',
    date: '2026-05-01',
    planned: false,
    topSpeed: null,
    setupId: null,
    courseId: null,
    cost: null,
    result: null,
    take: [],
    fuelCost: null,
    tyreCost: null,
    amounts: { hours: 1, laps: 5, launches: 0, trackDays: 1, heatCycles: 1 },
    note: '',
    bestLap: null,
    quarterMile: null,
    ...more,
  })
  return file
}

describe('runDoubt', () => {
  const { car, summaries } = carOf(wholeCar().file)
  const summary = summaries[0]!
  const none = { power: 0, grip: 0, radius: 0, mass: 0, drag: 0, downforce: 0 }
  const lap = (run: typeof car.run) => lapOf(run, course).time
  const at = lap(car.run)
  it('is nothing where nothing is in doubt, and what one input moves where only that one is', () => {
    expect(runDoubt(car.run, none, lap, at)).toEqual({})
    // More grip is quicker, by as much as less is slower.
    expect(runDoubt(car.run, { ...none, grip: 0.07 }, lap, at)).toEqual({
      [doubtName.figure('grip')]: expect.closeTo(
        at - lap({ ...car.run, grip: 0.93 * car.run.grip }),
        9,
      ) as number,
    })
  })
  it('adds doubts by squares', () => {
    const off = (doubts: Partial<typeof none>) => sigmaOf(runDoubt(car.run, { ...none, ...doubts }, lap, at))
    expect(off({ grip: 0.07, mass: 20 })).toBeCloseTo(Math.hypot(off({ grip: 0.07 }), off({ mass: 20 })), 9)
  })
  it('is in doubt by the dyno and its day where its power is, and by nothing else of it', () => {
    const { power } = summary.measuredPower!
    const doubts = runDoubt(car.run, { ...none, power: power.sigma / power.value, by: { power } }, lap, at)
    expect(Object.keys(doubts).sort()).toEqual(Object.keys(power.doubts!).sort())
    // A dyno that reads low has the car quicker than it is worked out.
    const [dyno] = Object.entries(power.doubts!).find(([name]) => doubtSource(name).of === 'dyno')!
    expect(Math.sign(doubts[dyno]!)).toBe(-Math.sign(power.doubts![dyno]!))
    expect(sigmaOf(doubts) / Math.abs(doubts[dyno]!)).toBeCloseTo(power.sigma / power.doubts![dyno]!, 6)
  })
  it('knows what was typed of a stage', () => {
    const doubts = typedDoubts(car.air, summaries[0]!)
    const { power } = summaries[0]!.measuredPower!
    expect(doubts.power).toBeCloseTo(power.sigma / power.value, 9)
    expect(doubts.mass).toBe(summaries[0]!.mass.sigma)
    expect(doubts.drag).toBe(car.air.dragSigma)
    expect(doubts.grip).toBe(0.07)
  })
})

describe('timedSpread', () => {
  const spreadOf = (file: BuildFile) => {
    const { car, document } = figuresOf(file)
    return timedSpread(document.outings, document.courses, () => car.geared?.run ?? null)
  }
  const { car } = carOf(timed({}))
  it('is unknown for a car that nobody timed', () => {
    expect(spreadOf(wholeCar().file)).toBeNull()
    expect(spreadOf(timed({}))).toBeNull()
  })
  it('is how far what was driven is off what is worked out', () => {
    expect(spreadOf(timed({ bestLap: 1.04 * lapOf(car.run, course).time }))).toBeCloseTo(0.04, 6)
    const run = straightLine(car.run, { speeds: [], distances: [QUARTER_MILE] }).toDistance[0]!.time
    expect(spreadOf(timed({ quarterMile: 0.97 * run }))).toBeCloseTo(0.03, 6)
  })
  it('never says that a driver repeats better than a hundredth', () => {
    expect(spreadOf(timed({ bestLap: lapOf(car.run, course).time }))).toBe(0.01)
  })
  it('a stopwatch is evidence, and a worked-out time only points', () => {
    const ask = askedFor('quarterMile')
    const guessed = figuresOf(wholeCar().file).figures(ask)
    expect(guessed).toMatchObject({ evidence: false, workedOut: true })
    const driven = figuresOf(timed({ quarterMile: 13.1 })).figures(ask)
    expect(driven).toMatchObject({ value: { value: 13.1 }, evidence: true })
    expect(driven.workedOut ?? false).toBe(false)
  })
  it('a lap is worked out with doubts of its inputs and of the model, and fewer of them once it was timed', () => {
    const ask = askedFor('lapTime', { place: 'Loop' })
    const { file } = wholeCar()
    file.courses.push(course)
    const before = figuresOf(file).figures(ask)
    expect(before).toMatchObject({ workedOut: true })
    const after = figuresOf(timed({ quarterMile: 13.1 })).figures(ask)
    expect(after.value!.value).toBeCloseTo(before.value!.value, 9)
    expect(after.value!.sigma).not.toBe(before.value!.sigma)
    expect(before.value!.sigma).toBeGreaterThan(0.05 * before.value!.value)
  })
})

describe('expectedWrong', () => {
  const reading = (margin: number, sigma: number, verdict: 'met' | 'cantTell' = 'met') => ({
    verdict,
    value: { value: 1, sigma, grade: 'measured' as const },
    judgement: { margin, verdict: 'met' } as never,
  })
  it('adds up how likely each figure is to lie on the other side', () => {
    // One in twenty at 1.645 standard uncertainties, one in forty at 1.96.
    expect(expectedWrong([reading(1.645, 1), reading(-1.96, 1)])).toMatchObject({ verdicts: 2 })
    expect(expectedWrong([reading(1.645, 1), reading(-1.96, 1)]).wrong).toBeCloseTo(0.075, 3)
  })
  it('leaves out what claims nothing, and counts what was only counted as sure', () => {
    expect(expectedWrong([reading(1.645, 1, 'cantTell'), reading(1, 0)])).toEqual({ verdicts: 1, wrong: 0 })
  })
})
