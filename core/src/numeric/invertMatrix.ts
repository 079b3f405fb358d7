/**
 * The inverse of a small square matrix.
 *
 * @param least a pivot no larger than this counts as nothing
 * @returns `null` for a matrix that has none
 * @source Gauss and Jordan, with the largest pivot of each column
 * @example invertMatrix([[2, 0], [0, 4]]) // [[0.5, 0], [0, 0.25]]
 */
export function invertMatrix(matrix: readonly (readonly number[])[], least = 0): number[][] | null {
  const size = matrix.length
  const rows = matrix.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))])
  for (let column = 0; column < size; column += 1) {
    let best = column
    for (let r = column + 1; r < size; r += 1)
      if (Math.abs(rows[r]![column]!) > Math.abs(rows[best]![column]!)) best = r
    ;[rows[column], rows[best]] = [rows[best]!, rows[column]!]
    const pivot = rows[column]![column]!
    if (!(Math.abs(pivot) > least)) return null
    rows[column] = rows[column]!.map((x) => x / pivot)
    for (let r = 0; r < size; r += 1) {
      const by = rows[r]![column]!
      if (r !== column && by !== 0) rows[r] = rows[r]!.map((x, k) => x - by * rows[column]![k]!)
    }
  }
  return rows.map((row) => row.slice(size))
}

/** A matrix times a column. */
export const timesColumn = (matrix: readonly (readonly number[])[], column: readonly number[]): number[] =>
  matrix.map((row) => row.reduce((sum, x, i) => sum + x * column[i]!, 0))
