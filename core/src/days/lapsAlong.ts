/** A lap, or a run from end to end, as a log has it. */
export interface LoggedLap {
  /** s of the log's clock. */
  readonly from: number
  readonly to: number
  /** s of each sector, in order; together they are the lap. */
  readonly sectors: readonly number[]
  /** Whether the clock or the place was lost on it for longer than `GAP`: its time is the line's, what lies between is not. */
  readonly torn: boolean
}

/** Without a place for longer than that a lap has a hole, s. */
const GAP = 1

/**
 * Laps of a log, from how far along the line it was at each moment.
 *
 * The moment at which a mark is passed lies between two samples, as far as the way between them says.
 *
 * @param time s, rising
 * @param distance since the start, laps added up, m, as `alongLine` gives it; NaN where nobody knows
 * @param length of a lap, m
 * @param sectors where they end, m from the start, rising; the last ends with the lap and needn't be named
 * @param start where a lap begins, m along the line
 * @returns whole laps alone: what comes before the first crossing and after the last is none
 * @throws {RangeError} for a length that isn't above zero, or times and distances of another count
 * @source definition; between two samples by straight interpolation, off by a·Δt²/8 of way at most
 * @example lapsAlong([0, 10, 20], [0, 100, 200], 100, []).length // 2
 */
export function lapsAlong(
  time: ArrayLike<number>,
  distance: ArrayLike<number>,
  length: number,
  sectors: readonly number[],
  start = 0,
): LoggedLap[] {
  if (!(length > 0)) throw new RangeError('a lap has a length')
  if (time.length !== distance.length) throw new RangeError('each moment has a place')
  const known: number[] = []
  for (let i = 0; i < time.length; i += 1) if (!Number.isNaN(distance[i]!)) known.push(i)
  if (known.length < 2) return []
  const first = Math.ceil((distance[known[0]!]! - start) / length - 1e-9)
  const ends = [...sectors.filter((at) => at > 0 && at < length), length]
  let cursor = 1
  /** When a distance was reached for the first time from the cursor on; `null` where it never was. */
  const reached = (at: number): number | null => {
    while (cursor < known.length && distance[known[cursor]!]! < at) cursor += 1
    if (cursor >= known.length) return null
    const [i, j] = [known[cursor - 1]!, known[cursor]!]
    const [a, b] = [distance[i]!, distance[j]!]
    return a >= at ? time[i]! : time[i]! + ((time[j]! - time[i]!) * (at - a)) / (b - a)
  }
  const isTorn = (from: number, to: number) => {
    for (let k = 1; k < known.length; k += 1) {
      const [a, b] = [time[known[k - 1]!]!, time[known[k]!]!]
      if (b > from && a < to && b - a > GAP) return true
    }
    return false
  }
  const laps: LoggedLap[] = []
  let from = reached(start + first * length)
  for (let lap = first; from !== null; lap += 1) {
    const marks = ends.map((end) => reached(start + lap * length + end))
    const passed = marks.filter((mark): mark is number => mark !== null)
    if (passed.length < marks.length) break
    const begun: number = from
    laps.push({
      from: begun,
      to: passed.at(-1)!,
      sectors: passed.map((mark, i) => mark - (i === 0 ? begun : passed[i - 1]!)),
      torn: isTorn(begun, passed.at(-1)!),
    })
    from = passed.at(-1)!
  }
  return laps
}
