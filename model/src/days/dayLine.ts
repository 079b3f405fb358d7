import type { Course } from '@bold-ballast/contract'
import {
  channelOf,
  cornersOf,
  firstLap,
  itemAt,
  lapsByCounter,
  lineFromPoints,
  logLaps,
  metresFrom,
  orWhy,
  type LapLine,
  type LinePoint,
  type LogLaps,
  type RunLog,
} from '@bold-ballast/core'
import { courseDrawn, type NamedCorner } from '../course/courseDrawn'

/** The line that laps of a day are laid along, with its corners. */
export interface DayLine {
  readonly lap: LapLine
  /** None where nobody knows where the car went: laps are counted by the logger then. */
  readonly points: readonly LinePoint[]
  readonly corners: readonly NamedCorner[]
  /** Where its x and y are nought on the earth. */
  readonly origin: RunLog['origin']
  /** The course's own; else the first whole lap of a log. */
  readonly isCourse: boolean
  /** Places of a log can be laid along it. */
  readonly isPlaced: boolean
}

/** Points of a log nearer to each other say nothing more, m. */
const APART = 3

const hasPlaces = (log: RunLog) => channelOf(log, 'x') !== undefined && channelOf(log, 'y') !== undefined

/**
 * The line that logs of a day are laid along: the course's, where somebody knows where that lies on the earth; else the first
 * whole lap of a log. Where no log knows a place, the laps that its logger counts.
 *
 * @param logs of the day, in the order of their runs
 * @param startAt of a line that comes from a log: how far from where its logger began the lap begins, m
 * @returns in words why there is none
 * @example dayLine(null, [log]) // 'none of the logs has places, or a lap number with a speed'
 */
export function dayLine(course: Course | null, logs: readonly RunLog[], startAt = 0): DayLine | string {
  const placed = logs.find(hasPlaces)
  const origin = course?.line?.origin ?? null
  if (course && (origin || !placed))
    return orWhy(
      () => lineOfCourse(course, placed !== undefined),
      (why) => why,
    )
  if (placed)
    return orWhy(
      () => lineOfLog(placed, startAt),
      (why) => why,
    )
  for (const log of logs) {
    const counted = lapsByCounter(log, null)
    if (counted)
      return {
        lap: { points: [], length: counted.length, closed: true, sectors: [] },
        points: [],
        corners: [],
        origin: null,
        isCourse: false,
        isPlaced: false,
      }
  }
  return 'none of the logs has places, or a lap number with a speed'
}

function lineOfCourse(course: Course, isPlaced: boolean): DayLine {
  const drawn = courseDrawn(course)
  return {
    lap: { ...drawn, sectors: drawn.sectors.slice(0, -1).map(([, to]) => to) },
    points: drawn.points,
    corners: drawn.corners,
    origin: course.line?.origin ?? null,
    isCourse: true,
    isPlaced,
  }
}

function lineOfLog(log: RunLog, startAt: number): DayLine {
  const [x, y] = [channelOf(log, 'x') ?? [], channelOf(log, 'y') ?? []]
  const spots: { x: number; y: number; z: null }[] = []
  x.forEach((east, i) => {
    const north = y[i] ?? NaN
    const last = spots.at(-1)
    if (Number.isNaN(east) || Number.isNaN(north)) return
    if (!last || Math.hypot(east - last.x, north - last.y) >= APART)
      spots.push({ x: east, y: north, z: null })
  })
  const lap = firstLap(spots)
  // A log that never comes by its start again goes from one end to the other.
  const closed = lap.length < spots.length
  const { points, length } = lineFromPoints(closed ? begunAt(lap, startAt) : lap, {
    round: closed ? 'logged' : 'open',
    step: 2,
  })
  return {
    lap: { points, length, closed, sectors: [] },
    points,
    corners: cornersOf(points, length, closed).map((c, i) => ({ ...c, name: `Corner ${i + 1}` })),
    origin: log.origin,
    isCourse: false,
    isPlaced: true,
  }
}

/** The places of a lap from so many metres after its first on, and round. */
function begunAt<T extends { readonly x: number; readonly y: number }>(
  lap: readonly T[],
  startAt: number,
): T[] {
  let way = 0
  const first = lap.findIndex((spot, i) => {
    const before = lap[i - 1]
    if (before) way += Math.hypot(spot.x - before.x, spot.y - before.y)
    return way >= startAt
  })
  return first > 0 ? [...lap.slice(first), ...lap.slice(0, first)] : [...lap]
}

/**
 * Laps of a log along the line of its day: by its places, or as its logger counts them where it has none.
 *
 * @returns null where it has none of both
 * @throws {RangeError} as `logLaps`
 * @example lapsOnLine(log, line) // null
 */
export function lapsOnLine(log: RunLog, line: DayLine): LogLaps | null {
  if (!line.isPlaced || !hasPlaces(log)) return lapsByCounter(log, line.lap.length)
  // What is added to the log's x and y so that they stand in the line's frame.
  const shift = line.origin && log.origin ? itemAt(metresFrom([log.origin], line.origin), 0) : { x: 0, y: 0 }
  return logLaps(log, line.lap, shift)
}

/** A course's points lie at most so far apart where a log draws it, m; coarser on a line that would have too many. */
const DRAWN = 5
const MOST_POINTS = 3500

/** The line of a log as a course keeps it. */
export function lineToKeep({ points, lap, origin }: DayLine): NonNullable<Course['line']> {
  const step = Math.max(DRAWN, lap.length / MOST_POINTS)
  let last = -Infinity
  const kept = points.filter((p) => {
    if (p.distance - last < step) return false
    last = p.distance
    return true
  })
  const centimetre = (metres: number) => Math.round(metres * 100) / 100
  return {
    from: 'logged',
    points: kept.map(({ x, y }) => ({ x: centimetre(x), y: centimetre(y), z: null })),
    origin,
    closingError: null,
  }
}
