import { describe, expect, test } from 'vitest'
import { readToe } from './ToeField'

const degrees = (toe: ReturnType<typeof readToe>) =>
  typeof toe === 'string' ? toe : (toe.angle * 180) / Math.PI

describe('toe as it is typed', () => {
  test('is a length over a width, in any unit, or an angle', () => {
    expect(degrees(readToe('1', 0.6))).toBeCloseTo(0.0955, 4)
    expect(degrees(readToe('1/16 in', 0.6))).toBeCloseTo(0.1516, 4)
    expect(degrees(readToe('-0.1°', 0.6))).toBeCloseTo(-0.1, 9)
    expect(readToe('1', 0.6)).toHaveProperty('says', '= 0.10°')
    expect(readToe('0.0955°', 0.6)).toHaveProperty('says', '= 1.0 mm over 600')
  })
  test('wants a width for a length, but none for an angle', () => {
    expect(readToe('1', null)).toMatch(/over which width/)
    expect(readToe('0.1°', null)).toHaveProperty('says', '= 0.10°')
  })
  test('is no more than its width, and no word', () => {
    expect(readToe('700', 0.6)).toMatch(/more than the width/)
    expect(readToe('blue', 0.6)).toEqual(expect.any(String))
  })
})
