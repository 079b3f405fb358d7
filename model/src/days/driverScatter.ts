import {
  cornerScatter,
  lapTrace,
  orWhy,
  type CornerScatter,
  type LogLaps,
  type RunLog,
} from '@bold-ballast/core'
import type { DayLine } from './dayLine'

/** How alike a driver's laps are, corner by corner. */
export interface DriverScatter {
  readonly driver: string
  readonly laps: number
  /** In the order of the line's corners. */
  readonly corners: readonly CornerScatter[]
}

const STEP = 5
/** A lap that is slower than the driver's quickest by more doesn't say how alike the others are, as a share. */
const OUTLIER = 0.07
/** Fewer laps say nothing; more say nothing new. */
const LEAST = 3
const MOST = 120

/**
 * How alike each driver's laps are at each corner of a line: whole laps of all logs, but for slow ones.
 *
 * @returns drivers in the order of their logs; those with too few laps are left out
 * @example driverScatter(line, []).length // 0
 */
export function driverScatter(
  line: DayLine,
  logged: readonly { readonly driver: string; readonly log: RunLog; readonly found: LogLaps }[],
): DriverScatter[] {
  const corners = line.corners.map((c) => [c.from, c.to] as const)
  if (corners.length === 0) return []
  return [...new Set(logged.map((one) => one.driver))].flatMap((driver): DriverScatter[] => {
    const laps = logged
      .filter((one) => one.driver === driver)
      .flatMap(({ log, found }) =>
        found.laps.flatMap((lap, place) =>
          lap.torn ? [] : [{ log, found, place, time: lap.to - lap.from }],
        ),
      )
    const best = Math.min(...laps.map((lap) => lap.time))
    const traces = laps
      .filter((lap) => lap.time <= best * (1 + OUTLIER))
      .slice(0, MOST)
      .flatMap(({ log, found, place }) =>
        orWhy(
          () => [lapTrace(log, found, place, line.lap.length, STEP)],
          () => [],
        ),
      )
    return traces.length < LEAST
      ? []
      : [{ driver, laps: traces.length, corners: cornerScatter(traces, corners, line.lap.length) }]
  })
}
