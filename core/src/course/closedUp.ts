import type { DrawnPoint } from './lineFromPoints'

/** A line whose end is its start again. */
export interface ClosedUp {
  /** Without the last, which is the first again. */
  readonly points: readonly { readonly x: number; readonly y: number; readonly z: number | null }[]
  /** How far its end lay from its start, m. */
  readonly closingError: number
}

/**
 * A logged round that ends where it starts: what is missing is shared out over it by distance, and its last point left out.
 *
 * @source Bowditch’s rule for closing errors (surveying)
 * @example closedUp([{ x: 0, y: 0 }, { x: 10, y: 0 }, { x: 10, y: 10 }, { x: 0, y: 1 }]).closingError // 1
 */
export function closedUp(given: readonly DrawnPoint[]): ClosedUp {
  const [first, last] = [given[0], given.at(-1)]
  if (!first || !last) return { points: [], closingError: 0 }
  const along = distancesAlong(given)
  const all = along.at(-1) || 1
  const [dx, dy] = [last.x - first.x, last.y - first.y]
  const dz = last.z == null || first.z == null ? 0 : last.z - first.z
  const points = given.map((p, i) => {
    const part = along[i]! / all
    return { x: p.x - dx * part, y: p.y - dy * part, z: p.z == null ? null : p.z - dz * part }
  })
  return { points: points.slice(0, -1), closingError: Math.hypot(dx, dy) }
}

/** How far along a line each of its points lies, m. */
export function distancesAlong(points: readonly { readonly x: number; readonly y: number }[]): number[] {
  const along = [0]
  for (let i = 1; i < points.length; i += 1)
    along.push(along[i - 1]! + Math.hypot(points[i]!.x - points[i - 1]!.x, points[i]!.y - points[i - 1]!.y))
  return along
}
