import { sigmaOf } from './doubts'
import type { Known } from './known'

/** One source of a figure's doubt: what it does, and what the figure would be known to without it. */
export interface Why {
  /** `null` for what has no name: the figure's own. */
  readonly name: string | null
  /** The signed change that one standard deviation of it makes, in the figure's unit. */
  readonly effect: number
  /** Of the variance, 0 to 1. */
  readonly share: number
  /** One standard uncertainty of the figure once this one is settled. */
  readonly without: number
}

/**
 * What a figure is in doubt by, the largest first: the first is what to measure next.
 *
 * @returns nothing for a figure without any doubt
 * @source JCGM 100:2008, 5.1.2: variances of independent sources add, so without one the rest is left
 * @example whyThis(named(300, 'measured', { dyno: 4, day: -3 }))[0] // { name: 'dyno', effect: 4, share: 0.64, without: 3 }
 */
export function whyThis({ sigma, doubts = {} }: Known): Why[] {
  if (!(sigma > 0)) return []
  const own = Math.sqrt(Math.max(0, sigma ** 2 - sigmaOf(doubts) ** 2))
  const sources: [string | null, number][] = [...Object.entries(doubts), ...(own > ROUNDING * sigma ? [[null, own] as [null, number]] : [])] // prettier-ignore
  return sources
    .map(([name, effect]): Why => ({
      name,
      effect,
      share: (effect / sigma) ** 2,
      without: Math.sqrt(Math.max(0, sigma ** 2 - effect ** 2)),
    }))
    .sort((a, b) => b.share - a.share)
}

/** What is left of a root of squares by how numbers are kept. */
const ROUNDING = 1e-6
