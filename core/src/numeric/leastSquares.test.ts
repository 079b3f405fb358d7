import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { leastSquares } from './leastSquares'

const ones = (n: number) => Array.from({ length: n }, () => 1)

describe('leastSquares', () => {
  it('fits the line of a worked example', () => {
    // Draper and Smith, Applied Regression Analysis, from memory: least squares of a line through four points by hand.
    // x 1 to 4, y 6, 5, 7, 10: y = 3.5 + 1.4 x, residual sum 4.2, so an error of the slope of √(2.1/5).
    const fit = leastSquares([ones(4), [1, 2, 3, 4]], [6, 5, 7, 10])
    expect(fit.coefficients[0]).toBeCloseTo(3.5, 12)
    expect(fit.coefficients[1]).toBeCloseTo(1.4, 12)
    expect(fit.scatter ** 2).toBeCloseTo(2.1, 12)
    expect(fit.errors[1]! * fit.scatter).toBeCloseTo(Math.sqrt(2.1 / 5), 12)
    expect(fit.freedom).toBe(2)
  })
  it('leaves a column out that the others say already, and nothing else', () => {
    const fit = leastSquares([ones(5), [1, 2, 3, 4, 5], [3, 5, 7, 9, 11], [0, 1, 0, 1, 0]], [1, 5, 3, 7, 5])
    expect(fit.dependent).toEqual([2])
    expect(fit.errors[2]).toBe(Infinity)
    expect(fit.coefficients[1]).toBeCloseTo(1, 9)
    expect(fit.coefficients[3]).toBeCloseTo(3, 9)
  })
  it('residuals stand square on every column, whatever they are', () => {
    const value = fc.double({ min: -100, max: 100, noNaN: true })
    fc.assert(
      fc.property(fc.array(fc.tuple(value, value, value), { minLength: 4, maxLength: 30 }), (rows) => {
        const columns = [ones(rows.length), rows.map((r) => r[0]), rows.map((r) => r[1])]
        const { residuals } = leastSquares(
          columns,
          rows.map((r) => r[2]),
        )
        for (const column of columns)
          expect(Math.abs(column.reduce((sum, x, i) => sum + x * residuals[i]!, 0))).toBeLessThan(1e-6)
      }),
    )
  })
  it('says how much the others widen an error: not at all where they stand square', () => {
    const apart = leastSquares([ones(4), [-1, -1, 1, 1], [-1, 1, -1, 1]], [1, 2, 3, 5])
    expect(apart.inflation[2]).toBeCloseTo(1, 12)
    const along = leastSquares([ones(4), [1, 2, 3, 4], [0, 0, 1, 1]], [1, 2, 3, 5])
    expect(along.inflation[2]).toBeGreaterThan(2)
  })
  it('wants columns as long as what was observed', () => {
    expect(() => leastSquares([[1, 1]], [1, 2, 3])).toThrow(RangeError)
  })
})
