import { mean } from '../numeric/mean'
import { sampleVariance } from '../numeric/sampleVariance'
import { studentPoint, studentShare } from '../numeric/studentT'

export interface WelchTest {
  /** Mean of the second less mean of the first. */
  readonly difference: number
  readonly standardError: number
  /** Degrees of freedom after Welch and Satterthwaite. */
  readonly freedom: number
  /** Chance of a difference this large, either way, when there is none. */
  readonly p: number
  /** The difference lies in here 95 times of 100. */
  readonly interval: readonly [number, number]
}

/**
 * Welch's t-test: are two sets of repeats of different means, without taking their spreads for equal?
 *
 * @param before repeats of the one thing, two or more
 * @param after repeats of the other, two or more
 * @throws {RangeError} for fewer than two of either, because one value has no spread
 * @source B. L. Welch, Biometrika 34 (1947) 28; freedom after Satterthwaite, Biometrics Bull. 2 (1946) 110
 * @example welchTest([200, 201, 199], [204, 205, 206]).p // 0.0036
 */
export function welchTest(before: readonly number[], after: readonly number[]): WelchTest {
  if (before.length < 2 || after.length < 2)
    throw new RangeError('a spread needs two or more repeats of each')
  return welchFrom(mean(after) - mean(before), [
    { error: sampleVariance(before) / before.length, freedom: before.length - 1 },
    { error: sampleVariance(after) / after.length, freedom: after.length - 1 },
  ])
}

/** A variance that a difference has, and how many degrees of freedom it was estimated with; Infinity where it is stated. */
export interface MeanError {
  readonly error: number
  readonly freedom: number
}

/** So many degrees of freedom are as good as any number. */
const MANY = 1e6

/** What all of it comes to. */
export const standardErrorOf = (errors: readonly MeanError[]): number =>
  Math.sqrt(errors.reduce((sum, e) => sum + e.error, 0))

/**
 * Degrees of freedom of all of it together.
 *
 * @source F. E. Satterthwaite, Biometrics Bull. 2 (1946) 110
 * @example freedomOf([{ error: 1, freedom: 4 }, { error: 1, freedom: 4 }]) // 8
 */
export function freedomOf(errors: readonly MeanError[]): number {
  const standardError = standardErrorOf(errors)
  if (standardError === 0) return MANY
  return Math.min(MANY, standardError ** 4 / errors.reduce((sum, e) => sum + e.error ** 2 / e.freedom, 0))
}

/** The same from all that a difference of means is off by, however each was estimated. */
export function welchFrom(difference: number, errors: readonly MeanError[]): WelchTest {
  const standardError = standardErrorOf(errors)
  // Repeats without any spread at all: only a difference of nothing is no difference.
  if (standardError === 0)
    return {
      difference,
      standardError,
      freedom: errors.reduce((sum, e) => sum + e.freedom, 0),
      p: difference === 0 ? 1 : 0,
      interval: [difference, difference],
    }
  const freedom = freedomOf(errors)
  const half = studentPoint(0.975, freedom) * standardError
  return {
    difference,
    standardError,
    freedom,
    p: 2 * studentShare(-Math.abs(difference / standardError), freedom),
    interval: [difference - half, difference + half],
  }
}

/**
 * How many repeats of each of two things would show a difference, four times of five, at the 95 % level.
 *
 * @param difference that is to be shown
 * @param spread standard deviation of one repeat, same unit
 * @returns at least 2; `null` when even 200 of each would not do
 * @source two-sample t-test of 80 % power: n = 2·(t₀.₉₇₅ + t₀.₈)²·(s/d)², the t's for 2n − 2 (from memory)
 * @example repeatsToShow(4, 2) // 6
 */
export function repeatsToShow(difference: number, spread: number): number | null {
  const wanted = Math.abs(difference)
  if (!(wanted > 0)) return null
  // The normal's points are a little short of Student's, so the search starts just below the answer.
  const start = Math.floor(2 * (2.8 * (spread / wanted)) ** 2)
  for (let n = Math.max(2, start); n <= 200; n += 1) {
    const freedom = 2 * n - 2
    const reach = studentPoint(0.975, freedom) + studentPoint(0.8, freedom)
    if (wanted >= reach * spread * Math.sqrt(2 / n)) return n
  }
  return null
}
