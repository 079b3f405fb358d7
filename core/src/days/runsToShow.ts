import { studentPoint } from '../numeric/studentT'
import { plannedDoubt, type LapDoubt, type LapFit } from './lapErrors'

/** What is known of a driver's laps here before they are driven. */
export type LapScatter = Pick<LapFit, 'scatter' | 'correlation' | 'offset'>

/** Runs of one day, as it is and changed in turn, and the laps that count in each. */
export interface RunPlan {
  readonly runs: number
  readonly laps: number
  /** Of the change, s a lap. */
  readonly error: number
}

const MOST_RUNS = 12
/** As many laps a run as tyres and a tank are for. */
const MOST_LAPS = 15
const LEAST_LAPS = 3
/** Laps of a run that don't count: out and in. */
const OUT_AND_IN = 2
const LEAST_FREEDOM = 3

/**
 * How well runs, as it is and changed in turn, would know a change: trend by lap number and its logarithm.
 *
 * @param laps of each run that count
 * @returns an infinite error where the plan can't tell the change from the trend
 * @source linear model, as `changeEffect`
 * @example planDoubt(3, 6, { scatter: 0.35, correlation: 0.3, offset: { seconds: 0.225, weight: 10 } }).error // 0.4
 */
export function planDoubt(runs: number, laps: number, scatter: LapScatter): LapDoubt {
  const places = Array.from({ length: runs * laps }, (_, i) => {
    const run = Math.floor(i / laps)
    return { run: String(run), number: i + 1 + run * OUT_AND_IN }
  })
  const number = places.map((place) => place.number)
  const changed = places.map(({ run }) => Number(run) % 2)
  const columns = [places.map(() => 1), number, number.map(Math.log), changed]
  if (places.length - columns.length < LEAST_FREEDOM) return { error: Infinity, freedom: 0 }
  return plannedDoubt(columns, places, scatter, [0, 0, 0, 1])
}

/** The difference that shows in four of five cases, and is called real by mistake in one of twenty. */
const showsAt = ({ error, freedom }: LapDoubt) =>
  error * (studentPoint(0.975, freedom) + studentPoint(0.8, freedom))

/**
 * The runs, as it is and changed in turn, that show a difference in four of five cases and call it real by mistake in one
 * of twenty, with the least driving. What runs differ by for no reason shrinks by more runs, not by more laps.
 *
 * @param difference that is to be seen, s a lap
 * @returns `null` where more than a dozen runs of fifteen laps would be needed
 * @throws {RangeError} for a difference that isn't above zero
 * @source power of a t test, by the two points of Student's t (Draper and Smith, Applied Regression Analysis, 1.4)
 * @example runsToShow(0.8, { scatter: 0.35, correlation: 0.3, offset: { seconds: 0.225, weight: 10 } }) // { runs: 7, laps: 3, error: 0.267 }
 */
export function runsToShow(difference: number, scatter: LapScatter): RunPlan | null {
  if (!(difference > 0)) throw new RangeError('a difference is above zero')
  const plans: (RunPlan & { readonly driven: number })[] = []
  for (let runs = 3; runs <= MOST_RUNS; runs += 1)
    for (let laps = LEAST_LAPS; laps <= MOST_LAPS; laps += 1) {
      const doubt = planDoubt(runs, laps, scatter)
      if (!(showsAt(doubt) <= difference)) continue
      plans.push({ runs, laps, error: doubt.error, driven: runs * (laps + OUT_AND_IN) })
      break
    }
  if (plans.length === 0) return null
  const { driven: _, ...best } = plans.reduce((a, b) => (b.driven < a.driven ? b : a))
  return best
}

/**
 * The difference that a plan shows in four of five cases, s a lap.
 *
 * @returns `null` for a plan that can't tell it from the trend
 * @example shownBy(3, 6, { scatter: 0.35, correlation: 0.3, offset: { seconds: 0.225, weight: 10 } }) // 1.12
 */
export function shownBy(runs: number, laps: number, scatter: LapScatter): number | null {
  const doubt = planDoubt(runs, laps, scatter)
  return Number.isFinite(doubt.error) ? showsAt(doubt) : null
}
