import { distancesAlong } from './closedUp'
import type { DrawnPoint } from './lineFromPoints'

/** No course that comes round is shorter, m. */
const SHORTEST = 150
/** It has come round where it is that near to where it was, m. */
const NEAR = 25

/**
 * The first whole lap of a log that goes round more than once, or past its start: from its first point to where it is
 * nearest to it again.
 *
 * @returns the points of the lap, the last of which is the first again; all of them where it never comes round
 * @source definition
 * @example firstLap(threeRounds).length < threeRounds.length // true
 */
export function firstLap<T extends DrawnPoint>(points: readonly T[]): readonly T[] {
  const [first] = points
  if (!first) return points
  const along = distancesAlong(points)
  const off = (i: number) => Math.hypot(points[i]!.x - first.x, points[i]!.y - first.y)
  for (let i = 1; i < points.length; i += 1) {
    if (along[i]! < SHORTEST || off(i) > NEAR) continue
    // It goes on coming nearer until it has passed its start.
    let nearest = i
    while (nearest + 1 < points.length && off(nearest + 1) <= off(nearest)) nearest += 1
    return points.slice(0, nearest + 1)
  }
  return points
}
