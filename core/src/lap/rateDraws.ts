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
    yield { time, rates: keys.map((key) => exchangeRate(one, course, key, { step, base: time })) }
  }
}
const SEED = 20

/** The spread of drawn figures about their own mean: one standard uncertainty. */
export function spreadOf(values: readonly number[]): number {
  if (values.length < 2) return 0
  const mean = values.reduce((a, b) => a + b, 0) / values.length
  return Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (values.length - 1))
}
