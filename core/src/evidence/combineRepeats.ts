import type { Known } from './known'

/**
 * Repeated measurements of one thing, as one value.
 *
 * Two or more that agree within their combined uncertainty prove it. Where they disagree the value stays
 * "measured" and its uncertainty grows to the spread that was seen, because one of them is wrong and
 * nothing here says which.
 *
 * @param values the measurements, same unit
 * @param sigmaEach the stated standard uncertainty of one measurement
 * @throws {RangeError} for no values
 * @source JCGM 100:2008 (GUM) 4.2.3 for the mean; agreement at two combined standard uncertainties is
 * common practice
 * @example combineRepeats([264.1, 264.9], 2) // { value: 264.5, sigma: 1.41, grade: 'proven' }
 */
export function combineRepeats(values: readonly number[], sigmaEach: number): Known {
  const n = values.length
  if (n === 0) throw new RangeError('at least one measurement is needed')
  const mean = values.reduce((a, b) => a + b, 0) / n
  if (n === 1) return { value: mean, sigma: sigmaEach, grade: 'measured' }
  const spread = Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (n - 1))
  const range = Math.max(...values) - Math.min(...values)
  const agree = range <= 2 * Math.SQRT2 * sigmaEach
  return agree
    ? { value: mean, sigma: Math.max(spread, sigmaEach) / Math.sqrt(n), grade: 'proven' }
    : { value: mean, sigma: Math.max(spread, sigmaEach), grade: 'measured' }
}
