import { quantileOf } from '../numeric/quantileOf'
import { randomBits } from '../numeric/randomBits'
import type { AxleCar } from './AxleCar'
import type { LapDoubts } from './carOffBy'
import { drawnCar } from './drawnCar'
import { exchangeRate, type RateKey } from './exchangeRates'
import { lapSeconds, type LapCourse } from './lapTime'

/** What one drawn car makes of it: its lap, and its rates in the order in which they were asked for. */
export interface RateDraw {
  /** s */
  readonly time: number
  readonly rates: readonly number[]
}

/**
 * Laps and exchange rates of cars that the known one may really be, one after the other: from how far they lie apart
 * follows how far off each is.
 *
 * @param course as coarse as comparing allows
 * @param draws which of them, so that two workers can share them: from one number up to, not with, another
 * @param step longest piece of the course, m
 * @source JCGM 101:2008
 * @example [...rateDraws(axleCar, circle, doubts, ['grip'], [0, 2], 10)].length // 2
 */
export function* rateDraws(
  car: AxleCar,
  course: LapCourse,
  doubts: LapDoubts,
  keys: readonly RateKey[],
  [from, to]: readonly [number, number],
  step: number,
): Generator<RateDraw> {
  for (let draw = from; draw < to; draw += 1) {
    // Each draw has a seed of its own: whoever works it out comes to the same.
    const one = drawnCar(car, doubts, randomBits(SEED + draw))
    const time = lapSeconds(one, course, { step })
    yield { time, rates: keys.map((key) => exchangeRate(one, course, key, { step })) }
  }
}
const SEED = 20

/**
 * How far about a stated figure a share of the drawn ones lie: what is said of 95 of 100 cars is what 95 of 100 draws do,
 * whatever their shape.
 *
 * @param values drawn, one or more
 * @param about the figure as it is stated
 * @source JCGM 101:2008, 7.7: coverage by the draws themselves, here about the stated figure
 * @example heldWithin([1, 2, 3, 4, 9], 3, 0.75) // 2
 */
export function heldWithin(values: readonly number[], about: number, share = 0.95): number {
  return quantileOf(Float64Array.from(values, (value) => Math.abs(value - about)).sort(), share)
}
