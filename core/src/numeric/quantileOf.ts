/**
 * A quantile of sorted values, between the two nearest.
 *
 * @param sorted from the least to the greatest, one or more
 * @param share from 0 to 1
 * @example quantileOf(Float64Array.of(1, 2, 4), 0.75) // 3
 */
export function quantileOf(sorted: Float64Array, share: number): number {
  const at = share * (sorted.length - 1)
  const below = Math.floor(at)
  const above = Math.min(sorted.length - 1, below + 1)
  return sorted[below]! + (at - below) * (sorted[above]! - sorted[below]!)
}
