import { mean } from '../numeric/mean'
import { REACH_95 } from '../numeric/normal'
import { dayShare, withinDays, type ReadingDays } from './dayShare'
import { repeatsToShow, welchFrom, type MeanError } from './welch'

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
  /** Days that the sides don't share stand in the way: pulls of both on one day would tell. */
  readonly daysInTheWay: boolean
}

const sumOfSquares = (v: readonly number[]) => v.reduce((sum, x) => sum + x * x, 0)

/**
 * Is a gain real? By Welch's test at 95 % where both were repeated; where one was not, only a difference beyond what the
 * instrument's stated repeatability allows a difference of two readings counts: 2.77 times it, one against one.
 *
 * A bridge between two dynos, days that the sides don't share, or anything else that shifts one side as a whole, adds its
 * own uncertainty and can only make a gain harder to show.
 *
 * @param before figures of the one configuration, one or more
 * @param after figures of the other
 * @param repeatability the instrument's stated standard deviation, as a share
 * @param shared standard uncertainty of a shift between the two sides, same unit as the figures; 0 for none
 * @param days on which the figures were taken; left out for all on one day
 * @throws {RangeError} when a side has no figure, or days are not one for each figure
 * @source B. L. Welch, Biometrika 34 (1947) 28, on what the readings of one day differ by; a difference of two readings
 * is √2 times as uncertain as one: 1.96·√2·s (JCGM 100:2008, 5.1)
 * @example isGainReal([200, 201, 199], [204, 205, 206], 0.015).verdict // 'real'
 * @example isGainReal([200], [205], 0.015).verdict // 'notShown'
 */
export function isGainReal(
  before: readonly number[],
  after: readonly number[],
  repeatability: number,
  shared = 0,
  days?: ReadingDays,
): GainVerdict {
  if (before.length === 0 || after.length === 0) throw new RangeError('each side needs at least one figure')
  if (days && (days.before.length !== before.length || days.after.length !== after.length))
    throw new RangeError('each figure has a day')
  const one = (v: readonly number[]) => v.map(() => '')
  const difference = mean(after) - mean(before)
  const middle = Math.abs(mean([...before, ...after]))
  const stated = repeatability * middle
  const betweenDays = days ? days.between * middle * dayShare(days.before, days.after) : 0
  const shift = REACH_95 * Math.hypot(shared, betweenDays)
  const daysInTheWay = betweenDays > 0 && REACH_95 * betweenDays > Math.abs(difference) / 2

  const fewest = Math.min(before.length, after.length)
  const sides = [
    withinDays(before, days?.before ?? one(before)),
    withinDays(after, days?.after ?? one(after)),
  ] as const
  if (sides.every((s) => s.freedom > 0)) {
    const errorOf = (i: 0 | 1, count: number): MeanError => ({
      error: sumOfSquares(sides[i].residuals) / sides[i].freedom / count,
      freedom: sides[i].freedom,
    })
    const own = [errorOf(0, before.length), errorOf(1, after.length)]
    const test = welchFrom(difference, [...own, { error: (shift / REACH_95) ** 2, freedom: Infinity }])
    const real = test.p < 0.05
    const spread = Math.sqrt(own[0]!.error + own[1]!.error) / Math.sqrt(1 / before.length + 1 / after.length)
    return {
      verdict: real ? 'real' : 'notShown',
      difference,
      interval: test.interval,
      p: test.p,
      moreNeeded: real ? 0 : stillNeeded(difference, spread || stated, shift, fewest),
      how: 'welch',
      daysInTheWay: !real && daysInTheWay,
    }
  }
  const half = Math.hypot(REACH_95 * stated * Math.sqrt(1 / before.length + 1 / after.length), shift)
  const real = Math.abs(difference) > half
  return {
    verdict: real ? 'real' : 'notShown',
    difference,
    interval: [difference - half, difference + half],
    p: null,
    moreNeeded: real ? 0 : stillNeeded(difference, stated, shift, fewest),
    how: 'repeatability',
    daysInTheWay: !real && daysInTheWay,
  }
}

/** At least one more is asked for: what was there has not shown it. What shifts a side as a whole no repeats make up for. */
function stillNeeded(difference: number, spread: number, shift: number, fewest: number): number | null {
  const left = Math.sqrt(Math.max(0, difference ** 2 - shift ** 2))
  const needed = repeatsToShow(left, spread)
  return needed === null ? null : Math.max(1, needed - fewest)
}
