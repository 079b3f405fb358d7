/** A lower triangle L with L·Lᵀ = the matrix, row by row. */
export type Triangular = readonly (readonly number[])[]

/**
 * The lower triangle of a symmetric, positive definite matrix.
 *
 * @param matrix its lower half is read
 * @returns `null` for a matrix that is not positive definite
 * @source Golub & Van Loan, Matrix Computations, 4.2
 * @example cholesky([[4, 2], [2, 2]]) // [[2], [1, 1]]
 */
export function cholesky(matrix: readonly (readonly number[])[]): Triangular | null {
  const rows: number[][] = []
  for (let i = 0; i < matrix.length; i += 1) {
    const row: number[] = []
    for (let j = 0; j <= i; j += 1) {
      const above = j === i ? row : rows[j]!
      let left = matrix[i]![j]!
      for (let k = 0; k < j; k += 1) left -= row[k]! * above[k]!
      if (j < i) row.push(left / above[j]!)
      else {
        if (!(left > 0)) return null
        row.push(Math.sqrt(left))
      }
    }
    rows.push(row)
  }
  return rows
}

/**
 * L⁻¹·x: what hangs together as `L·Lᵀ` is independent afterwards, with a variance of one.
 *
 * @example forwards([[2], [1, 1]], [2, 3]) // [1, 2]
 */
export function forwards(triangle: Triangular, column: readonly number[]): number[] {
  const out = new Array<number>(triangle.length)
  for (let i = 0; i < triangle.length; i += 1) {
    const row = triangle[i]!
    let left = column[i]!
    for (let k = 0; k < i; k += 1) left -= row[k]! * out[k]!
    out[i] = left / row[i]!
  }
  return out
}

/**
 * L⁻ᵀ·x.
 *
 * @example backwards([[2], [1, 1]], [1, 2]) // [-0.5, 2]
 */
export function backwards(triangle: Triangular, column: readonly number[]): number[] {
  const out = [...column]
  for (let i = triangle.length - 1; i >= 0; i -= 1) {
    let left = out[i]!
    for (let k = i + 1; k < triangle.length; k += 1) left -= triangle[k]![i]! * out[k]!
    out[i] = left / triangle[i]![i]!
  }
  return out
}

/**
 * The logarithm of the determinant of L·Lᵀ.
 *
 * @example logDeterminantOf([[2], [1, 1]]) // 1.386
 */
export const logDeterminantOf = (triangle: Triangular): number =>
  triangle.reduce((sum, row, i) => sum + 2 * Math.log(row[i]!), 0)
