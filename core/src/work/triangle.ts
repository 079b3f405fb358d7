/** Three durations of one job, s: as short as it may be, as it likely is, as long as it may get. */
export interface Triangle {
  readonly short: number
  readonly likely: number
  readonly long: number
}

/**
 * The duration that a share of all cases stays below, of a job that three durations are guessed for.
 *
 * @param share from 0 to 1
 * @source Johnson, “The triangular distribution as a proxy for the beta distribution in risk analysis”, The Statistician
 *   46 (1997) 387
 * @example triangleQuantile({ short: 2, likely: 3, long: 7 }, 0.5) // 3.84
 */
export const triangleQuantile = ({ short, likely, long }: Triangle, share: number): number =>
  quantileOfTriangle(short, likely, long, share)

/**
 * The same of three durations that stand in arrays.
 *
 * @example quantileOfTriangle(2, 3, 7, 0.5) // 3.84
 */
export function quantileOfTriangle(short: number, likely: number, long: number, share: number): number {
  const width = long - short
  if (width === 0) return short
  const below = likely - short
  return share * width < below
    ? short + Math.sqrt(share * width * below)
    : long - Math.sqrt((1 - share) * width * (long - likely))
}

/**
 * What three durations come to on the average.
 *
 * @example triangleMean({ short: 2, likely: 3, long: 7 }) // 4
 */
export const triangleMean = ({ short, likely, long }: Triangle): number => (short + likely + long) / 3
