import type { Verdict } from '../../ui/PlumbBar'

/** One-sided 95 %, as marks are judged. */
const BEYOND = 1.645

/**
 * Whether something lies beyond a limit, on this side of it, or too near to tell.
 *
 * @param away how far beyond, same unit as sigma; below zero is short
 */
export const judgeAway = (away: number, sigma: number): Verdict =>
  Math.abs(away) <= BEYOND * sigma ? 'cantTell' : away > 0 ? 'met' : 'missed'

export const VERDICT_TEXT: Record<Verdict, string> = {
  met: 'text-zinc',
  missed: 'text-oxide',
  cantTell: 'text-ochre',
}
