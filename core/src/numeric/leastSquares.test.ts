import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { leastSquares, NOTHING_LEFT } from './leastSquares'

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
    const length = (xs: readonly number[]) => Math.hypot(...xs)
    fc.assert(
      fc.property(
        fc.array(fc.tuple(value, value, value), { minLength: 4, maxLength: 30 }),
        fc.constantFrom(1, 1e-9, 1e-162, 1e9),
        (rows, scale) => {
          const columns = [ones(rows.length), rows.map((r) => r[0]), rows.map((r) => r[1] * scale)]
          const fit = leastSquares(
            columns,
            rows.map((r) => r[2]),
          )
          columns.forEach((column, at) => {
            // In its own size, or nothing of a column as small as 1e-322 is left to be multiplied.
            const size = Math.max(...column.map(Math.abs)) || 1
            const own = column.map((x) => x / size)
            const along = own.reduce((sum, x, i) => sum + x * fit.residuals[i]!, 0)
            // One that was left out is square to within what was left of it.
            const within = fit.dependent.includes(at) ? 2 * NOTHING_LEFT : 1e-9
            expect(Math.abs(along)).toBeLessThanOrEqual(within * length(own) * (1 + length(fit.residuals)))
          })
        },
      ),
      {
        seed: 1987,
        numRuns: 300,
        examples: [
          [
            [
              [1.964659730878286e-162, 0, 0],
              [0, 0, 0],
              [0, 0, 0],
              [0, 0, 0],
              [0, 9.94e-7, -99.99],
            ],
            1,
          ],
          [
            [
              [100, 0, 0],
              [100, 0, 0],
              [100, 0, 0],
              [100 - 1e-6, 1, 100],
            ],
            1,
          ],
        ],
      },
    )
  })
  it('a column in other units has its coefficient in those, and the rest is the same', () => {
    const observed = [3, 5, 4, 9, 12]
    const plain = leastSquares([ones(5), [1, 2, 3, 4, 5]], observed)
    const small = leastSquares([ones(5), [1e-200, 2e-200, 3e-200, 4e-200, 5e-200]], observed)
    expect(small.coefficients[1]! * 1e-200).toBeCloseTo(plain.coefficients[1]!, 12)
    expect(small.errors[1]! * 1e-200).toBeCloseTo(plain.errors[1]!, 12)
    expect(small.scatter).toBeCloseTo(plain.scatter, 12)
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
