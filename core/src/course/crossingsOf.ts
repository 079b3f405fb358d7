interface Spot {
  readonly x: number
  readonly y: number
  readonly distance: number
}

/** Beyond so many it is no course, and they are no longer counted. */
const MOST = 20

/**
 * Where a line crosses itself.
 *
 * @param points along it, with the distance of each, m
 * @param closed whether its last point is joined to its first
 * @returns distances along it at which both of its stretches meet, m; at most 20 pairs
 * @source two segments cross where the ends of each lie on different sides of the other (plane geometry)
 * @example crossingsOf(figureOfEight, true).length // 1
 */
export function crossingsOf(points: readonly Spot[], closed: boolean): [number, number][] {
  const n = points.length
  const last = closed ? n : n - 1
  const found: [number, number][] = []
  const end = (i: number) => points[(i + 1) % n]!
  for (let i = 0; i < last; i += 1) {
    const [a, b] = [points[i]!, end(i)]
    const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)]
    const [low, high] = [Math.min(a.y, b.y), Math.max(a.y, b.y)]
    for (let j = i + 2; j < last; j += 1) {
      const [c, d] = [points[j]!, end(j)]
      if ((c.x < left && d.x < left) || (c.x > right && d.x > right)) continue
      if ((c.y < low && d.y < low) || (c.y > high && d.y > high)) continue
      // Neighbours meet where they are joined; that is no crossing.
      if (closed && i === 0 && j === n - 1) continue
      const one = side(a, b, c) * side(a, b, d)
      const other = side(c, d, a) * side(c, d, b)
      if (one < 0 && other < 0) found.push([a.distance, c.distance])
      if (found.length >= MOST) return found
    }
  }
  return found
}

/** On which side of a line a point lies: left above zero. */
const side = (
  from: { readonly x: number; readonly y: number },
  to: { readonly x: number; readonly y: number },
  at: { readonly x: number; readonly y: number },
) => (to.x - from.x) * (at.y - from.y) - (to.y - from.y) * (at.x - from.x)
