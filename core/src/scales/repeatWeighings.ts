import { mean as meanOf } from '../numeric/mean'
import { sampleVariance } from '../numeric/sampleVariance'
import { combineRepeats } from '../evidence/combineRepeats'
import { studentPoint } from '../numeric/studentT'
import { NO_DOUBTS } from '../evidence/doubts'
import { firstOrder, type Known } from '../evidence/known'

export interface RepeatWeighings {
  /** All of them as one value, proven where they agree. */
  readonly total: Known
  /** Standard deviation of one weighing; `null` for fewer than two. */
  readonly repeatability: number | null
  /** Change from one weighing to the next, kg, by least squares; `null` for fewer than three. */
  readonly drift: Known | null
  /** True where the drift is more than chance would give one time in twenty. */
  readonly drifts: boolean
  /** How many more weighings would prove the figure; 0 when it is proven. */
  readonly moreToProve: number
}

/**
 * Several weighings of the car as it stands: do they repeat, and do they creep?
 *
 * @param totals in the order they were made, same unit, all brought to one condition
 * @param sigmaEach the stated standard uncertainty of one weighing, anew at each
 * @param own what the scale is off by in all of them, same unit; 0 for none
 * @throws {RangeError} for no weighings
 * @source ordinary least squares and Student's t
 * @example repeatWeighings([868.2, 868.4, 868.3], 0.6).total.grade // 'proven'
 */
export function repeatWeighings(totals: readonly number[], sigmaEach: number, own = 0): RepeatWeighings {
  const total = combineRepeats(totals, sigmaEach, own)
  const n = totals.length
  const mean = meanOf(totals)
  const repeatability = n < 2 ? null : Math.sqrt(sampleVariance(totals))
  let drift: Known | null = null
  if (n >= 3) {
    const middle = (n - 1) / 2
    const xx = totals.reduce((sum, _, i) => sum + (i - middle) ** 2, 0)
    const slope = totals.reduce((sum, v, i) => sum + (i - middle) * (v - mean), 0) / xx
    const left = totals.reduce((sum, v, i) => sum + (v - mean - slope * (i - middle)) ** 2, 0)
    drift = { value: slope, sigma: Math.sqrt(left / (n - 2) / xx), grade: 'measured' }
  }
  return {
    total,
    repeatability,
    drift,
    drifts:
      drift !== null && Math.abs(drift.value) > studentPoint(0.975, n - 2) * drift.sigma && drift.sigma > 0,
    moreToProve: total.grade === 'proven' ? 0 : n === 1 ? 1 : 2,
  }
}

/** Weighings that are so many times rougher or finer than the newest are of another kind, and prove nothing of it. */
const LIKE = 3

/** A weighing, brought to a condition, with its doubts by name. */
export interface RepeatReading {
  readonly atReference: Known
  /** Name of what its scale is off by itself. */
  readonly scale: string
}

/**
 * The same of readings that know what they were brought to, and which scale they are off. Only those count that are of like
 * quality as the newest: a rough one proves nothing of a good one.
 *
 * What one scale is off by is in all its readings, and isn't seen in how they scatter; two scales show it.
 *
 * @param readings in the order they were made, at least one
 * @throws {RangeError} for no readings
 * @source {@link repeatWeighings}; {@link firstOrder} for what the mean is off by
 * @example repeatReadings([{ atReference: { value: 868, sigma: 0.7, grade: 'measured' }, scale: 'pads' }]).moreToProve // 1
 */
export function repeatReadings(
  readings: readonly RepeatReading[],
): RepeatWeighings & { readonly counted: number } {
  const newest = readings.at(-1)?.atReference.sigma ?? 0
  const alike = readings.filter(
    ({ atReference: { sigma } }) => sigma <= LIKE * newest && newest <= LIKE * sigma,
  )
  const isOneScale = new Set(alike.map((r) => r.scale)).size === 1
  const own = isOneScale
    ? Math.max(...alike.map(({ atReference: { doubts = NO_DOUBTS }, scale }) => Math.abs(doubts[scale] ?? 0)))
    : 0
  const widest = Math.max(...alike.map((r) => r.atReference.sigma))
  const each = Math.sqrt(Math.max(0, widest ** 2 - own ** 2))
  const repeats = repeatWeighings(
    alike.map((r) => r.atReference.value),
    each,
    own,
  )
  const mean = firstOrder(
    repeats.total.value,
    alike.map(({ atReference }) => ({ known: atReference, slope: 1 / alike.length })),
  )
  const { grade, sigma } = repeats.total
  return { ...repeats, total: { ...mean, grade, sigma: Math.max(sigma, mean.sigma) }, counted: alike.length }
}
