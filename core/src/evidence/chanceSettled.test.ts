import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { normalPair } from '../numeric/normalPair'
import { randomBits } from '../numeric/randomBits'
import { chanceSettled } from './chanceSettled'
import { COMPARATORS, judge, type Target } from './judge'

const atMost: Target = { comparator: 'atMost', value: 1220, tolerance: 0 }

describe('chanceSettled', () => {
  it.each(COMPARATORS)('is the share of draws that a measurement settles: %s', (comparator) => {
    const bits = randomBits(11)
    const target = { comparator, value: 1220, tolerance: comparator === 'within' ? 10 : 0 }
    for (const [value, sigma, left] of [
      [1214, 8, 1],
      [1226, 12, 6],
      [1200, 20, 3],
    ] as const) {
      let settled = 0
      const draws = 20_000
      for (let i = 0; i < draws; i += 1) {
        const [truth, reads] = normalPair(bits)
        // A reading beside what was known, each by what it is known to: their mean is known to what is left.
        const weight = left ** 2 / sigma ** 2
        const noise = Math.sqrt(1 / (1 / left ** 2 - 1 / sigma ** 2))
        const reading = value + sigma * truth + noise * reads
        const both = weight * value + (1 - weight) * reading
        settled += +(judge({ value: both, sigma: left, grade: 'measured' }, target).verdict !== 'cantTell')
      }
      expect(chanceSettled({ value, sigma }, left, target)).toBeCloseTo(settled / draws, 1.7)
    }
  })
  it('is nothing for what tells nothing new, and sure for what tells all', () => {
    expect(chanceSettled({ value: 1214, sigma: 8 }, 8, atMost)).toBe(0)
    expect(chanceSettled({ value: 1214, sigma: 8 }, 9, atMost)).toBe(0)
    expect(chanceSettled({ value: 1214, sigma: 8 }, 0, atMost)).toBe(1)
  })
  it('grows with what it tells, where it is open', () =>
    fc.assert(
      fc.property(
        // Beyond 1.645 of its ± it is settled as it is.
        fc.double({ min: 0.1, max: 16.4, noNaN: true }),
        fc.double({ min: 0, max: 0.98, noNaN: true }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (off, share, less) => {
          const known = { value: 1220 - off, sigma: 10 }
          const chance = chanceSettled(known, 10 * share, atMost)
          expect(chance).toBeGreaterThanOrEqual(0)
          expect(chance).toBeLessThanOrEqual(1)
          expect(chanceSettled(known, 10 * share * less, atMost)).toBeGreaterThanOrEqual(chance - 1e-9)
        },
      ),
    ))
})
