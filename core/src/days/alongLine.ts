/** A point of a line, at its distance from the line's start, m. */
export interface LineSpot {
  readonly distance: number
  readonly x: number
  readonly y: number
}

export interface AlongLine {
  /** How far each sample had come since the first crossing of the start that the log began before, m: laps add up. */
  readonly distance: Float64Array
  /** How far each lies beside the line, m; NaN where nobody knows where it was. */
  readonly beside: Float64Array
}

/** Segments that are looked at ahead and behind of where the car was last. */
const AHEAD = 40
const BEHIND = 8
/** Farther from the line than that, it is looked for anew, m. */
const LOST = 60

/**
 * Where on a line a car was, sample by sample: its place on the nearest piece of the line, laps counted through.
 *
 * @param x and y in m, in the line's own frame; NaN where the receiver said nothing
 * @param line at about even distances, in the order in which it is driven
 * @param length of the line, m; it comes round where `closed`
 * @throws {RangeError} for a line of fewer than two points
 * @source foot of the perpendicular on the nearest segment (geometry), followed along the line so that pieces that lie
 *   beside each other aren't mixed up
 * @example alongLine([0, 10], [1, 1], [{ distance: 0, x: 0, y: 0 }, { distance: 20, x: 20, y: 0 }], 20, false).distance[1] // 10
 */
export function alongLine(
  x: ArrayLike<number>,
  y: ArrayLike<number>,
  line: readonly LineSpot[],
  length: number,
  closed: boolean,
): AlongLine {
  if (line.length < 2) throw new RangeError('a line has two points or more')
  const pieces = closed ? line.length : line.length - 1
  const foot = (i: number, px: number, py: number) => {
    const a = line[i]!
    const b = line[(i + 1) % line.length]!
    const [dx, dy] = [b.x - a.x, b.y - a.y]
    const long = dx * dx + dy * dy
    const t = long === 0 ? 0 : Math.min(1, Math.max(0, ((px - a.x) * dx + (py - a.y) * dy) / long))
    const off = Math.hypot(px - a.x - t * dx, py - a.y - t * dy)
    const end = i === line.length - 1 ? length : b.distance
    return { off, at: a.distance + t * (end - a.distance) }
  }
  const nearest = (from: number, count: number, px: number, py: number) => {
    let best = { off: Infinity, at: 0, piece: from }
    for (let k = 0; k < count; k += 1) {
      const piece = closed ? (((from + k) % pieces) + pieces) % pieces : from + k
      if (piece < 0 || piece >= pieces) continue
      const { off, at } = foot(piece, px, py)
      if (off < best.off) best = { off, at, piece }
    }
    return best
  }
  const distance = new Float64Array(x.length)
  const beside = new Float64Array(x.length)
  let piece: number | null = null
  let last: number | null = null
  let laps = 0
  for (let i = 0; i < x.length; i += 1) {
    const [px, py] = [x[i]!, y[i]!]
    if (Number.isNaN(px) || Number.isNaN(py)) {
      distance[i] = NaN
      beside[i] = NaN
      continue
    }
    let found: ReturnType<typeof nearest> =
      piece === null ? nearest(0, pieces, px, py) : nearest(piece - BEHIND, AHEAD + BEHIND, px, py)
    if (piece !== null && found.off > LOST) found = nearest(0, pieces, px, py)
    if (closed && last !== null) {
      // Over the start line, one way or the other.
      if (found.at - last < -length / 2) laps += 1
      else if (found.at - last > length / 2) laps -= 1
    }
    distance[i] = laps * length + found.at
    beside[i] = found.off
    piece = found.piece
    last = found.at
  }
  return { distance, beside }
}
