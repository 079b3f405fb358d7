import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { LapCar } from '../lap/LapCar'
import { evenAxles } from '../testing/evenAxles'
import { setOf, worthWith, type CarChange, type GainCar } from './carChanges'
import { shapleyExact, shapleySampled } from './shapley'

const worthsOf = fc.integer({ min: 1, max: 6 }).chain((count) =>
  fc.tuple(
    fc.constant(count),
    fc.array(fc.double({ min: -100, max: 100, noNaN: true }), {
      minLength: 2 ** count,
      maxLength: 2 ** count,
    }),
  ),
)

/** Every order in turn, the slow way. */
function bruteForce(count: number, worths: readonly number[]): number[] {
  const shares = new Array<number>(count).fill(0)
  let orders = 0
  const go = (left: number[], set: number, adds: readonly [number, number][]) => {
    if (left.length === 0) {
      orders += 1
      for (const [i, add] of adds) shares[i]! += add
      return
    }
    for (const i of left) {
      const next = set | (1 << i)
      go(
        left.filter((j) => j !== i),
        next,
        [...adds, [i, worths[next]! - worths[set]!]],
      )
    }
  }
  go(
    Array.from({ length: count }, (_, i) => i),
    0,
    [],
  )
  return shares.map((s) => s / orders)
}

describe('shapleyExact', () => {
  it('agrees with every order tried in turn', () => {
    fc.assert(
      fc.property(worthsOf, ([count, worths]) => {
        const slow = bruteForce(count, worths)
        shapleyExact(count, worths).forEach((share, i) => expect(share).toBeCloseTo(slow[i]!, 8))
      }),
      { numRuns: 60 },
    )
  })
  it('adds up to the whole, whatever the changes', () => {
    fc.assert(
      fc.property(worthsOf, ([count, worths]) => {
        const sum = shapleyExact(count, worths).reduce((a, b) => a + b, 0)
        expect(sum).toBeCloseTo(worths.at(-1)! - worths[0]!, 7)
      }),
    )
  })
  it('gives nothing to a change that never matters, and the same to two that always matter alike', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: 4, maxLength: 4 }),
        (base) => {
          // Change 2 does nothing; changes 0 and 1 count only by how many of them are in.
          const worths = Array.from({ length: 8 }, (_, s) => base[(s & 1) + ((s >> 1) & 1)]!)
          const [a, b, none] = shapleyExact(3, worths)
          expect(none).toBeCloseTo(0, 9)
          expect(a).toBeCloseTo(b!, 9)
        },
      ),
    )
  })
  it('of the glove game is a sixth, a sixth and two thirds', () => {
    // One right glove, two left ones; only a pair is worth anything (Shapley’s own kind of example).
    const worths = Array.from({ length: 8 }, (_, s) => (s & 4 && s & 3 ? 1 : 0))
    expect(shapleyExact(3, worths)).toEqual([
      expect.closeTo(1 / 6, 12),
      expect.closeTo(1 / 6, 12),
      expect.closeTo(2 / 3, 12),
    ])
  })
  it('refuses worths that are missing', () => {
    expect(() => shapleyExact(2, [0, 1])).toThrow('every set')
    expect(shapleyExact(0, [3])).toEqual([])
  })
})

describe('shapleySampled', () => {
  it('lies within its own error of the exact shares', () => {
    const worth = (isIn: readonly boolean[]) =>
      isIn.reduce((sum, on, i) => sum + (on ? i + 1 : 0), 0) +
      (isIn[0] && isIn[3] ? 5 : 0) -
      (isIn[1] && isIn[2] ? 3 : 0)
    const worths = Array.from({ length: 64 }, (_, s) => worth(setOf(s, 6)))
    const exact = shapleyExact(6, worths)
    shapleySampled(6, worth, { orders: 400 }).forEach(({ value, sigma }, i) => {
      expect(Math.abs(value - exact[i]!)).toBeLessThan(4 * sigma + 1e-9)
    })
    expect(() => shapleySampled(2, worth, { orders: 1 })).toThrow('two orders')
  })
  it('adds up to the whole as well', () => {
    const worth = (isIn: readonly boolean[]) => 100 / (10 - isIn.filter(Boolean).length)
    const sum = shapleySampled(8, worth).reduce((s, { value }) => s + value, 0)
    expect(sum).toBeCloseTo(50 - 10, 9)
  })
})

describe('worthWith', () => {
  const run: LapCar = {
    curve: Array.from({ length: 10 }, (_, i) => ({ speed: 200 + i * 60, torque: 250 })),
    ratios: [3.2, 1.9, 1.3, 1, 0.8],
    finalDrive: 4.1,
    rollingRadius: 0.3,
    shiftSpeed: 700,
    shiftTime: 0.3,
    launchSpeed: 400,
    mass: 1200,
    driven: 'rear',
    frontShare: 0.5,
    wheelbase: 2.5,
    massHeight: 0.5,
    grip: 1.1,
    dragArea: 0.7,
    rollingResistance: 0.014,
    airDensity: 1.2,
    wheelInertia: 4,
    engineInertia: 0.15,
    downforceFront: 0,
    downforceRear: 0.2,
    ...evenAxles,
  }
  const course = {
    closed: true,
    sections: [
      { length: 400, radius: null },
      { length: 90, radius: 30 },
    ],
  }
  const before: GainCar = { mass: 1200, power: 150e3, run, course: null }
  const changes: CarChange[] = [
    { id: 'lighter', mass: -100, power: null, run: {} },
    { id: 'stronger', mass: 10, power: 200e3, run: { curve: run.curve.map((p) => ({ ...p, torque: 330 })) } },
    { id: 'gears', mass: 0, power: null, run: { finalDrive: 4.4 } },
  ]
  it('is power over mass with what was changed', () => {
    expect(worthWith(before, changes, [false, false, false], 'powerToWeight')).toBeCloseTo(125)
    expect(worthWith(before, changes, [true, true, true], 'powerToWeight')).toBeCloseTo(200e3 / 1110)
  })
  it('laps quicker when lighter and stronger, and nowhere without a course', () => {
    const laps = (isIn: readonly boolean[]) => worthWith({ ...before, course }, changes, isIn, 'lap')
    expect(laps([true, false, false])).toBeLessThan(laps([false, false, false]))
    expect(laps([false, true, false])).toBeLessThan(laps([false, false, false]))
    expect(() => worthWith(before, changes, [true, true, true], 'lap')).toThrow('needs a course')
  })
  it('runs quicker when lighter and stronger, and splits that without a rest', () => {
    const worths = Array.from({ length: 8 }, (_, s) => worthWith(before, changes, setOf(s, 3), 'quarterMile'))
    expect(worths[1]).toBeLessThan(worths[0]!)
    expect(worths[2]).toBeLessThan(worths[0]!)
    const shares = shapleyExact(3, worths)
    expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(worths[7]! - worths[0]!, 9)
    expect(() => worthWith({ ...before, run: null }, changes, [true, true, true], 'quarterMile')).toThrow(
      'gears',
    )
  })
})
