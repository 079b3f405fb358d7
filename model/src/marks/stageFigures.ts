import {
  aboard,
  classReport,
  drivenAxle,
  driftWindows,
  headlineFigures,
  judgeFigures,
  known,
  lapTime,
  MEASURE_KINDS,
  meanPower,
  QUARTER_MILE,
  roadSpeedAt,
  straightLine,
  topSpeed,
  usedBand,
  type LapCar,
  type Known,
  type MarkFigures,
  type MarkReading,
  type StageSummary,
} from '@bold-ballast/core'
import type { BuildDocument, Mark, Stage } from '@bold-ballast/contract'
import { airFigures } from './airFigures'
import { carFacts } from '../car/carFacts'
import { carriedAt } from '../car/carriedAt'
import { gearedCar, STANDARD_AIR } from '../car/gearedCar'
import { ruleValues } from './ruleValues'
import { runDoubt, typedDoubts } from '../car/runDoubt'
import { runModel, SPEED_MODEL } from '../car/runModel'
import { cannotTell, computed, NOTHING, once, workedOut } from './computedFigures'
import { stageLadder } from '../car/stageLadder'

/** What a figure is asked for: a measure, and the condition, gear or speed it depends on. */
export type Asked = Pick<Mark, 'measure' | 'conditionId' | 'gear' | 'place' | 'speed'>

/** What a clock at the line is off by, s, and a logger's or a gun's speed as a share (common practice). */
const CLOCK = 0.05
const LOGGED = 0.005
/** What an end of a drift window is off by, m/s (common practice). */
const WINDOW_MODEL = 0.5
/** A run or lap that is only compared with itself needs no finer steps, s and m. */
const COARSE = 0.02
const COARSE_WAY = 16

/** What there is only where there is a car. */
const ON_MASS: ReadonlySet<Mark['measure']> = new Set<Mark['measure']>([
  ...(['frontShare', 'quarterMile', 'topSpeed', 'driftWindow', 'weakestLink'] as const),
  ...(['groundGap', 'lapTime'] as const),
])

const isAt = (name: string, place: string) => name.toLowerCase().includes(place.toLowerCase())

/**
 * Everything that marks may ask of a stage, worked out when it is asked for and kept.
 *
 * @param stages in order
 * @param summaries of all stages, in the same order
 * @returns a function from what is asked to its figures
 * @example stageFigures(document, ledger.stages, summaries, 4)({ measure: 'topSpeed', gear: null, … }).value
 */
