import { mean } from '../numeric/mean'
import { normalQuantile } from '../numeric/normal'
import { squaresOff } from '../numeric/sampleVariance'

/** Entries of a table: ten bits of a random number choose one. */
export const TABLE_SIZE = 1024

/**
 * Quantiles of a lognormal with mean 1, as a table to draw from with ten random bits.
 *
 * A part's mass can't be negative and overruns go further than savings, so what nobody weighed is skewed:
 * ln X is normal with variance ln(1 + cv²). The entries are the middles of 1,024 equal shares, then set to
 * mean 1 and the stated variance exactly.
 *
 * @param relative standard deviation over mean, above 0
 * @source Crow & Shimizu, Lognormal Distributions, chapter 1; normal quantiles as in {@link normalQuantile}
 * @example skewedTable(0.2)[512] // 0.98: the middle lies below the mean
 */
export function skewedTable(relative: number): Float64Array {
  const spread = Math.sqrt(Math.log1p(relative ** 2))
  const table = new Float64Array(TABLE_SIZE)
  for (let i = 0; i < TABLE_SIZE; i += 1) table[i] = Math.exp(spread * normalQuantile((i + 0.5) / TABLE_SIZE))
  const entries = [...table]
  const middle = mean(entries)
  const deviation = Math.sqrt(squaresOff(entries) / TABLE_SIZE)
  return table.map((v) => 1 + ((v - middle) / deviation) * relative)
}
