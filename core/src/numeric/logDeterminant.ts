/**
 * The logarithm of the determinant of a symmetric, positive definite matrix.
 *
 * @returns −Infinity for a matrix that is not positive definite
 * @source Cholesky: det A = Π l_ii² (Golub & Van Loan, Matrix Computations, chapter 4)
 * @example logDeterminant([[2, 0], [0, 4]]) // 2.0794
 */
export function logDeterminant(matrix: readonly (readonly number[])[]): number {
  const rows: number[][] = []
  let sum = 0
  for (let i = 0; i < matrix.length; i += 1) {
    const row: number[] = []
    for (let j = 0; j <= i; j += 1) {
      const above = j === i ? row : rows[j]!
      let left = matrix[i]![j]!
      for (let k = 0; k < j; k += 1) left -= row[k]! * above[k]!
      if (j < i) row.push(left / above[j]!)
      else {
        if (!(left > 0)) return -Infinity
        row.push(Math.sqrt(left))
        sum += Math.log(left)
      }
    }
    rows.push(row)
  }
  return sum
}
