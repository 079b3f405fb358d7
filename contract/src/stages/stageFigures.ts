import {
  aboard,
  classReport,
  driftWindows,
  headlineFigures,
  judgeFigures,
  known,
  lapTime,
  meanPower,
  QUARTER_MILE,
  roadSpeedAt,
  straightLine,
  topSpeed,
  usedBand,
  type Known,
  type MarkFigures,
  type MarkReading,
  type StageSummary,
} from '@bold-ballast/core'
import type { BuildDocument, Mark, Stage } from '../records/kinds'
import { airFigures } from './airFigures'
import { carFacts } from './carFacts'
import { carriedAt } from './carriedAt'
import { gearedCar, STANDARD_AIR } from './gearedCar'
import { lapCar } from './lapCar'
import { ruleValues } from './ruleValues'
import { computed, NOTHING, once } from './computedFigures'
import { stageLadder } from './stageLadder'
import { straightLineCar } from './straightLineCar'

/** What a figure is asked for: a measure, and the condition, gear or speed it depends on. */
export type Asked = Pick<Mark, 'measure' | 'conditionId' | 'gear' | 'place' | 'speed'>

/** What a run and a top speed are off by, beside what goes into them (common practice). */
const RUN_MODEL = 0.02
const SPEED_MODEL = 0.015
/** A lap at the limit everywhere is quicker than one that is driven (common practice). */
const LAP_MODEL = 0.03
/** Wheel speed over road speed that a slide wants, where nobody asks otherwise (common practice). */
const SLIP = [1.1, 1.6] as const

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
  const isPulled = summary.measuredPower !== null && summary.massFrom !== 'plan'
  /** Share that power and mass are off by together. */
  const drivenSpread = () => {
    const power = summary.measuredPower?.power ?? summary.plannedPower
    return Math.hypot(power ? power.sigma / power.value : 0.1, summary.mass.sigma / summary.mass.value)
  }
  const ethanol = () => carried(document.sizings)?.engine?.ethanol
  const swapsSoFar = () => document.swaps.filter((s) => upTo.has(s.stageId))

  const weighed = (share: Known | null | undefined, planned: Known | null): MarkFigures => ({
    value: share ?? planned,
    planned,
    evidence: Boolean(share),
  })
  const inCondition = ({ conditionId }: Asked): MarkFigures => {
    const plain = headlineFigures('mass', summary)
    const condition = document.conditions.find((c) => c.id === conditionId)
    if (!condition) return plain
    const carriers = carFacts(document)
    const massOf = (c: typeof condition | typeof build.reference) =>
      aboard(c, carriers).reduce((sum, p) => sum + p.sign * p.mass.value, 0)
    const shift = massOf(condition) - massOf(build.reference)
    const moved = (k: Known | null) => k && { ...k, value: k.value + shift }
    return { ...plain, value: moved(plain.value), planned: moved(plain.planned) }
  }
  const quarterMile = (): MarkFigures => {
    const car = geared()
    if (!car) return NOTHING
    const run = straightLine(straightLineCar(build, car.drive, summary, car.curve, car.day), {
      ...{ speeds: [], distances: [QUARTER_MILE] },
    })
    const time = run.toDistance[0]?.time
    // Elapsed time goes about with the cube root of weight over power (Hale).
    const sigma = (time ?? 0) * Math.hypot(RUN_MODEL, drivenSpread() / 3)
    return time === undefined ? NOTHING : computed(known(time, 'claim', sigma), isPulled)
  }
  const fastest = ({ gear }: Asked): MarkFigures => {
    const car = geared()
    if (!car) return NOTHING
    const best = topSpeed(car.gearing, car.curve, car.load)
    const inGear =
      gear === null || !best
        ? best?.speed
        : car.drive.ratios[gear - 1] === undefined
          ? undefined
          : Math.min(best.speed, roadSpeedAt(car.gearing, gear - 1, car.gearing.limiter))
    if (inGear === undefined) return NOTHING
    return computed(known(inGear, 'claim', inGear * Math.hypot(SPEED_MODEL, drivenSpread() / 3)), isPulled)
  }
  const slideWindow = ({ gear }: Asked): MarkFigures => {
    const car = geared()
    if (!car) return NOTHING
    const widths = driftWindows(car.gearing, car.curve, car.axle, {
      ...{ threshold: car.threshold, slip: SLIP },
    }).map(({ window }) => (window ? window[1] - window[0] : 0))
    const width = gear === null ? Math.max(0, ...widths) : widths[gear - 1]
    return width === undefined ? NOTHING : computed(known(width, 'claim', 0.05 * width + 0.5), isPulled)
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
    return first ? computed(known(first.margin, first.part.grade, first.marginSigma), true) : NOTHING
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
    const isAt = (name: string) => name.toLowerCase().includes(place.toLowerCase())
    const laps = document.outings.flatMap((o) =>
      o.stageId === stage.id && !o.planned && o.bestLap !== null && isAt(o.name) ? [o.bestLap] : [],
    )
    const course = document.courses.find((c) => isAt(c.name))
    const car = course && lapCar(document, stages, summaries, at)
    const time = car && lapTime(car, course).time
    const planned = time ? known(time, 'claim', time * Math.hypot(LAP_MODEL, drivenSpread() / 4)) : null
    if (laps.length === 0) return { value: planned, planned, evidence: false }
    const best = known(Math.min(...laps), 'measured', 0.05)
    return { value: best, planned: planned ?? best, evidence: true }
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
  const kept = new Map<string, MarkFigures>()
  return (asked) => {
    const { measure, conditionId, gear, place, speed } = asked
    const key = [measure, conditionId, gear, place, speed].join('|')
    const before = kept.get(key)
    if (before) return before
    const figures = work(asked)
    kept.set(key, figures)
    return figures
  }
}

/** A mark judged on the figures of its stage. */
export const readMark = (figures: (asked: Asked) => MarkFigures, mark: Mark): MarkReading =>
  judgeFigures(figures(mark), mark)
