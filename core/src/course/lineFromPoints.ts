import { closedUp, distancesAlong } from './closedUp'
import { crossingsOf } from './crossingsOf'

/** A point of a line that is driven, m; z up, where it is known. */
export interface DrawnPoint {
  readonly x: number
  readonly y: number
  readonly z?: number | null
}

/** A point of a line at even distances. */
export interface LinePoint {
  /** Along the line, m. */
  readonly distance: number
  readonly x: number
  readonly y: number
  /** rad, from the x axis to the left */
  readonly heading: number
  /** 1/m; left is positive. */
  readonly curvature: number
  /** Rise over length; 0 where no height is known. */
  readonly gradient: number
}

export interface DrivenLine {
  readonly points: readonly LinePoint[]
  /** Between two points, m. */
  readonly step: number
  readonly length: number
  /** How far its end lay from its start before that was shared out, m; 0 for a line that doesn't come round. */
  readonly closingError: number
  /** Where it crosses itself: distances along it, m. */
  readonly crossings: readonly (readonly [number, number])[]
}

interface LineOptions {
  /** Whether it comes round: not at all, its last point joined to its first, or its last point being the first again. */
  readonly round: 'open' | 'drawn' | 'logged'
  /** Between the points of the line, m. */
  readonly step?: number
  /** Over what length its bends are averaged, m: a receiver that wanders draws none that aren't there. */
  readonly smooth?: number
}

/** Nothing is logged so seldom that the car went farther between two points, m. */
const FARTHEST = 500
/** Points nearer than that are one, m: a car that stands. */
const NEAREST = 0.05

/**
 * A line at even distances, with its bends, from points along it: of a log, or clicked on a plan.
 *
 * What is missing where it should come round is shared out over the line by distance, as surveyors do. The points are
 * joined by a smooth curve; the change of heading from point to point, over the distance, is how much it bends, averaged
 * over a window, so that all the turning there was is still there.
 *
 * @param points in the order in which they are driven
 * @returns at least as many points as the line has steps
 * @throws {RangeError} for fewer than three points that differ, one that is no number, or a jump of more than 500 m
 * @source Bowditch's rule for closing errors (surveying); centripetal Catmull–Rom curve: Yuksel, Schaefer and Keyser,
 *   Parameterization and applications of Catmull–Rom curves, Computer-Aided Design 43 (2011); curvature is the change of
 *   heading over distance (definition)
 * @example lineFromPoints(circlePoints, { round: 'drawn' }).points[0].curvature // 0.02
 */
export function lineFromPoints(
  given: readonly DrawnPoint[],
  { round, step: wanted = 2, smooth = 12 }: LineOptions,
): DrivenLine {
  if (given.some((p) => !Number.isFinite(p.x) || !Number.isFinite(p.y)))
    throw new RangeError('a point of a line has two lengths')
  const apart = given.filter(
    (p, i) => i === 0 || Math.hypot(p.x - given[i - 1]!.x, p.y - given[i - 1]!.y) > NEAREST,
  )
  const jump = apart.findIndex(
    (p, i) => i > 0 && Math.hypot(p.x - apart[i - 1]!.x, p.y - apart[i - 1]!.y) > FARTHEST,
  )
  if (jump > 0) throw new RangeError(`from point ${jump} to the next the line jumps more than ${FARTHEST} m`)
  const closed = round !== 'open'
  const { points: corners, closingError } =
    round === 'logged' ? closedUp(apart) : { points: apart, closingError: 0 }
  if (corners.length < 3) throw new RangeError('a line has at least three points that differ')

  const fine = curveThrough(corners, closed)
  const along = distancesAlong(fine)
  const length = along.at(-1)!
  const count = Math.max(8, Math.round(length / wanted))
  const step = length / count
  const even = evenly(fine, along, count + (closed ? 0 : 1), step)
  const total = even.length
  const at = (i: number) => even[closed ? (i + total) % total : Math.max(0, Math.min(total - 1, i))]!
  const heading = (i: number) => Math.atan2(at(i + 1).y - at(i).y, at(i + 1).x - at(i).x)
  const raw = even.map((_, i) =>
    !closed && (i === 0 || i >= total - 1) ? 0 : turned(heading(i) - heading(i - 1)) / step,
  )
  const bends = averaged(raw, Math.round(smooth / step / 4), closed)
  const heights = averaged(
    even.map((p) => p.z),
    Math.round(smooth / step / 2),
    closed,
  )
  const points = even.map((p, i): LinePoint => {
    const [before, after] = closed
      ? [(i - 1 + total) % total, (i + 1) % total]
      : [Math.max(0, i - 1), Math.min(total - 1, i + 1)]
    const over = closed ? 2 * step : (after - before) * step
    return {
      distance: i * step,
      x: p.x,
      y: p.y,
      heading: heading(Math.min(i, closed ? i : total - 2)),
      curvature: bends[i]!,
      gradient: (heights[after]! - heights[before]!) / over,
    }
  })
  return { points, step, length, closingError, crossings: crossingsOf(points, closed) }
}

