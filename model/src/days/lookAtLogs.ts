import type { Course, Limit } from '@bold-ballast/contract'
import {
  brakesLogged,
  coastStretches,
  gripShown,
  heldStretches,
  logFaults,
  orWhy,
  rideOf,
  steadyStretches,
  type BrakesLogged,
  type GripShown,
  type LogFault,
  type LogLaps,
  type LogStretch,
  type RidePoint,
  type RunLog,
} from '@bold-ballast/core'
import { dayLine, lapsOnLine, type DayLine } from './dayLine'
import { driverScatter, type DriverScatter } from './driverScatter'
import { logHealth, type LogBeyond } from './logHealth'

/** What a log says, of itself and for other rooms. */
export interface LogLook {
  readonly faults: readonly LogFault[]
  readonly beyond: readonly LogBeyond[]
  /** Its laps along the line of its day; null where there are none. */
  readonly found: LogLaps | null
  readonly grip: readonly GripShown[]
  readonly brakes: BrakesLogged | null
  readonly coasts: readonly LogStretch[]
  readonly held: readonly LogStretch[]
  /** Where the suspension stood at held speeds; null where that wasn’t logged. */
  readonly rides: readonly RidePoint[] | null
}
export interface LogsLook {
  /** In words why there is none; null without logs. */
  readonly line: DayLine | string | null
  /** One for each log, in their order. */
  readonly each: readonly LogLook[]
  readonly alike: readonly DriverScatter[]
}

/** Channels that may well stand still. */
const STEADY = new Set(['gear', 'lap'])
/** Grip is shown by ranges of speed so wide, m/s. */
const BAND = 25 / 3.6

/** Speeds held for two seconds within 0.8 m/s, as Aero’s own reading takes them. */
const HELD = { least: 2, band: 0.8 }
function ridesAt(log: RunLog): RidePoint[] | null {
  const rows = rideOf(log)
  return rows && steadyStretches(rows, HELD)
}

/** What is wrong with a log by itself, whatever it is laid along. */
export const faultsOf = (log: RunLog): LogFault[] =>
  logFaults(
    log.time,
    log.channels,
    new Set(log.channels.flatMap((c) => (c.role && STEADY.has(c.role) ? [c.name] : []))),
  )

/**
 * Looks through logs of a day, and of others that are laid beside it: all that takes longer than a moment for long ones.
 *
 * @param ofDay so many of them, the first, are of the day itself: the line comes from these
 * @param options drivers: of each log, in their order
 * @example lookAtLogs(null, [log], 1, { limits: [], startAt: 0, drivers: [] }).each.length // 1
 */
export function lookAtLogs(
  course: Course | null,
  logs: readonly RunLog[],
  ofDay: number,
  {
    limits,
    startAt,
    drivers,
  }: { readonly limits: readonly Limit[]; readonly startAt: number; readonly drivers: readonly string[] },
): LogsLook {
  const line = ofDay === 0 ? null : dayLine(course, logs.slice(0, ofDay), startAt)
  const each = logs.map((log): LogLook => ({
    faults: faultsOf(log),
    beyond: logHealth(log, limits),
    found:
      line === null || typeof line === 'string'
        ? null
        : orWhy(
            () => lapsOnLine(log, line),
            () => null,
          ),
    grip: gripShown(log, BAND).filter((one) => one.sideways !== null),
    brakes: brakesLogged(log),
    coasts: coastStretches(log),
    held: heldStretches(log),
    rides: ridesAt(log),
  }))
  const driven = logs.flatMap((log, i) => {
    const found = each[i]?.found
    return found ? [{ log, found, driver: drivers[i] ?? '' }] : []
  })
  return {
    line,
    each,
    alike: line === null || typeof line === 'string' ? [] : driverScatter(line, driven),
  }
}
