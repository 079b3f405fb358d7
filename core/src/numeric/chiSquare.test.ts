import { describe, expect, it } from 'vitest'
import { chiSquareShare } from './chiSquare'

describe('chiSquareShare', () => {
  // Published 95 % and 99 % points (NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.4).
  it.each([
    [3.841, 1, 0.95],
    [5.991, 2, 0.95],
    [9.488, 4, 0.95],
    [18.307, 10, 0.95],
    [6.635, 1, 0.99],
    [23.209, 10, 0.99],
    [124.342, 100, 0.95],
  ])('stays below %d with %d degrees of freedom %d of the time', (value, freedom, share) =>
    expect(chiSquareShare(value, freedom)).toBeCloseTo(share, 4),
  )
  it('is 1 − e^(−x/2) for two degrees of freedom, and nothing below zero', () => {
    for (const x of [0.1, 1, 3, 8, 40]) expect(chiSquareShare(x, 2)).toBeCloseTo(1 - Math.exp(-x / 2), 12)
    expect(chiSquareShare(0, 3)).toBe(0)
    expect(() => chiSquareShare(1, 0)).toThrow('degrees of freedom')
  })
})
