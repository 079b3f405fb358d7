import { alongLine, type LineSpot } from './alongLine'
import { lapsAlong, type LoggedLap } from './lapsAlong'
import { channelOf, type RunLog } from './RunLog'

/** The line that laps of a log are laid along. */
export interface LapLine {
  readonly points: readonly LineSpot[]
  readonly length: number
  readonly closed: boolean
  /** Ends of sectors, m from the start. */
  readonly sectors: readonly number[]
}

export interface LogLaps {
  /** How far along the line at each sample, laps added up, m. */
  readonly distance: Float64Array
  readonly laps: readonly LoggedLap[]
  /** How far the car was beside the line in the middle of all samples, m: over 30 it is another track, or another place. */
  readonly beside: number
}

/**
 * Laps and sectors of a log with places, along a line.
 *
 * @param shift what is added to the log's x and y, m, where its nought lies elsewhere than the line's
 * @returns null for a log without places
 * @throws {RangeError} as `alongLine` and `lapsAlong` do
 * @source definition
 * @example logLaps(log, line)?.laps.length // 2
 */
export function logLaps(log: RunLog, line: LapLine, shift = { x: 0, y: 0 }): LogLaps | null {
  const [x, y] = [channelOf(log, 'x'), channelOf(log, 'y')]
  if (!x || !y) return null
  const { distance, beside } = alongLine(
    x.map((v) => v + shift.x),
    y.map((v) => v + shift.y),
    line.points,
    line.length,
    line.closed,
  )
  const known = [...beside].filter((b) => !Number.isNaN(b)).sort((a, b) => a - b)
  const laps = line.closed
    ? lapsAlong(log.time, distance, line.length, line.sectors)
    : throughOnce(log.time, distance, line)
  return { distance, laps, beside: known[Math.floor(known.length / 2)] ?? NaN }
}

/** Runs from the start of a line to its end: a hill, a sprint. */
function throughOnce(time: ArrayLike<number>, distance: Float64Array, line: LapLine): LoggedLap[] {
  const runs: LoggedLap[] = []
  // It begins where the car leaves the first metres, and ends where it comes to the last ones.
  const [first, last] = [NEAR_START, line.length - NEAR_START]
  let from = -1
  for (let i = 1; i < distance.length; i += 1) {
    if (distance[i - 1]! <= first && distance[i]! > first) from = i - 1
    if (from < 0 || !(distance[i]! >= last)) continue
    const part = { time: Array.from(time).slice(from, i + 2), at: distance.slice(from, i + 2) }
    runs.push(
      ...lapsAlong(
        part.time,
        part.at,
        last - first,
        line.sectors.map((s) => s - first),
        first,
      ).slice(0, 1),
    )
    from = -1
  }
  return runs
}
/** m */
const NEAR_START = 2
