/**
 * A value on a line through points, straight from each to the next; beyond the ends as at the ends.
 *
 * @param xs rising
 * @param ys one for each
 * @throws {RangeError} for no point
 * @example valueOnLine([373, 573], [0.38, 0.46], 473) // 0.42
 */
export function valueOnLine(xs: readonly number[], ys: readonly number[], x: number): number {
  const last = xs.length - 1
  if (last < 0) throw new RangeError('a line has one point at least')
  const after = xs.findIndex((at) => x <= at)
  if (after <= 0) return ys[after === 0 ? 0 : last]!
  const [from, to] = [xs[after - 1]!, xs[after]!]
  return ys[after - 1]! + ((x - from) / (to - from)) * (ys[after]! - ys[after - 1]!)
}
