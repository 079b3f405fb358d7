import type { Course } from '@bold-ballast/contract'
import {
  channelOf,
  cornersOf,
  firstLap,
  itemAt,
  lineFromPoints,
  metresFrom,
  orWhy,
  type LapLine,
  type LinePoint,
  type RunLog,
} from '@bold-ballast/core'
import { courseDrawn, type NamedCorner } from '@bold-ballast/model'

/** The line that laps of a day are laid along, with its corners. */
export interface DayLine {
  readonly lap: LapLine
  readonly points: readonly LinePoint[]
  readonly corners: readonly NamedCorner[]
  /** Where its x and y are nought on the earth. */
  readonly origin: RunLog['origin']
  /** The course's own; else the first whole lap of a log. */
  readonly isCourse: boolean
}

/** Points of a log nearer to each other say nothing more, m. */
const APART = 3

/**
 * The line that logs of a day are laid along: the course's, where somebody knows where that lies on the earth; else the first
 * whole lap of a log.
 *
 * @returns in words why there is none
 */
export function lapLineOf(course: Course | null, log: RunLog): DayLine | string {
  const origin = course?.line?.origin ?? null
  if (course && origin)
    return orWhy(
      () => {
        const drawn = courseDrawn(course)
        return {
          lap: { ...drawn, sectors: drawn.sectors.slice(0, -1).map(([, to]) => to) },
          points: drawn.points,
          corners: drawn.corners,
          origin,
          isCourse: true,
        }
      },
      (why) => why,
    )
  const [x, y] = [channelOf(log, 'x'), channelOf(log, 'y')]
  if (!x || !y) return 'the log has no places'
  const spots: { x: number; y: number; z: null }[] = []
  x.forEach((east, i) => {
    const north = y[i] ?? NaN
    const last = spots.at(-1)
    if (Number.isNaN(east) || Number.isNaN(north)) return
    if (!last || Math.hypot(east - last.x, north - last.y) >= APART)
      spots.push({ x: east, y: north, z: null })
  })
  return orWhy(
    () => {
      const lap = firstLap(spots)
      // A log that never comes by its start again goes from one end to the other.
      const closed = lap.length < spots.length
      const { points, length } = lineFromPoints(lap, { round: closed ? 'logged' : 'open', step: 2 })
      return {
        lap: { points, length, closed, sectors: [] },
        points,
        corners: cornersOf(points, length, closed).map((c, i) => ({ ...c, name: `Corner ${i + 1}` })),
        origin: log.origin,
        isCourse: false,
      }
    },
    (why) => why,
  )
}

/** What is added to a log's x and y so that they stand in a line's frame. */
export function shiftOnto(line: DayLine, log: RunLog): { readonly x: number; readonly y: number } {
  if (!line.origin || !log.origin) return { x: 0, y: 0 }
  return itemAt(metresFrom([log.origin], line.origin), 0)
}