const turned = (angle: number) => Math.atan2(Math.sin(angle), Math.cos(angle))

interface Spot {
  readonly x: number
  readonly y: number
  readonly z: number
}
/** Points of the smooth curve are no farther apart, m. */
const FINE = 0.5

/** A centripetal Catmull–Rom curve through points, finely cut; it makes no loops, however unevenly they lie. */
function curveThrough(points: readonly DrawnPoint[], closed: boolean): Spot[] {
  const spots = points.map((p): Spot => ({ x: p.x, y: p.y, z: p.z ?? 0 }))
  const n = spots.length
  const spot = (i: number): Spot => {
    if (closed) return spots[(i + n) % n]!
    if (i >= 0 && i < n) return spots[i]!
    // Before the first and after the last it goes on as it went.
    const [end, inner] = i < 0 ? [spots[0]!, spots[1]!] : [spots[n - 1]!, spots[n - 2]!]
    return { x: 2 * end.x - inner.x, y: 2 * end.y - inner.y, z: 2 * end.z - inner.z }
  }
  const knot = (a: Spot, b: Spot) => Math.sqrt(Math.max(NEAREST, Math.hypot(b.x - a.x, b.y - a.y)))
  const out: Spot[] = [spot(0)]
  for (let i = 0; i < (closed ? n : n - 1); i += 1) {
    const [p0, p1, p2, p3] = [spot(i - 1), spot(i), spot(i + 1), spot(i + 2)]
    const [d0, d1, d2] = [knot(p0, p1), knot(p1, p2), knot(p2, p3)]
    const cuts = Math.max(2, Math.ceil(Math.hypot(p2.x - p1.x, p2.y - p1.y) / FINE))
    const slopes = (key: 'x' | 'y' | 'z') => {
      const [a, b, c, d] = [p0[key], p1[key], p2[key], p3[key]]
      const from = d1 * ((b - a) / d0 - (c - a) / (d0 + d1) + (c - b) / d1)
      const to = d1 * ((c - b) / d1 - (d - b) / (d1 + d2) + (d - c) / d2)
      return [b, c, from, to] as const
    }
    const each = [slopes('x'), slopes('y'), slopes('z')] as const
    for (let cut = 1; cut <= cuts; cut += 1) {
      const t = cut / cuts
      const [h00, h10, h01, h11] = [
        (1 + 2 * t) * (1 - t) ** 2,
        t * (1 - t) ** 2,
        t * t * (3 - 2 * t),
        t * t * (t - 1),
      ]
      const [x, y, z] = each.map(([b, c, from, to]) => h00 * b + h10 * from + h01 * c + h11 * to) as [
        number,
        number,
        number,
      ]
      out.push({ x, y, z })
    }
  }
  return out
}

/** So many spots of a finely cut curve, a step apart. */
function evenly(fine: readonly Spot[], along: readonly number[], count: number, step: number): Spot[] {
  let at = 0
  return Array.from({ length: count }, (_, i) => {
    const wanted = i * step
    while (at < fine.length - 2 && along[at + 1]! < wanted) at += 1
    const [a, b] = [fine[at]!, fine[at + 1]!]
    const part = Math.min(1, Math.max(0, (wanted - along[at]!) / Math.max(1e-9, along[at + 1]! - along[at]!)))
    return { x: a.x + (b.x - a.x) * part, y: a.y + (b.y - a.y) * part, z: a.z + (b.z - a.z) * part }
  })
}

/** Each value as the mean of those around it, twice over: the nearer, the more it counts; the sum stays. */
function averaged(values: readonly number[], reach: number, closed: boolean): number[] {
  if (reach < 1) return [...values]
  const n = values.length
  const once = (from: readonly number[]) =>
    from.map((_, i) => {
      let [sum, count] = [0, 0]
      for (let j = i - reach; j <= i + reach; j += 1) {
        if (!closed && (j < 0 || j >= n)) continue
        sum += from[(j + n) % n]!
        count += 1
      }
      return sum / count
    })
  return once(once(values))
}
