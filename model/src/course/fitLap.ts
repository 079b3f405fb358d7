import type { Course } from '@bold-ballast/contract'
import { bisect, type LapCar } from '@bold-ballast/core'
import { lapOf } from './lapOf'

/** What a driven lap says. SI. */
export interface DrivenLap {
  readonly lap: number
  /** The highest speed of it; null where nobody noted it. */
  readonly topSpeed: number | null
}
export interface Fitted {
  readonly value: number
  readonly doubt: number
}
export interface LapFit {
  readonly grip: Fitted
  /** Null where no top speed was noted: a lap alone can’t tell grip from power. */
  readonly power: Fitted | null
}

const LEAST = 0.6
const MOST = 1.4
/** A driver’s best lap is that near to what the car can do, as a share; a speed read off a logger or a dash the same. */
const DRIVER = 0.01
const SPEED = 0.01
const ROUNDS = 3
/** To less than a ten-thousandth. */
const HALVINGS = 14

/**
 * The factors of grip, and of power where a top speed is known, with which the worked-out lap is the one that was driven.
 *
 * @param run the car; what was fitted before doesn’t count
 * @returns `null` where no factor between 0.6 and 1.4 does it: something else is off
 * @source one equation for each factor, in turn; doubts by the slope at the answer (JCGM 100:2008, 5.1.3)
 * @example fitLap(car.geared.run, course, { lap: 38, topSpeed: null })?.grip.value // 0.9362
 */
export function fitLap(run: LapCar, course: Omit<Course, 'version'>, driven: DrivenLap): LapFit | null {
  let [grip, power] = [1, 1]
  const car = (fittedGrip: number, fittedPower: number) => ({ ...run, fittedGrip, fittedPower })
  const lapWith = (fittedGrip: number, fittedPower: number) =>
    lapOf(car(fittedGrip, fittedPower), course, true)
  const solve = (isLess: (factor: number) => boolean): number | null =>
    isLess(LEAST) && !isLess(MOST) ? bisect(isLess, LEAST, MOST, HALVINGS).low : null
  // What coarse laps are off by is the same for all of them: it is found at the first answer, and reckoned with.
  let off = 1
  for (let round = 0; round < ROUNDS; round += 1) {
    const byLap = solve((factor) => lapWith(factor, power).time * off > driven.lap)
    if (byLap === null) return null
    grip = byLap
    if (driven.topSpeed !== null) {
      const top = driven.topSpeed
      const bySpeed = solve((factor) => lapWith(grip, factor).fastest < top)
      if (bySpeed === null) return null
      power = bySpeed
    }
    off = lapOf(car(grip, power), course).time / lapWith(grip, power).time
  }
  const step = 0.01
  const slope = (of: (by: number) => number) => Math.abs(of(step) - of(-step)) / (2 * step)
  const byGrip = slope((by) => lapWith(grip + by, power).time)
  const byPower = slope((by) => lapWith(grip, power + by).fastest)
  return {
    grip: { value: grip, doubt: Math.min(0.5, (DRIVER * driven.lap) / Math.max(1e-6, byGrip)) },
    power:
      driven.topSpeed === null
        ? null
        : { value: power, doubt: Math.min(0.5, (SPEED * driven.topSpeed) / Math.max(1e-6, byPower)) },
  }
}
