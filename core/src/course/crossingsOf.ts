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
  const boxes = boxesOf(points, last, end)
  for (let i = 0; i < last; i += 1) {
    const [a, b] = [points[i]!, end(i)]
    const own = boxOf(a, b)
    for (let k = Math.floor((i + 2) / TOGETHER); k < boxes.length; k += 1) {
      if (areApart(own, boxes[k]!)) continue
      const to = Math.min(last, (k + 1) * TOGETHER)
      for (let j = Math.max(i + 2, k * TOGETHER); j < to; j += 1) {
        const [c, d] = [points[j]!, end(j)]
        if (areApart(own, boxOf(c, d))) continue
        // Neighbours meet where they are joined; that is no crossing.
        if (closed && i === 0 && j === n - 1) continue
        const one = side(a, b, c) * side(a, b, d)
        const other = side(c, d, a) * side(c, d, b)
        if (one < 0 && other < 0) found.push([a.distance, c.distance])
        if (found.length >= MOST) return found
      }
    }
  }
  return found
}

/** Segments that follow each other are looked at together first: most of a course lies elsewhere. */
const TOGETHER = 32

interface Box {
  readonly left: number
  readonly right: number
  readonly low: number
  readonly high: number
}
const boxOf = (a: Spot, b: Spot): Box => ({
  left: Math.min(a.x, b.x),
  right: Math.max(a.x, b.x),
  low: Math.min(a.y, b.y),
  high: Math.max(a.y, b.y),
})
const areApart = (a: Box, b: Box): boolean =>
  b.right < a.left || b.left > a.right || b.high < a.low || b.low > a.high

/** What each run of segments lies within. */
function boxesOf(points: readonly Spot[], last: number, end: (i: number) => Spot): Box[] {
  const boxes: Box[] = []
  for (let i = 0; i < last; i += 1) {
    const box = boxOf(points[i]!, end(i))
    const k = Math.floor(i / TOGETHER)
    const before = boxes[k]
    boxes[k] = before
      ? {
          left: Math.min(before.left, box.left),
          right: Math.max(before.right, box.right),
          low: Math.min(before.low, box.low),
          high: Math.max(before.high, box.high),
        }
      : box
  }
  return boxes
}

/** On which side of a line a point lies: left above zero. */
const side = (
  from: { readonly x: number; readonly y: number },
  to: { readonly x: number; readonly y: number },
  at: { readonly x: number; readonly y: number },
) => (to.x - from.x) * (at.y - from.y) - (to.y - from.y) * (at.x - from.x)
