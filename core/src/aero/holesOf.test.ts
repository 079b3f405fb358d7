import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { holesOf, nearestHole } from './holesOf'

const holes = fc
  .record({
    from: fc.double({ min: -0.2, max: 0.2, noNaN: true }),
    step: fc.double({ min: 0.01, max: 0.1, noNaN: true }),
    count: fc.integer({ min: 1, max: 30 }),
  })
  .map(({ from, step, count }) => ({ from, step, to: from + (count - 1) * step, count }))

describe('holesOf', () => {
  it('has the first and the last, whatever rounding does to it', () =>
    fc.assert(
      fc.property(holes, ({ count, ...of }) => {
        const all = holesOf(of)
        expect(all).toHaveLength(count)
        expect(all[0]).toBeCloseTo(of.from, 12)
        expect(all.at(-1)).toBeCloseTo(of.to, 9)
      }),
    ))
  it('finds none nearer than the nearest, which is a hole', () =>
    fc.assert(
      fc.property(holes, fc.double({ min: -1, max: 4, noNaN: true }), (of, angle) => {
        const hole = nearestHole(angle, of)
        expect(holesOf(of)).toContain(hole)
        expect(Math.min(...holesOf(of).map((h) => Math.abs(h - angle)))).toBe(Math.abs(hole - angle))
      }),
    ))
})
