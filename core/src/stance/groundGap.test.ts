import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { groundGap, type Attitude } from './groundGap'

const still: Attitude = { sinkFront: 0, sinkRear: 0, pitch: 0, roll: 0, bump: 0 }
const splitter = { x: -0.6, z: 0.08, span: 1.6, chord: 0.3, gives: 0 }

describe('groundGap', () => {
  it('is the height of a car that stands still', () => {
    expect(groundGap(splitter, 2.5, still).gap).toBeCloseTo(0.08)
  })
  it('adds up by hand', () => {
    // Front down 10 mm, rear 20: at −750 mm 10 − 3 = 7; 0.5° over 2 m 17.5; 1° over 800 mm 14.0; bump 10, bends 4.
    const { gap, x, taken } = groundGap({ ...splitter, gives: 0.004 }, 2.5, {
      sinkFront: 0.01,
      sinkRear: 0.02,
      pitch: 0.5 * (Math.PI / 180),
      roll: Math.PI / 180,
      bump: 0.01,
    })
    expect(x).toBeCloseTo(-0.75)
    expect(taken.sink).toBeCloseTo(0.007)
    expect(taken.pitch).toBeCloseTo(0.01745, 5)
    expect(taken.roll).toBeCloseTo(0.01396, 5)
    expect(gap).toBeCloseTo(0.08 - 0.007 - 0.01745 - 0.01396 - 0.01 - 0.004, 4)
  })
  it('takes a diffuser’s rear edge when the nose comes up', () => {
    expect(groundGap({ ...splitter, x: 2.9, chord: 0.8 }, 2.5, { ...still, pitch: -0.01 }).x).toBeCloseTo(3.3)
  })
  it('never grows with load, roll, bump or bending', () => {
    const some = fc.double({ min: 0, max: 0.03, noNaN: true })
    fc.assert(
      fc.property(some, some, some, some, (sink, roll, bump, gives) => {
        const { gap } = groundGap({ ...splitter, gives }, 2.5, {
          sinkFront: sink,
          sinkRear: sink,
          pitch: 0,
          roll,
          bump,
        })
        expect(gap).toBeLessThanOrEqual(0.08 + 1e-12)
        expect(gap).toBeCloseTo(0.08 - sink - 0.8 * roll - bump - gives)
      }),
    )
    expect(() => groundGap(splitter, 0, still)).toThrow('wheelbase')
  })
})
