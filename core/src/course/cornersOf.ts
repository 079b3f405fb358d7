/** As much of a point of a line as tells a corner. */
interface Bend {
  /** m */
  readonly distance: number
  /** 1/m; left above zero */
  readonly curvature: number
}

/** A stretch that bends to one side. */
export interface CourseCorner {
  /** Along the line, m; it may begin before the start of a line that comes round. */
  readonly from: number
  readonly to: number
  /** Where it is tightest. */
  readonly at: number
  /** There, m; left above zero */
  readonly radius: number
  /** In all, rad; left above zero */
  readonly turn: number
}

/** Wider than that no car slows for it, m. */
const WIDEST = 400
/** A line that turns by less than that has no corner there, rad. */
const LEAST_TURN = 0.15
/** Two bends to one side that are nearer than that are one corner, m. */
const NEAREST = 12

/**
 * The corners of a line: stretches that bend to one side, tighter than a wide bend and by more than a few degrees.
 *
 * @param length of the whole line, m
 * @source definition
 * @example cornersOf(bends, 200, true).length // 2
 */
export function cornersOf(points: readonly Bend[], length: number, closed: boolean): CourseCorner[] {
  const found: { from: number; to: number; at: number; most: number; turn: number }[] = []
  points.forEach(({ distance, curvature }, i) => {
    const ends = points[i + 1]?.distance ?? length
    if (Math.abs(curvature) * WIDEST < 1 || ends <= distance) return
    const last = found.at(-1)
    const turn = curvature * (ends - distance)
    if (last && Math.sign(last.most) === Math.sign(curvature) && distance - last.to < NEAREST) {
      last.to = ends
      last.turn += turn
      if (Math.abs(curvature) > Math.abs(last.most)) [last.most, last.at] = [curvature, distance]
    } else found.push({ from: distance, to: ends, at: distance, most: curvature, turn })
  })
  const [first, last] = [found[0], found.at(-1)]
  // One that goes through the start of a line that comes round is one.
  if (closed && first && last && first !== last && Math.sign(first.most) === Math.sign(last.most)) {
    if (first.from + length - last.to < NEAREST) {
      found.pop()
      first.from = last.from - length
      first.turn += last.turn
      if (Math.abs(last.most) > Math.abs(first.most)) [first.most, first.at] = [last.most, last.at]
    }
  }
  return found
    .filter(({ turn }) => Math.abs(turn) >= LEAST_TURN)
    .map(({ from, to, at, most, turn }) => ({ from, to, at, radius: 1 / most, turn }))
}
