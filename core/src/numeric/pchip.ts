/**
 * A curve through points that keeps their shape: it rises where they rise, is flat where they are flat, and
 * never overshoots a peak. A dyno curve laid on an even grid by it gains no power that nobody measured.
 *
 * @param xs strictly rising, at least two
 * @param ys as many
 * @returns the curve as a function; beyond the ends it stays at the end's value
 * @throws {RangeError} for fewer than two points, unequal lengths, or xs that don't rise
 * @source Fritsch & Butland, SIAM J. Sci. Stat. Comput. 5 (1984) 300, with three-point ends as in Moler,
 * Numerical Computing with MATLAB, chapter 3, Interpolation
 * @example pchip([0, 1, 2], [0, 1, 4])(0.5) // 0.3125
 */
export function pchip(xs: ArrayLike<number>, ys: ArrayLike<number>): (x: number) => number {
  const n = xs.length
  if (n < 2 || ys.length !== n)
    throw new RangeError('a curve needs two or more points, with an x and a y each')
  const h = new Float64Array(n - 1)
  const slope = new Float64Array(n - 1)
  for (let i = 0; i < n - 1; i += 1) {
    h[i] = xs[i + 1]! - xs[i]!
    if (!(h[i]! > 0)) throw new RangeError('the points of a curve must be in rising order')
    slope[i] = (ys[i + 1]! - ys[i]!) / h[i]!
  }
  const d = new Float64Array(n)
  for (let i = 1; i < n - 1; i += 1) {
    const [before, after] = [slope[i - 1]!, slope[i]!]
    if (before * after <= 0) continue
    const w1 = 2 * h[i]! + h[i - 1]!
    const w2 = h[i]! + 2 * h[i - 1]!
    d[i] = (w1 + w2) / (w1 / before + w2 / after)
  }
  d[0] = n === 2 ? slope[0]! : endSlope(h[0]!, h[1]!, slope[0]!, slope[1]!)
  d[n - 1] = n === 2 ? slope[0]! : endSlope(h[n - 2]!, h[n - 3]!, slope[n - 2]!, slope[n - 3]!)
  let last = 0
  return (x) => {
    if (x <= xs[0]!) return ys[0]!
    if (x >= xs[n - 1]!) return ys[n - 1]!
    // Neighbouring questions are the rule, so the search starts where the last one ended.
    if (x < xs[last]! || x >= xs[last + 1]!) last = intervalOf(xs, x)
    const width = h[last]!
    const t = (x - xs[last]!) / width
    const s = 1 - t
    return (
      ys[last]! * (1 + 2 * t) * s * s +
      d[last]! * width * t * s * s +
      ys[last + 1]! * t * t * (3 - 2 * t) -
      d[last + 1]! * width * t * t * s
    )
  }
}

function endSlope(near: number, far: number, slopeNear: number, slopeFar: number): number {
  const d = ((2 * near + far) * slopeNear - near * slopeFar) / (near + far)
  if (d * slopeNear <= 0) return 0
  return slopeNear * slopeFar <= 0 && Math.abs(d) > 3 * Math.abs(slopeNear) ? 3 * slopeNear : d
}

/**
 * The interval of rising values that a value lies in, by halving.
 *
 * @returns the index of its lower end; the first or last interval for a value beyond the ends
 * @example intervalOf([0, 10, 20], 12) // 1
 */
export function intervalOf(xs: ArrayLike<number>, x: number): number {
  let low = 0
  let high = xs.length - 1
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (xs[middle]! <= x) low = middle
    else high = middle
  }
  return low
}
