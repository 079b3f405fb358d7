import { bisect } from '../numeric/bisect'
import { logGamma } from '../numeric/logGamma'

/** A life that may end sooner or later: how it is spread. */
export interface Weibull {
  /** Above 1 for what wears; the larger, the more alike the lives are. */
  readonly shape: number
  /** Life at which 63 % are gone; same unit as the mean. */
  readonly scale: number
}

const spreadOf = (shape: number) =>
  Math.sqrt(Math.max(0, Math.exp(logGamma(1 + 2 / shape) - 2 * logGamma(1 + 1 / shape)) - 1))

/**
 * The Weibull distribution of a mean life and a spread.
 *
 * @param mean expected life
 * @param spread standard deviation over mean
 * @throws {RangeError} for a life or a spread that is not above zero, or a spread above 1: that is no wear
 * @source Weibull, J. Appl. Mech. 18 (1951) 293: mean = λΓ(1 + 1/k), variance from Γ(1 + 2/k); k by halving
 * @example weibullOf(10, 0.3) // { shape: 3.714, scale: 11.08 }
 */
export function weibullOf(mean: number, spread: number): Weibull {
  if (!(mean > 0)) throw new RangeError('a life is above zero')
  if (!(spread > 0 && spread <= 1)) throw new RangeError('the spread of a life lies above 0 and up to 100 %')
  // A shape of 1 spreads by 100 %, one of 200 by less than 1 %.
  const { high } = bisect((shape) => spreadOf(shape) > spread, 1, 200, 80)
  return { shape: high, scale: mean / Math.exp(logGamma(1 + 1 / high)) }
}

/**
 * The chance that something which has lasted so far gives out within the next stretch.
 *
 * @param used so far, and next to come; same unit as the life's
 * @throws {RangeError} for amounts below zero
 * @source P = 1 − S(used + next) / S(used), with S(t) = exp(−(t/λ)^k)
 * @example chanceWithin(weibullOf(10, 0.3), 8, 2) // 0.32
 */
export function chanceWithin({ shape, scale }: Weibull, used: number, next: number): number {
  if (!(used >= 0 && next >= 0)) throw new RangeError('what was used and what comes are not below zero')
  return 0 - Math.expm1((used / scale) ** shape - ((used + next) / scale) ** shape)
}
