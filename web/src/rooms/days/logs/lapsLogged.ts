import type { Outing, Run } from '@bold-ballast/contract'
import type { LogLaps, RunLog } from '@bold-ballast/core'
import type { LogLook } from '@bold-ballast/model'
import { sayTime } from '../sayTime'

/** A run with its log, and the laps that are in that. */
export interface LoggedRun {
  readonly run: Run
  /** Said where it is of another day than the one that is looked at. */
  readonly day: Outing | null
  readonly log: RunLog
  readonly found: LogLaps
  /** What else was found in it. */
  readonly look: LogLook
}

/** One lap of all logs that are looked at. */
export interface LoggedLapOf extends LoggedRun {
  readonly key: string
  readonly says: string
  /** s */
  readonly time: number
  /** Its place among the laps of its log. */
  readonly place: number
}

/** Whole laps of some logs, in order. */
export const lapsLogged = (logged: readonly LoggedRun[]): LoggedLapOf[] =>
  logged.flatMap((one) =>
    one.found.laps.flatMap((lap, place) => {
      const time = lap.to - lap.from
      const said = [one.day?.date, `Run ${one.run.order}, lap ${place + 1}`, one.run.driver].filter(Boolean)
      return lap.torn
        ? []
        : [
            {
              ...one,
              key: `${one.run.id} ${place}`,
              says: `${said.join(', ')}: ${sayTime(time)}`,
              time,
              place,
            },
          ]
    }),
  )

/** The two that are laid over each other where nobody chose: the quickest of all, and the quickest of another driver or lap. */
export function pairOf(laps: readonly LoggedLapOf[]): readonly [LoggedLapOf, LoggedLapOf] | null {
  const quickest = [...laps].sort((a, b) => a.time - b.time)
  const [best, next] = quickest
  if (!best) return null
  return [quickest.find((lap) => lap.run.driver !== best.run.driver) ?? next ?? best, best]
}
