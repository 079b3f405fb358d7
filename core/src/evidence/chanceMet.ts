import { normalShare } from '../numeric/normal'
import type { Target } from './judge'
import type { Known } from './known'

/**
 * How likely a figure is to lie on the allowed side of a target: the share of its doubt that does.
 *
 * It says nothing of how the figure is known: nine in ten by measurement is nearly shown, nine in ten by a plan is a good
 * plan.
 *
 * @returns 0 to 1; a figure without any doubt is on one side
 * @source JCGM 106:2012, 7.2 to 7.4: the conformance probability of a normal
 * @example chanceMet({ value: 1214, sigma: 5, grade: 'claim' }, { comparator: 'atMost', value: 1220, tolerance: 0 }) // 0.885
 */
export function chanceMet({ value, sigma }: Known, { comparator, value: wanted, tolerance }: Target): number {
  const below = (limit: number) => {
    if (sigma > 0) return normalShare((limit - value) / sigma)
    return value <= limit ? 1 : 0
  }
  if (comparator === 'atMost') return below(wanted + tolerance)
  const above = (limit: number) => {
    if (sigma > 0) return normalShare((value - limit) / sigma)
    return value >= limit ? 1 : 0
  }
  if (comparator === 'atLeast') return above(wanted - tolerance)
  return Math.max(0, below(wanted + tolerance) + above(wanted - tolerance) - 1)
}

/** From so likely on a figure leans to one side; in between it is near even. */
const LEANS = 2 / 3

/**
 * On which side of a target a figure is likely to end.
 *
 * @returns null where that is near even
 * @source common practice: two to one
 * @example leansTo(0.9) // 'met'
 */
export const leansTo = (chance: number): 'met' | 'missed' | null =>
  chance >= LEANS ? 'met' : chance <= 1 - LEANS ? 'missed' : null
