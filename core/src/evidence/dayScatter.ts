import { chiSquareShare } from '../numeric/chiSquare'

/** Between days on one dyno, as a share of power, where the workshop's own repeats don't say (common practice). */
export const USUAL_BETWEEN_DAYS = 0.01

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

/** Days that lie further apart than this share of honest ones would are taken as they lie: a false alarm costs little. */
const HONEST = 0.9

/** What one day of a side says: its mean, and the variance that this mean is expected to have. */
export interface DayMean {
  readonly value: number
  readonly variance: number
}

export interface DayScatter {
  /** How many times as much as was assumed days are off by; 1 where what was seen doesn't say more. */
  readonly times: number
  /** How many differences between days that was seen in; Infinity where it is only assumed. */
  readonly freedom: number
}

/**
 * How far days lie apart, against what was assumed: days of one configuration that visibly scatter more count as they
 * scatter.
 *
 * @param sides days of each configuration by themselves: what lies between configurations is the question
 * @source R. T. Birge, Physical Review 40 (1932) 207: the spread that was seen, where chi-square says that the stated one
 *   can't be it
 * @example dayScatter([[{ value: 200, variance: 1 }, { value: 206, variance: 1 }]]).times // 4.2426
 */
export function dayScatter(sides: readonly (readonly DayMean[])[]): DayScatter {
  let [squares, freedom] = [0, 0]
  for (const days of sides) {
    if (days.length < 2 || days.some((day) => !(day.variance > 0))) continue
    const weights = days.map((day) => 1 / day.variance)
    const all = weights.reduce((sum, w) => sum + w, 0)
    const middle = days.reduce((sum, day, i) => sum + (weights[i]! / all) * day.value, 0)
    squares += days.reduce((sum, day, i) => sum + weights[i]! * (day.value - middle) ** 2, 0)
    freedom += days.length - 1
  }
  const isMore = freedom > 0 && chiSquareShare(squares, freedom) > HONEST
  return isMore ? { times: Math.sqrt(squares / freedom), freedom } : { times: 1, freedom: Infinity }
}
