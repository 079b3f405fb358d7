/** Which day each reading of two sides was taken on, and how far one day's readings are off together. */
export interface ReadingDays {
  /** One for each reading, in the same order; any text that tells days apart. */
  readonly before: readonly string[]
  readonly after: readonly string[]
  /** Standard deviation between days, as a share of the figure. */
  readonly between: number
}

/** Between days on one dyno, as a share of power, where the workshop's own repeats don't say (common practice). */
export const USUAL_BETWEEN_DAYS = 0.01

const ROUNDING = 1e-12

/**
 * How much of one day's error the difference of two means keeps: √Σw², w being a day's share of the readings after
 * less its share of those before.
 *
 * Readings of one day are off together. On a day that both sides share this cancels; a day that only one of them has
 * keeps it, however many readings were taken.
 *
 * @returns 0 where both sides have the same days in the same shares, √2 for one day against another
 * @source JCGM 100:2008, 5.2 (correlated inputs)
 * @example dayShare(['mon', 'mon'], ['tue']) // 1.4142
 */
export function dayShare(before: readonly string[], after: readonly string[]): number {
  const weights = new Map<string, number>()
  const add = (days: readonly string[], sign: 1 | -1) => {
    for (const day of days) weights.set(day, (weights.get(day) ?? 0) + sign / days.length)
  }
  add(before, -1)
  add(after, 1)
  // Thirds that add up to one leave a rounding error, which is no day's.
  return Math.sqrt([...weights.values()].reduce((sum, w) => sum + (Math.abs(w) < ROUNDING ? 0 : w * w), 0))
}

/** Readings less the mean of their own day, and how many of them are free. */
export function withinDays(
  values: readonly number[],
  days: readonly string[],
): { readonly residuals: number[]; readonly freedom: number } {
  const sums = new Map<string, { sum: number; count: number }>()
  values.forEach((value, i) => {
    const day = sums.get(days[i]!) ?? { sum: 0, count: 0 }
    sums.set(days[i]!, { sum: day.sum + value, count: day.count + 1 })
  })
  const residuals = values.map((value, i) => {
    const { sum, count } = sums.get(days[i]!)!
    return value - sum / count
  })
  return { residuals, freedom: values.length - sums.size }
}
