import { mean as meanOf } from '../numeric/mean'
import { squaresOff } from '../numeric/sampleVariance'
import { chiSquareShare } from '../numeric/chiSquare'
import type { Known } from './known'

/** Repeats that lie further apart than this share of honest ones would are not taken to agree. */
const AGREE = 0.95

/**
 * Repeated measurements of one thing, as one value.
 *
 * Two or more that agree prove it: their spread is no more than 19 of 20 honest sets of so many would show, so that more
 * repeats never prove less. Where they disagree the value stays "measured" and its uncertainty grows to the spread that
 * was seen, because one of them is wrong and nothing here says which.
 *
 * What an instrument is off by itself all its readings share: it is added, and no repeat removes it.
 *
 * @param values the measurements, same unit
 * @param sigmaEach the stated standard uncertainty of one measurement, anew at each
 * @param own standard uncertainty that they all share, same unit; 0 for none
 * @throws {RangeError} for no values
 * @source JCGM 100:2008, 4.2.3 for the mean and 5.2 for what they share; agreement by chi-square on the spread,
 * Σ(v − mean)²/σ² with n − 1 degrees of freedom (Student’s theorem: a variance of normal repeats is a chi-square)
 * @example combineRepeats([264.1, 264.9], 2) // { value: 264.5, sigma: 1.41, grade: 'proven' }
 */
export function combineRepeats(values: readonly number[], sigmaEach: number, own = 0): Known {
  const n = values.length
  if (n === 0) throw new RangeError('at least one measurement is needed')
  const mean = meanOf(values)
  if (n === 1) return { value: mean, sigma: Math.hypot(sigmaEach, own), grade: 'measured' }
  const squares = squaresOff(values)
  const spread = Math.sqrt(squares / (n - 1))
  const agree = sigmaEach > 0 ? chiSquareShare(squares / sigmaEach ** 2, n - 1) <= AGREE : squares === 0
  return agree
    ? { value: mean, sigma: Math.hypot(Math.max(spread, sigmaEach) / Math.sqrt(n), own), grade: 'proven' }
    : { value: mean, sigma: Math.hypot(Math.max(spread, sigmaEach), own), grade: 'measured' }
}
