import type { Known } from '../evidence/known'
import { REACH_95 } from '../numeric/normal'

export interface BooksBalance {
  /** Measured less predicted. */
  readonly difference: number
  /** Standard uncertainty of the difference. */
  readonly sigma: number
  /** The difference in standard uncertainties. */
  readonly z: number
  readonly verdict: 'balance' | 'off'
}

/**
 * Do the books balance? Ledger and scales, brought to the same condition, compared by
 * z = (measured − predicted)/√(σ² + σ²). They are off beyond z = 1.96, which chance gives one time in twenty.
 *
 * @param measured from the scales
 * @param predicted from the ledger, in the same condition
 * @source JCGM 100:2008 (GUM) and the usual two-sided 95 % test, from memory
 * @example booksBalance(known(872, 'measured', 2), known(860, 'measured', 4)).z // 2.68
 */
export function booksBalance(measured: Known, predicted: Known): BooksBalance {
  const difference = measured.value - predicted.value
  const sigma = Math.hypot(measured.sigma, predicted.sigma)
  const z = sigma > 0 ? difference / sigma : difference === 0 ? 0 : Math.sign(difference) * Infinity
  return { difference, sigma, z, verdict: Math.abs(z) <= REACH_95 ? 'balance' : 'off' }
}

/**
 * The least that books and scales find: a difference that is smaller passes for chance.
 *
 * @source the same two-sided 95 % test, turned round
 * @example leastFound(booksBalance(known(872, 'measured', 2), known(860, 'measured', 4))) // 8.77
 */
export const leastFound = ({ sigma }: BooksBalance): number => REACH_95 * sigma
