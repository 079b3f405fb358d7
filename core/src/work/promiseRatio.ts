/**
 * What the logarithm of taken to promised time is known to be: its middle and its spread, and how far off both may be.
 * The middle counts as `weight` observations of its own, the spread as `freedom`.
 */
export interface PromiseRatio {
  readonly mean: number
  readonly weight: number
  readonly spread: number
  readonly freedom: number
}

/** Of a job, before there is a record: stripping a car takes five times as long as promised, most else twice. */
export const COMMON_RATIO = { stripping: 5, other: 2 } as const
/** Before there is a record: one of three takes more than 1.6 times the middle, or less than its 1.6th part. */
const COMMON_SPREAD = 0.5

/**
 * What is taken for granted before there is a record: as much as one job would tell of the middle, and three of the spread.
 *
 * @param ratio of taken to promised time, in the middle
 * @source common practice; there is none for how much it weighs
 * @example Math.exp(commonRatio(5).mean) // 5
 */
export const commonRatio = (ratio: number): PromiseRatio => ({
  mean: Math.log(ratio),
  weight: 1,
  spread: COMMON_SPREAD,
  freedom: 3,
})

/**
 * What a record of promises tells: ratios of taken to promised time are taken as lognormal, and what was known before goes in
 * as it weighs.
 *
 * @param ratios of taken to promised time, each above zero
 * @param before what was known without them: common practice, or what others of the workshop need
 * @throws {RangeError} for a ratio that isn't above zero
 * @source Gelman et al., Bayesian Data Analysis, 3rd edition, 3.3: normal data with a conjugate prior
 * @example Math.exp(promiseRatio([2, 3, 2.5, 3.5], commonRatio(2)).mean) // 2.54
 */
export function promiseRatio(ratios: readonly number[], before: PromiseRatio): PromiseRatio {
  const count = ratios.length
  if (count === 0) return before
  const logs = ratios.map((ratio) => {
    if (!(ratio > 0)) throw new RangeError('what was taken and what was promised are above zero')
    return Math.log(ratio)
  })
  const mean = logs.reduce((sum, log) => sum + log, 0) / count
  const weight = before.weight + count
  const freedom = before.freedom + count
  const squares =
    before.freedom * before.spread ** 2 +
    logs.reduce((sum, log) => sum + (log - mean) ** 2, 0) +
    ((before.weight * count) / weight) * (mean - before.mean) ** 2
  return {
    mean: (before.weight * before.mean + count * mean) / weight,
    weight,
    spread: Math.sqrt(squares / freedom),
    freedom,
  }
}

/**
 * The same, as it goes before a record of somebody's own: the middle of the others counts as so many jobs, and so does their
 * spread.
 *
 * @param jobs that it counts for
 * @example asPrior(promiseRatio([2, 3, 2.5, 3.5], commonRatio(2)), 2).weight // 2
 */
export const asPrior = (known: PromiseRatio, jobs: number): PromiseRatio => ({
  ...known,
  weight: Math.min(known.weight, jobs),
  freedom: Math.min(known.freedom, jobs + 2),
})

/**
 * One draw of the middle and the spread of a person's ratios: what all of their jobs have in common.
 *
 * @param normals two independent standard normal numbers
 * @source Gelman et al., as above; chi-square by Wilson and Hilferty, Proc. Natl. Acad. Sci. 17 (1931) 684
 * @example drawRatio(commonRatio(2), [0, 0]) // { mean: 0.693, spread: 0.56 }
 */
export function drawRatio(
  { mean, weight, spread, freedom }: PromiseRatio,
  [first, second]: readonly [number, number],
): { mean: number; spread: number } {
  const ninth = 2 / (9 * freedom)
  // The cube of what is far below zero would be negative.
  const chiSquare = freedom * Math.max(0.05, 1 - ninth + second * Math.sqrt(ninth)) ** 3
  const drawn = spread * Math.sqrt(freedom / chiSquare)
  return { mean: mean + (first * drawn) / Math.sqrt(weight), spread: drawn }
}
