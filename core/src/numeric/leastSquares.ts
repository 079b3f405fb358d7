/** What least squares make of columns. */
export interface LeastSquares {
  /** One for each column; 0 for one that those before it already say. */
  readonly coefficients: readonly number[]
  /** Columns that those before them already say: nothing of their own can be known of them. */
  readonly dependent: readonly number[]
  /** Standard error of each coefficient for residuals of one; infinite for a dependent column. */
  readonly errors: readonly number[]
  /** How coefficients vary together, for residuals of one; rows and columns of nothing for dependent columns. */
  readonly covariance: readonly (readonly number[])[]
  /** The logarithm of the determinant of the columns' products with each other, those that are kept. */
  readonly logDeterminant: number
  /** How many times larger the error is than if no other column but the first were there; infinite for a dependent one. */
  readonly inflation: readonly number[]
  readonly residuals: readonly number[]
  /** Observations less what was fitted. */
  readonly freedom: number
  /** Standard deviation of the residuals; 0 where there is no freedom. */
  readonly scatter: number
}

/** A column of which no more than that is left by those before it says nothing of its own. */
export const NOTHING_LEFT = 1e-7

// Loops, for laps of a season are gone through hundreds of times.
function dot(a: ArrayLike<number>, b: ArrayLike<number>): number {
  let sum = 0
  for (let i = 0; i < a.length; i += 1) sum += a[i]! * b[i]!
  return sum
}
/** Takes so much of a direction off what is left. */
function takeOff(left: Float64Array, share: number, along: ArrayLike<number>): void {
  for (let i = 0; i < left.length; i += 1) left[i]! -= share * along[i]!
}

/**
 * Ordinary least squares: the coefficients that make the columns add up to what was observed as nearly as can be.
 *
 * @param columns each as long as what was observed; the first is usually all ones
 * @throws {RangeError} for columns of another length
 * @source modified Gram and Schmidt, done twice (Björck, Numerical Methods for Least Squares Problems, 2.4)
 * @example leastSquares([[1, 1, 1], [0, 1, 2]], [1, 3, 5]).coefficients // [1, 2]
 */
export function leastSquares(
  columns: readonly (readonly number[])[],
  observed: readonly number[],
): LeastSquares {
  if (columns.some((c) => c.length !== observed.length))
    throw new RangeError('every column is as long as what was observed')
  const size = columns.length
  // To one at the most each, so that the squares of a very small column don't vanish.
  const scales = columns.map((column) => column.reduce((most, x) => Math.max(most, Math.abs(x)), 0) || 1)
  const scaled = columns.map((column, at) => column.map((x) => x / scales[at]!))
  /** Each kept column's own direction, and what of each column lies along each of them. */
  const own: { readonly at: number; readonly along: Float64Array }[] = []
  const along = columns.map(() => new Map<number, number>())
  scaled.forEach((column, at) => {
    const norm = Math.sqrt(dot(column, column))
    const rest = Float64Array.from(column)
    for (let pass = 0; pass < 2; pass += 1)
      for (const { at: other, along: q } of own) {
        const share = dot(q, rest)
        along[at]!.set(other, (along[at]!.get(other) ?? 0) + share)
        takeOff(rest, share, q)
      }
    const left = Math.sqrt(dot(rest, rest))
    if (!(left > NOTHING_LEFT * norm)) return
    along[at]!.set(at, left)
    own.push({ at, along: rest.map((x) => x / left) })
  })
  const kept = own.map(({ at }) => at)
  const unexplained = Float64Array.from(observed)
  const heights = own.map(({ along: q }) => {
    const share = dot(q, unexplained)
    takeOff(unexplained, share, q)
    return share
  })
  // Back through the triangle, for the coefficients and for the errors alike.
  const solve = (right: readonly number[]) => {
    const found = kept.map(() => 0)
    for (let i = kept.length - 1; i >= 0; i -= 1) {
      let rest = right[i]!
      for (let j = i + 1; j < kept.length; j += 1) rest -= along[kept[j]!]!.get(kept[i]!)! * found[j]!
      found[i] = rest / along[kept[i]!]!.get(kept[i]!)!
    }
    return found
  }
  const solved = solve(heights)
  // In the scaled columns' own size, where nothing overflows.
  const together = columns.map(() => columns.map(() => 0))
  kept.forEach((_, k) => {
    const way = solve(kept.map((__, i) => (i === k ? 1 : 0)))
    way.forEach((x, i) => way.forEach((y, j) => (together[kept[i]!]![kept[j]!]! += x * y)))
  })
  const coefficients = columns.map(() => 0)
  const errors = columns.map(() => Infinity)
  kept.forEach((at, i) => {
    coefficients[at] = solved[i]! / scales[at]!
    errors[at] = Math.sqrt(together[at]![at]!)
  })
  const freedom = observed.length - kept.length
  return {
    coefficients,
    dependent: Array.from({ length: size }, (_, i) => i).filter((i) => !kept.includes(i)),
    errors: errors.map((error, at) => error / scales[at]!),
    covariance: together.map((row, i) => row.map((x, j) => x / scales[i]! / scales[j]!)),
    logDeterminant: kept.reduce((sum, at) => sum + 2 * Math.log(along[at]!.get(at)! * scales[at]!), 0),
    inflation: scaled.map((column, at) => errors[at]! * aboutMean(column, at)),
    residuals: Array.from(unexplained),
    freedom,
    scatter: freedom > 0 ? Math.sqrt(dot(unexplained, unexplained) / freedom) : 0,
  }
}

/** How far a column spreads about its mean; the first one, of ones, about nothing. */
function aboutMean(column: readonly number[], at: number): number {
  const mean = at === 0 ? 0 : column.reduce((a, b) => a + b, 0) / column.length
  return Math.sqrt(column.reduce((sum, x) => sum + (x - mean) ** 2, 0))
}
