import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { backwards, cholesky, forwards, logDeterminantOf } from './cholesky'

const number = fc.double({ min: -3, max: 3, noNaN: true })

describe('cholesky', () => {
  it('has the determinant of 2 × 2 and 3 × 3 by hand', () => {
    expect(logDeterminantOf(cholesky([[2, 0], [0, 4]])!)).toBeCloseTo(Math.log(8), 12) // prettier-ignore
    expect(logDeterminantOf(cholesky([[4, 2, 0], [2, 5, 1], [0, 1, 3]])!)).toBeCloseTo(Math.log(4 * 14 - 2 * 6), 12) // prettier-ignore
  })
  it('is none of a matrix that is not positive definite', () =>
    expect(cholesky([[1, 2], [2, 1]])).toBeNull()) // prettier-ignore
  it('goes back and forth: L·Lᵀ is the matrix, and through both triangles lies its inverse', () => {
    fc.assert(
      fc.property(fc.array(number, { minLength: 16, maxLength: 16 }), (flat) => {
        const half = [0, 1, 2, 3].map((i) => flat.slice(4 * i, 4 * i + 4))
        const matrix = half.map((row, i) =>
          half.map((other, j) => row.reduce((sum, x, k) => sum + x * other[k]!, i === j ? 1 : 0)),
        )
        const column = flat.slice(0, 4)
        const triangle = cholesky(matrix)!
        const solved = backwards(triangle, forwards(triangle, column))
        matrix.forEach((row, i) =>
          expect(row.reduce((sum, x, j) => sum + x * solved[j]!, 0)).toBeCloseTo(column[i]!, 6),
        )
      }),
      { seed: 11 },
    )
  })
})
