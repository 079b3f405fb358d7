import { normalQuantile, normalShare } from '../numeric/normal'
import type { PromiseRatio } from './promiseRatio'
import { quantileOfTriangle, triangleMean, triangleQuantile } from './triangle'
import type { Lasts } from './WorkNetwork'

/** What is begun is never known better than that, however exact the guess was (common practice). */
const LEAST_SPREAD = 0.1
/** Nine in ten of a lognormal less one in ten, in log-deviations. */
const TENTHS = 2 * normalQuantile(0.9)

/** How long the whole of something lasts as a lognormal: the logarithm of its middle, s, and the log-deviation. */
export interface LogTime {
  readonly middle: number
  readonly spread: number
}

/**
 * The lognormal that a duration goes by: what promises of a record come to, or three guesses by their middle and by what holds
 * eight in ten.
 *
 * @returns a spread of nothing for what is certain
 * @example Math.exp(logTimeOf({ by: 'guesses', short: 2, likely: 3, long: 7 }, []).middle) // 3.838
 */
export function logTimeOf(lasts: Lasts, records: readonly PromiseRatio[]): LogTime {
  if (lasts.by === 'promise') {
    const { mean, spread } = records[lasts.record]!
    return { middle: Math.log(lasts.promised) + mean, spread }
  }
  const [low, middle, high] = [0.1, 0.5, 0.9].map((share) => Math.log(triangleQuantile(lasts, share))) as [
    number,
    number,
    number,
  ]
  return { middle, spread: high > low ? (high - low) / TENTHS : 0 }
}

/**
 * How much longer something lasts that has lasted a while: T − t, given that T is beyond t, T lognormal.
 *
 * @param far of how far t lies out: (ln t − middle)/spread
 * @param share a random number from 0 to 1, both excluded
 * @source truncated normal by inversion (Devroye, Non-Uniform Random Variate Generation, II.2); beyond 4 its tail is
 *   exponential (Abramowitz & Stegun 26.2.12)
 * @example leftOf(12, 0, 0.4, 0.5) // 3.72
 */
export function leftOf(gone: number, far: number, spread: number, share: number): number {
  if (far > 4) return gone * Math.expm1((-Math.log(share) * spread) / far)
  const normal = -normalQuantile(share * normalShare(-far))
  return gone * Math.expm1(Math.max(0, normal - far) * spread)
}

/** How far out what has gone of something lies in its lognormal. */
export const farOut = (gone: number, { middle, spread }: LogTime): number =>
  (Math.log(gone) - middle) / Math.max(spread, LEAST_SPREAD)

/** The log-deviation that what is begun is drawn with. */
export const begunSpread = (spread: number): number => Math.max(spread, LEAST_SPREAD)

/**
 * How long something lasts from now on, on the average, s.
 *
 * @source mean of a truncated lognormal: e^(m + s²/2)·Φ(s − z)/Φ(−z) (Johnson, Kotz and Balakrishnan, Continuous Univariate
 *   Distributions, 14)
 * @example meanLasting({ by: 'promise', promised: 3600, record: 0 }, [commonRatio(2)]) // 8159
 */
export function meanLasting(lasts: Lasts, records: readonly PromiseRatio[]): number {
  const { gone = 0 } = lasts
  if (gone <= 0) {
    if (lasts.by === 'guesses') return triangleMean(lasts)
    const { mean, spread } = records[lasts.record]!
    return lasts.promised * Math.exp(mean + spread ** 2 / 2)
  }
  const time = logTimeOf(lasts, records)
  const spread = begunSpread(time.spread)
  const far = farOut(gone, time)
  if (far > 4) return (gone * spread) / far
  return Math.max(
    0,
    (Math.exp(time.middle + spread ** 2 / 2) * normalShare(spread - far)) / normalShare(-far) - gone,
  )
}

/**
 * A duration of three guesses that is drawn narrower about its middle, because part of its spread is drawn elsewhere.
 *
 * @param narrow 1 for the whole of its own spread
 * @example narrowed({ short: 2, likely: 3, long: 7 }, 0.9, 1) // quantileOfTriangle(2, 3, 7, 0.9)
 */
export function narrowed(short: number, likely: number, long: number, share: number, narrow: number): number {
  const whole = quantileOfTriangle(short, likely, long, share)
  if (narrow === 1 || whole <= 0) return whole
  const middle = quantileOfTriangle(short, likely, long, 0.5)
  return middle * Math.exp(narrow * Math.log(whole / middle))
}
