import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { normalPair } from './normalPair'
import { randomBits } from './randomBits'
import { invertMatrix, timesColumn } from './invertMatrix'

const entry = fc.double({ min: -5, max: 5, noNaN: true })
describe('invertMatrix', () => {
  it('is worked by hand, with a row that has to be swapped', () => {
    expect(invertMatrix([[0, 2], [4, 0]])).toEqual([[0, 0.25], [0.5, 0]]) // prettier-ignore
  })
  it('solves a system: what it gives, put back, is what was asked', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(entry, { minLength: 4, maxLength: 4 }), { minLength: 4, maxLength: 4 }),
        (rows) => {
          // A strong diagonal keeps it well away from having no inverse.
          const matrix = rows.map((row, i) => row.map((x, j) => (i === j ? x + 40 : x)))
          const asked = [1, -2, 3, 0.5]
          const solved = timesColumn(invertMatrix(matrix)!, asked)
          timesColumn(matrix, solved).forEach((x, i) => expect(x).toBeCloseTo(asked[i]!, 9))
        },
      ),
    )
  })
  it('is none where rows hang together, or nearly do by the least that is asked', () => {
    expect(invertMatrix([[1, 2], [2, 4]])).toBeNull() // prettier-ignore
    expect(invertMatrix([[1, 0], [0, 1e-15]], 1e-14)).toBeNull() // prettier-ignore
  })
})

describe('normalPair', () => {
  it('has mean 0, variance 1 and no tie between the two, over 40,000 pairs', () => {
    const bits = randomBits(3)
    let [a, aa, ab] = [0, 0, 0]
    const COUNT = 40_000
    for (let i = 0; i < COUNT; i += 1) {
      const [x, y] = normalPair(bits)
      a += x + y
      aa += x * x + y * y
      ab += x * y
    }
    expect(Math.abs(a / (2 * COUNT))).toBeLessThan(0.015)
    expect(aa / (2 * COUNT)).toBeCloseTo(1, 1)
    expect(Math.abs(ab / COUNT)).toBeLessThan(0.02)
  })
})
