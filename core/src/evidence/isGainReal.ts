import { repeatsToShow, welchTest } from './welch'

export interface GainVerdict {
  readonly verdict: 'real' | 'notShown'
  /** Mean after less mean before. */
  readonly difference: number
  /** The difference lies in here 95 times of 100. */
  readonly interval: readonly [number, number]
  /** Chance of so large a difference when there is none; `null` where one repeat has no spread. */
  readonly p: number | null
  /** Repeats of each still needed to show a difference of this size; 0 when it is shown; `null` for out of reach. */
  readonly moreNeeded: number | null
  readonly how: 'welch' | 'repeatability'
}

/**
 * Is a gain real? By Welch's test at 95 % where both were repeated; where one was not, only a difference
 * beyond twice the instrument's stated repeatability counts.
 *
 * A bridge between two dynos, or anything else that shifts one side as a whole, adds its own uncertainty and
 * can only make a gain harder to show.
 *
 * @param before figures of the one configuration, one or more
 * @param after figures of the other
 * @param repeatability the instrument's stated standard deviation, as a share
 * @param shared standard uncertainty of a shift between the two sides, same unit as the figures; 0 for none
 * @throws {RangeError} when a side has no figure
 * @source {@link welchTest}; twice the repeatability is common practice
 * @example isGainReal([200, 201, 199], [204, 205, 206], 0.015).verdict // 'real'
 * @example isGainReal([200], [205], 0.015).verdict // 'notShown'
 */
export function isGainReal(
  before: readonly number[],
  after: readonly number[],
  repeatability: number,
  shared = 0,
): GainVerdict {
  if (before.length === 0 || after.length === 0) throw new RangeError('each side needs at least one figure')
  const average = (v: readonly number[]) => v.reduce((a, b) => a + b, 0) / v.length
  const difference = average(after) - average(before)
  const stated = repeatability * Math.abs(average([...before, ...after]))
  if (before.length > 1 && after.length > 1) {
    const test = welchTest(before, after)
    const half = Math.hypot((test.interval[1] - test.interval[0]) / 2, 1.96 * shared)
    // The test alone decides where nothing is shared; with a bridge its interval is widened.
    const real = shared > 0 ? Math.abs(difference) > half : test.p < 0.05
    const spread = test.standardError / Math.sqrt(1 / before.length + 1 / after.length)
    const needed = repeatsToShow(difference, spread || stated)
    return {
      verdict: real ? 'real' : 'notShown',
      difference,
      interval: [difference - half, difference + half],
      p: test.p,
      // What a bridge doesn't know, no number of repeats makes up for.
      moreNeeded: real ? 0 : shared > 0 ? null : more(needed, before.length, after.length),
      how: 'welch',
    }
  }
  // One against one: beyond twice the repeatability; a mean of several has that much less error.
  const half = Math.hypot(2 * stated * Math.sqrt((1 / before.length + 1 / after.length) / 2), 1.96 * shared)
  const real = Math.abs(difference) > half
  const needed = repeatsToShow(difference, stated)
  return {
    verdict: real ? 'real' : 'notShown',
    difference,
    interval: [difference - half, difference + half],
    p: null,
    moreNeeded: real ? 0 : shared > 0 ? null : more(needed, before.length, after.length),
    how: 'repeatability',
  }
}

/** At least one more is asked for: what was there has not shown it. */
const more = (needed: number | null, a: number, b: number): number | null =>
  needed === null ? null : Math.max(1, needed - Math.min(a, b))
