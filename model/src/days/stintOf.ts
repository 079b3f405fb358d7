import type { Run } from '@bold-ballast/contract'
import { leastSquares } from '@bold-ballast/core'
import { lapsThatCount } from './timedOutings'

/** How a stint goes. SI. */
export interface Stint {
  readonly laps: number
  /** s of it that were driven. */
  readonly drove: number
  /** Median of laps that count; null for none. */
  readonly pace: number | null
  /** What a lap gets slower by, with each lap, s; null for fewer than five. */
  readonly fade: number | null
  /** m³ left, and for how many more laps; null where nobody knows what was in it, or what a lap takes. */
  readonly fuel: { readonly left: number; readonly laps: number } | null
}

const ENOUGH = 5

/**
 * A stint of an endurance race: its pace, how that fades, and how far the fuel goes.
 *
 * @param fuelPerLap m³; null where nobody knows
 * @source the slope of lap times over their number (least squares)
 * @example stintOf(document.runs[0], null).laps // 2
 */
export function stintOf(run: Pick<Run, 'laps' | 'planned' | 'fuel'>, fuelPerLap: number | null): Stint {
  const times = lapsThatCount(run).map((lap) => lap.time)
  const sorted = [...times].sort((a, b) => a - b)
  const fit = times.length < ENOUGH ? null : leastSquares([times.map(() => 1), times.map((_, i) => i)], times)
  const left = run.fuel === null || !fuelPerLap ? null : Math.max(0, run.fuel - run.laps.length * fuelPerLap)
  return {
    laps: run.laps.length,
    drove: run.laps.reduce((sum, lap) => sum + (lap.time ?? 0), 0),
    pace: sorted[Math.floor(sorted.length / 2)] ?? null,
    fade: fit?.coefficients[1] ?? null,
    fuel: left === null || !fuelPerLap ? null : { left, laps: Math.floor(left / fuelPerLap) },
  }
}
