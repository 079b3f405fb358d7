import type { Known } from './known'

export const COMPARATORS = ['atMost', 'atLeast', 'within'] as const
export type Comparator = (typeof COMPARATORS)[number]

/** A target: a comparator, a value, and how far off still counts. SI units of the measure. */
export interface Target {
  readonly comparator: Comparator
  readonly value: number
  readonly tolerance: number
}

export interface Judgement {
  readonly verdict: 'met' | 'missed' | 'cantTell'
  /** How far inside the allowed side the value lies; negative when it lies outside. */
  readonly margin: number
  /** The standard uncertainty below which this same value would give a verdict. */
  readonly settlesAt: number
}

/** One-sided 95 %: a verdict that is wrong one time in twenty at its edge. */
export const CONFIDENCE = 1.645

/**
 * A verdict, where the uncertainty allows one.
 *
 * Met or missed is said only when the value lies 1.645 standard uncertainties inside or outside the
 * target with its tolerance; otherwise it can't be told yet.
 *
 * @source JCGM 106:2012, 8.3, guarded acceptance and rejection
 * @example judge({ value: 1236, sigma: 5.1, grade: 'measured' }, { comparator: 'atMost', value: 1220, tolerance: 0 })
 * // { verdict: 'missed', margin: -16, settlesAt: 9.7 }
 */
export function judge(known: Known, target: Target): Judgement {
  const margin =
    target.comparator === 'atMost'
      ? target.value + target.tolerance - known.value
      : target.comparator === 'atLeast'
        ? known.value - (target.value - target.tolerance)
        : target.tolerance - Math.abs(known.value - target.value)
  const guard = CONFIDENCE * known.sigma
  const verdict =
    known.sigma === 0
      ? margin >= 0
        ? 'met'
        : 'missed'
      : margin >= guard
        ? 'met'
        : margin <= -guard
          ? 'missed'
          : 'cantTell'
  return { verdict, margin, settlesAt: Math.abs(margin) / CONFIDENCE }
}
