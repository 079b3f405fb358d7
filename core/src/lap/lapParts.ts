import { valueOnLine } from '../numeric/valueOnLine'
import type { Lap, LapPoint } from './lapTime'
import type { LapLimit } from './wheelForces'

/** What a car does between two places of a lap. */
export interface LapPart {
  /** m */
  readonly from: number
  readonly to: number
  /** s */
  readonly time: number
  /** m/s */
  readonly entry: number
  readonly slowest: number
  /** Where it is slowest, m. */
  readonly slowestAt: number
  readonly exit: number
  readonly fastest: number
  /** Most of it sideways, forward and backward, m/s². */
  readonly sideways: number
  readonly forward: number
  readonly braking: number
  /** The axle that gives up at the slowest place, or what else holds it there. */
  readonly limit: LapLimit
  /** In which it is slowest, counted from 0. */
  readonly gear: number
  /** Lowest and highest engine speed, rad/s; `null` without an engine. */
  readonly engineSpeed: readonly [number, number] | null
}

/**
 * A lap cut at places along it: sectors, or corners.
 *
 * @param cuts from and to of each part, m; a part may begin before the start of a lap that comes round
 * @throws {RangeError} for a part that ends before it begins
 * @source definition
 * @example lapParts(lap, [[0, 94.25]])[0].time // 4.89
 */
export function lapParts(lap: Lap, cuts: readonly (readonly [number, number])[]): LapPart[] {
  const length = lap.points.at(-1)!.distance
  const distances = lap.points.map((p) => p.distance)
  const times = lap.points.map((p) => p.time)
  const timeAt = (at: number): number => {
    const rounds = at === length ? 0 : Math.floor(at / length)
    return rounds * lap.time + valueOnLine(distances, times, at - rounds * length)
  }
  return cuts.map(([from, to]) => {
    if (!(to > from)) throw new RangeError('a part of a lap ends after it begins')
    const inside = (p: LapPoint) =>
      (p.distance >= from && p.distance <= to) || (p.distance - length >= from && p.distance - length <= to)
    const within = lap.points.filter(inside)
    // A part between two points is what the point before it is.
    const points =
      within.length > 0 ? within : [lap.points.findLast((p) => p.distance <= from) ?? lap.points[0]!]
    const slow = points.reduce((a, b) => (b.speed < a.speed ? b : a))
    // In the order in which they are driven, where it goes through the start.
    const before = points.filter((p) => p.distance > to)
    const ordered = [...before, ...points.filter((p) => p.distance <= to)]
    const turning = points.flatMap((p) => p.engineSpeed ?? [])
    return {
      from,
      to,
      time: timeAt(to) - timeAt(from),
      entry: ordered[0]!.speed,
      slowest: slow.speed,
      slowestAt: slow.distance,
      exit: ordered.at(-1)!.speed,
      fastest: Math.max(...points.map((p) => p.speed)),
      sideways: points.reduce((a, p) => (Math.abs(p.sideways) > Math.abs(a) ? p.sideways : a), 0),
      forward: Math.max(...points.map((p) => p.forward)),
      braking: -Math.min(0, ...points.map((p) => p.forward)),
      limit: slow.limit,
      gear: slow.gear,
      engineSpeed: turning.length > 0 ? [Math.min(...turning), Math.max(...turning)] : null,
    }
  })
}
