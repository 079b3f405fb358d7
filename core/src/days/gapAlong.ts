/** A lap at even distances. */
export interface LapTrace {
  /** Between two of its places, m. */
  readonly step: number
  /** s since the lap began, at each place. */
  readonly time: readonly number[]
}

/**
 * Time lost or won along a lap against another: both at the same place, not at the same moment.
 *
 * @param lap and other: traces with the same step
 * @returns s that the lap is behind at each place; below zero where it is ahead. As long as the shorter of both
 * @throws {RangeError} for traces of another step
 * @source definition
 * @example gapAlong({ step: 5, time: [0, 1, 2] }, { step: 5, time: [0, 1, 1.5] })[2] // 0.5
 */
export function gapAlong(lap: LapTrace, other: LapTrace): number[] {
  if (lap.step !== other.step) throw new RangeError('both laps are laid out with the same step')
  return lap.time.slice(0, other.time.length).map((t, i) => t - other.time[i]!)
}

/**
 * What was logged over a stretch of a log, at even distances.
 *
 * @param time s; distance m, rising but for what a receiver wanders; values of one channel, or the clock itself
 * @param from and to: distances, m
 * @param step m
 * @returns one value for each place from `from` on; NaN where the log has none on either side
 * @source straight interpolation (definition)
 * @example atDistances([0, 10, 20], [5, 6, 8], 0, 20, 5) // [5, 5.5, 6, 7, 8]
 */
export function atDistances(
  distance: ArrayLike<number>,
  values: ArrayLike<number>,
  from: number,
  to: number,
  step: number,
): number[] {
  const places = Math.floor((to - from) / step + 1e-9) + 1
  const found: number[] = []
  let i = 0
  for (let k = 0; k < places; k += 1) {
    const at = from + k * step
    while (i + 1 < distance.length && !(distance[i + 1]! >= at)) i += 1
    const j = Math.min(i + 1, distance.length - 1)
    const [a, b] = [distance[i]!, distance[j]!]
    const share = b > a ? Math.min(1, Math.max(0, (at - a) / (b - a))) : 0
    found.push(values[i]! + share * (values[j]! - values[i]!))
  }
  return found
}
