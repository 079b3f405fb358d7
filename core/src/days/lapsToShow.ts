import { leastSquares } from '../numeric/leastSquares'
import { studentPoint } from '../numeric/studentT'

/** Orders in which a change can be driven: as it is, changed, and back. */
export const RUN_PLANS = ['ABA', 'AB', 'ABAB'] as const
export type RunPlan = (typeof RUN_PLANS)[number]

/** As many laps a run as anybody drives. */
const MOST = 60

/**
 * The standard error of a change that a plan gives, for a scatter of one: trend by lap number and its logarithm.
 *
 * @param plan runs, one letter each
 * @param laps in each run
 * @returns infinite where the plan can't tell the change from the trend
 * @source linear model, as `changeEffect`
 * @example planError('ABA', 6).error // 0.595
 */
export function planError(plan: string, laps: number): { readonly error: number; readonly freedom: number } {
  const on = [...plan].flatMap((letter) => Array.from({ length: laps }, () => (letter === 'A' ? 0 : 1)))
  const number = on.map((_, i) => i + 1)
  const fit = leastSquares([on.map(() => 1), number, number.map(Math.log), on], number)
  return { error: fit.errors[3]!, freedom: fit.freedom }
}

/**
 * How many laps a run it takes until a difference shows in four of five cases, and is called real by mistake in one of
 * twenty.
 *
 * @param difference that is to be seen, s a lap
 * @param scatter of this driver from lap to lap, s
 * @returns `null` where more than sixty would be needed
 * @throws {RangeError} for a difference that isn't above zero, or a scatter below
 * @source power of a t test, by the two points of Student's t (Draper and Smith, Applied Regression Analysis, 1.4)
 * @example lapsToShow('ABA', 0.5, 0.35) // 9
 */
export function lapsToShow(plan: RunPlan, difference: number, scatter: number): number | null {
  if (!(difference > 0) || !(scatter >= 0))
    throw new RangeError('a difference is above zero, and a scatter not below it')
  for (let laps = 2; laps <= MOST; laps += 1) {
    const { error, freedom } = planError(plan, laps)
    if (freedom < 3) continue
    const reach = studentPoint(0.975, freedom) + studentPoint(0.8, freedom)
    if (scatter * error * reach <= difference) return laps
  }
  return null
}
