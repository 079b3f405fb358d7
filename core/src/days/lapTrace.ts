import { atDistances, type LapTrace } from './gapAlong'
import type { LogLaps } from './logLaps'
import { channelOf, LOG_ROLES, type LogRole, type RunLog } from './RunLog'

/** One lap at even distances, with what was logged of it. */
export interface LoggedTrace extends LapTrace {
  readonly channels: ReadonlyMap<LogRole, readonly number[]>
}

/**
 * A lap of a log at even distances, so that it can be laid over another.
 *
 * @param step m
 * @param lap its place among the laps found
 * Where a receiver lost its place nothing is drawn from what it didn't say: the clock runs on between the places on either
 * side.
 *
 * @throws {RangeError} for a lap that there isn't, or of which nobody knows where it was
 * @source straight interpolation (definition)
 * @example lapTrace(log, laps, 0, 100, 5).time[0] // 0
 */
export function lapTrace(
  log: RunLog,
  { laps, distance }: LogLaps,
  lap: number,
  length: number,
  step: number,
): LoggedTrace {
  const found = laps[lap]
  if (!found) throw new RangeError('the log has no such lap')
  const first = log.time.findIndex((t) => t > found.from)
  const last = log.time.findLastIndex((t) => t < found.to)
  const range = { from: Math.max(0, first - 1), to: Math.min(log.time.length, last + 2) }
  const placed: number[] = []
  for (let i = range.from; i < range.to; i += 1) if (Number.isFinite(distance[i])) placed.push(i)
  if (placed.length < 2) throw new RangeError('nobody knows where that lap was')
  // A wandering receiver goes back now and then: places only ever rise here, as a lap does.
  const rising = new Float64Array(placed.length)
  placed.forEach((i, k) => (rising[k] = Math.max(distance[i]!, k > 0 ? rising[k - 1]! : -Infinity)))
  smooth(rising, placed)
  const ofPlaced = (values: ArrayLike<number>) => placed.map((i) => values[i]!)
  const start = Math.round(interpolated(ofPlaced(log.time), rising, found.from) / length) * length
  const own = (values: ArrayLike<number>) =>
    atDistances(rising, ofPlaced(values), start, start + length, step)
  return {
    step,
    time: own(log.time).map((t) => t - found.from),
    channels: new Map(
      LOG_ROLES.flatMap((role) => {
        const values = channelOf(log, role)
        return values ? [[role, own(values)] as const] : []
      }),
    ),
  }
}

/** Places over so many samples on either side are taken for a way under even acceleration. */
const AROUND = 4
/** Of nine points at the middle of a parabola through them; they add up to 231. */
const WEIGHTS = [-21, 14, 39, 54, 59, 54, 39, 14, -21] as const

/**
 * Smooths places in time: a receiver wanders by decimetres, which at equal distance would look like time lost and won.
 * Beside a hole they are left as they are: there the samples aren't evenly apart.
 *
 * @source Savitzky and Golay, Anal. Chem. 36 (1964) 1627: a parabola through nine points
 */
function smooth(places: Float64Array, samples: readonly number[]): void {
  const before = places.slice()
  for (let i = AROUND; i < places.length - AROUND; i += 1) {
    if (samples[i + AROUND]! - samples[i - AROUND]! > 2 * AROUND) continue
    places[i] = WEIGHTS.reduce((all, weight, k) => all + weight * before[i + k - AROUND]!, 0) / 231
  }
}

function interpolated(time: ArrayLike<number>, distance: ArrayLike<number>, at: number): number {
  for (let i = 1; i < time.length; i += 1)
    if (time[i]! >= at) {
      const share = (at - time[i - 1]!) / Math.max(1e-9, time[i]! - time[i - 1]!)
      return distance[i - 1]! + share * (distance[i]! - distance[i - 1]!)
    }
  return distance[distance.length - 1]!
}