export function stageFigures(
  document: BuildDocument,
  stages: readonly Stage[],
  summaries: readonly StageSummary[],
  at: number,
): (asked: Asked) => MarkFigures {
  const { build } = document
  const stage = stages[at]!
  const summary = summaries[at]!
  const carried = <T extends { stageId: string }>(all: readonly T[]) => carriedAt(all, stages, stage.id)
  const upTo = new Set(stages.slice(0, at + 1).map((s) => s.id))
  const geared = once(() => gearedCar(document, stages, summaries, at).car)
  const air = airFigures(document, stages, summaries, at, () => geared()?.load.airDensity ?? STANDARD_AIR)
  const doubts = once(() => typedDoubts(geared()!.air, summary))
  const timeOf = (run: LapCar) =>
    straightLine(run, { speeds: [], distances: [QUARTER_MILE] }, { step: COARSE }).toDistance[0]?.time ?? null
  const ethanol = () => carried(document.sizings)?.engine?.ethanol
  const swapsSoFar = () => document.swaps.filter((s) => upTo.has(s.stageId))

  const weighed = (share: Known | null | undefined, planned: Known | null): MarkFigures => ({
    value: share ?? planned,
    planned,
    evidence: Boolean(share),
  })
  const inCondition = ({ conditionId }: Asked): MarkFigures => {
    const plain = headlineFigures('mass', summary)
    if (plain.cannot) return plain
    const condition = document.conditions.find((c) => c.id === conditionId)
    if (!condition) return plain
    const carriers = carFacts(document)
    const massOf = (c: typeof condition | typeof build.reference) =>
      aboard(c, carriers).reduce((sum, p) => sum + p.sign * p.mass.value, 0)
    const shift = massOf(condition) - massOf(build.reference)
    const moved = (k: Known | null) => k && { ...k, value: k.value + shift }
    return { ...plain, value: moved(plain.value), planned: moved(plain.planned) }
  }
  const modelDoubt = once(() => runModel(document, stages, summaries))
  /** What was driven at this stage, as its days have it. */
  const driven = (field: 'bestLap' | 'quarterMile' | 'topSpeed', place = ''): number[] =>
    document.outings.flatMap((o) => {
      const figure = o[field]
      const isThere = o.stageId === stage.id && !o.planned && isAt(o.name, place)
      return isThere && figure !== null ? [figure] : []
    })
  /** A figure off a clock or a logger shows; what was worked out stays beside it as what was planned. */
  const timedOr = (measured: Known | null, computed: MarkFigures): MarkFigures =>
    measured ? { value: measured, planned: computed.planned ?? measured, evidence: true } : computed
  const quarterMile = (): MarkFigures => {
    const times = driven('quarterMile')
    const best = times.length > 0 ? known(Math.min(...times), 'measured', CLOCK) : null
    return timedOr(best, workedQuarterMile())
  }
  const workedQuarterMile = (): MarkFigures => {
    const car = geared()
    if (!car) return NOTHING
    const time = straightLine(car.run, { speeds: [], distances: [QUARTER_MILE] }).toDistance[0]?.time
    const coarse = timeOf(car.run)
    if (time === undefined || coarse === null) return NOTHING
    const typed = runDoubt(car.run, doubts(), timeOf, coarse)
    return workedOut(known(time, 'claim', Math.hypot(typed, modelDoubt() * time)))
  }
  const fastest = (asked: Asked): MarkFigures => {
    // A logged speed tells of no gear.
    const speeds = asked.gear === null ? driven('topSpeed') : []
    const best = speeds.length > 0 ? Math.max(...speeds) : null
    return timedOr(best === null ? null : known(best, 'measured', LOGGED * best), workedTopSpeed(asked))
  }
  const workedTopSpeed = ({ gear }: Asked): MarkFigures => {
    const car = geared()
    if (!car) return NOTHING
    const speedOf = (run: LapCar) => {
      const gearing = { ...car.gearing, rollingRadius: run.rollingRadius }
      const best = topSpeed(gearing, run.curve, { ...car.load, mass: run.mass, dragArea: run.dragArea })
      if (!best) return null
      if (gear === null) return best.speed
      if (gearing.ratios[gear - 1] === undefined) return null
      return Math.min(best.speed, roadSpeedAt(gearing, gear - 1, gearing.limiter))
    }
    const speed = speedOf(car.run)
    if (speed === null) return NOTHING
    const typed = runDoubt(car.run, doubts(), speedOf, speed)
    return workedOut(known(speed, 'claim', Math.hypot(typed, SPEED_MODEL * speed)))
  }
  const slideWindow = ({ gear }: Asked): MarkFigures => {
    const car = geared()
    if (!car) return NOTHING
    const widthOf = (run: LapCar, slipAngle: number = car.slide.value) => {
      const gearing = { ...car.gearing, rollingRadius: run.rollingRadius }
      const windows = driftWindows(gearing, run.curve, drivenAxle(run), {
        threshold: car.threshold,
        slip: car.slide.slip,
        slipAngle,
      })
      const widths = windows.map(({ window }) => (window ? window[1] - window[0] : 0))
      return gear === null ? Math.max(0, ...widths) : (widths[gear - 1] ?? null)
    }
    const width = widthOf(car.run)
    if (width === null) return NOTHING
    const { value, sigma } = car.slide
    const byAngle = [value - sigma, value + sigma].map((a) =>
      Math.abs((widthOf(car.run, a) ?? width) - width),
    )
    const typed = runDoubt(car.run, { ...doubts(), drag: 0 }, (run) => widthOf(run), width)
    return workedOut(known(width, 'claim', Math.hypot(typed, Math.max(...byAngle), WINDOW_MODEL)))
  }
  const meanOfBand = (): MarkFigures => {
    const car = geared()
    if (!car || car.drive.ratios.length < 2) return NOTHING
    const shift = Math.min(car.drive.shiftSpeed ?? car.drive.limiter, car.curve.at(-1)!.speed)
    const mean = meanPower(car.curve, usedBand(car.drive.ratios, shift).band)
    if (mean === null) return NOTHING
    const power = summary.measuredPower?.power
    const sigma = mean * (power ? power.sigma / power.value : car.day.repeatability)
    // A curve of an earlier stage is that stage's evidence, not this one's.
    return computed(known(mean, 'measured', sigma), car.curveOf.stageId === stage.id)
  }
  const weakest = (): MarkFigures => {
    const car = geared()
    if (!car) return NOTHING
    const [first] = stageLadder(document, stages, summaries, at, car)
    return first ? workedOut(known(first.margin, first.part.grade, first.marginSigma)) : NOTHING
  }
  const fails = (): MarkFigures => {
    const scrutiny = carried(document.scrutinies)
    const book = document.rulebooks.find((b) => b.id === scrutiny?.rulebookId)
    if (!book) return NOTHING
    const report = classReport(book.rules, ruleValues(build, summary, air.elements(), scrutiny, ethanol()))
    const count = report.filter((r) => r.verdict === 'fail').length
    return computed(
      known(count, 'claim', 0),
      report.every((r) => r.verdict !== 'cantTell'),
    )
  }
  const sumOf = (field: 'cost' | 'workTime'): MarkFigures => {
    const counted = swapsSoFar().flatMap((s) => (s[field] === null ? [] : [s[field]]))
    if (counted.length === 0) return NOTHING
    return computed(
      known(
        counted.reduce((a, b) => a + b, 0),
        'claim',
        0,
      ),
      summary.openLinesSoFar === 0,
    )
  }
  const loudness = (): MarkFigures => {
    const noise = carried(document.scrutinies)?.noise ?? null
    return noise === null ? NOTHING : computed(known(noise, 'measured', 1), true)
  }
  const lap = ({ place }: Asked): MarkFigures => {
    const laps = driven('bestLap', place)
    const best = laps.length > 0 ? known(Math.min(...laps), 'measured', CLOCK) : null
    return timedOr(best, workedLap(place))
  }
  const workedLap = (place: string): MarkFigures => {
    const course = document.courses.find((c) => isAt(c.name, place))
    const car = course && geared()
    if (!course || !car) return NOTHING
    const time = lapTime(car.run, course).time
    const lapOf = (run: LapCar) => lapTime(run, course, { step: COARSE_WAY }).time
    return workedOut(
      known(
        time,
        'claim',
        Math.hypot(runDoubt(car.run, doubts(), lapOf, lapOf(car.run)), modelDoubt() * time),
      ),
    )
  }

  const work = (asked: Asked): MarkFigures => {
    switch (asked.measure) {
      case 'mass':
        return inCondition(asked)
      case 'wheelPower':
      case 'powerToWeight':
        return headlineFigures(asked.measure, summary)
      case 'frontShare':
        return weighed(summary.weighed?.result.front, summary.plannedFront)
      case 'crossShare':
        return weighed(summary.weighed?.result.cross, null)
      case 'meanPower':
        return meanOfBand()
      case 'quarterMile':
        return quarterMile()
      case 'topSpeed':
        return fastest(asked)
      case 'driftWindow':
        return slideWindow(asked)
      case 'weakestLink':
        return weakest()
      case 'downforce':
        return air.downforce(asked.speed)
      case 'aeroBalance':
        return air.frontShare()
      case 'groundGap':
        return air.groundGap(asked.speed)
      case 'classFails':
        return fails()
      case 'price':
        return sumOf('cost')
      case 'hours':
        return sumOf('workTime')
      case 'noise':
        return loudness()
      case 'lapTime':
        return lap(asked)
    }
  }
  /** What can't be worked out says so as that figure, and takes no other down with it. */
  const whole = (asked: Asked): MarkFigures => {
    const isMassless = summary.mass.value <= 0
    if (isMassless && ON_MASS.has(asked.measure))
      return cannotTell({ why: 'weighsNothing', mass: summary.mass.value })
    try {
      return work(asked)
    } catch (error) {
      if (!(error instanceof RangeError)) throw error
      return cannotTell({ why: 'leadsNowhere' })
    }
  }
  const kept = new Map<string, MarkFigures>()
  return (asked) => {
    const { measure, conditionId, gear, speed, place } = asked
    // Marks that differ in what their measure doesn't depend on are answered once.
    const on = { condition: conditionId, gear, speed }
    const { need } = MEASURE_KINDS[measure]
    const key = `${measure} ${need && on[need]} ${measure === 'lapTime' ? place : ''}`
    const before = kept.get(key)
    if (before) return before
    const figures = whole(asked)
    kept.set(key, figures)
    return figures
  }
}

/** A mark judged on the figures of its stage. */
export const readMark = (figures: (asked: Asked) => MarkFigures, mark: Mark): MarkReading =>
  judgeFigures(figures(mark), mark)
