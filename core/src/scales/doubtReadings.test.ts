import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { doubtReadings } from './doubtReadings'

const POUND = 0.45359237
const EXPECTED = [320, 315, 260, 255]
const readingsOf = (readings: readonly number[]) =>
  readings.map((reading, i) => ({ reading, expected: EXPECTED[i]! }))

describe('readings that look mistyped', () => {
  it('are asked about by books and neighbours: 9,000 lb at one wheel', () =>
    expect(doubtReadings(readingsOf([9000 * POUND, 318, 262, 250]))).toEqual([
      { at: 0, ratio: expect.closeTo(12.76, 2), couldBe: [expect.closeTo(408.2, 1)] },
    ]))
  it('take a slip of the unit for what it is', () => {
    const [doubt] = doubtReadings(readingsOf([320 / POUND, 318, 262, 250]))
    expect(doubt).toMatchObject({ at: 0 })
    expect(doubt!.couldBe.some((mass) => Math.abs(mass - 320) < 0.01)).toBe(true)
  })
  it('are none where the car is only heavier than its books, or hangs on two wheels', () => {
    expect(doubtReadings(readingsOf(EXPECTED.map((mass) => mass * 1.4)))).toEqual([])
    expect(doubtReadings(readingsOf([400, 240, 190, 330]))).toEqual([])
  })
  it('are all of them where all are out together', () => {
    const [doubt] = doubtReadings(readingsOf(EXPECTED.map((mass) => mass / POUND)))
    expect(doubt).toMatchObject({ at: null, couldBe: [expect.closeTo(POUND, 6)] })
  })
  it('are left to the books’ balance where all are out and no slip explains it', () =>
    expect(doubtReadings(readingsOf(EXPECTED.map((mass) => mass / 5)))).toEqual([]))
  it('of two axles are the one that the books don’t know', () =>
    expect(
      doubtReadings([
        { reading: 6350, expected: 635 },
        { reading: 520, expected: 515 },
      ]).map(({ at }) => at),
    ).toEqual([0]))
  it('never stand in the way of a car that reads what is expected, whatever its cross weight', () => {
    const near = fc.double({ min: 0.75, max: 1.25, noNaN: true })
    fc.assert(
      fc.property(fc.tuple(near, near, near, near), (parts) => {
        expect(doubtReadings(readingsOf(parts.map((part, i) => part * EXPECTED[i]!)))).toEqual([])
      }),
      { seed: 23 },
    )
  })
})
