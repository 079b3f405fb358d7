import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STANDARD_GRAVITY } from '../units/constants'
import { perCorner, settle, wheelRate, type CornerSprings } from './cornerSprings'
import { CORNERS, type CornerWeights } from './fourPadWeighIn'
import { levelCost } from './levelCost'
import { perchTurns, weighAfter } from './perchTurns'

const all = (value: number) => perCorner(() => value)
const car: CornerSprings = {
  rates: { frontLeft: 40_000, frontRight: 40_000, rearLeft: 35_000, rearRight: 35_000 },
  halfTrackFront: 0.73,
  halfTrackRear: 0.72,
  toFront: 1.15,
  toRear: 1.25,
}
const kilos = (loads: ReturnType<typeof settle>['loads']) => CORNERS.map((c) => loads[c] / STANDARD_GRAVITY)
const mm = (fl: number, fr: number, rl: number, rr: number) => ({
  frontLeft: fl / 1000,
  frontRight: fr / 1000,
  rearLeft: rl / 1000,
  rearRight: rr / 1000,
})
const close = (found: readonly number[], wanted: readonly number[], digits: number) =>
  found.forEach((value, i) => expect(value).toBeCloseTo(wanted[i]!, digits))

const rate = fc.double({ min: 15_000, max: 150_000, noNaN: true })
const someCar = fc.record({
  rates: fc.record({ frontLeft: rate, frontRight: rate, rearLeft: rate, rearRight: rate }),
  halfTrackFront: fc.double({ min: 0.6, max: 0.9, noNaN: true }),
  halfTrackRear: fc.double({ min: 0.6, max: 0.9, noNaN: true }),
  toFront: fc.double({ min: 0.8, max: 1.6, noNaN: true }),
  toRear: fc.double({ min: 0.8, max: 1.6, noNaN: true }),
})
const someRaise = fc.record({
  frontLeft: fc.double({ min: -0.02, max: 0.02, noNaN: true }),
  frontRight: fc.double({ min: -0.02, max: 0.02, noNaN: true }),
  rearLeft: fc.double({ min: -0.02, max: 0.02, noNaN: true }),
  rearRight: fc.double({ min: -0.02, max: 0.02, noNaN: true }),
})

describe('settle', () => {
  // Check values computed independently of this project.
  it('+1 mm at one perch: +0.938, −0.938, −0.951, +0.951 kg', () =>
    close(kilos(settle(car, mm(1, 0, 0, 0)).loads), [0.938, -0.938, -0.951, 0.951], 3))
  it('+1, −1, −1, +1 mm: +3.777, −3.777, −3.829, +3.829 kg', () =>
    close(kilos(settle(car, mm(1, -1, -1, 1)).loads), [3.777, -3.777, -3.829, 3.829], 3))
  it('keeps the weight, the front share and the left share, whatever is raised', () => {
    fc.assert(
      fc.property(someCar, someRaise, (springs, raised) => {
        const { loads } = settle(springs, raised)
        const scale = Math.max(1, ...CORNERS.map((c) => Math.abs(loads[c])))
        expect(CORNERS.reduce((s, c) => s + loads[c], 0) / scale).toBeCloseTo(0, 8)
        expect((loads.frontLeft + loads.frontRight) / scale).toBeCloseTo(0, 8)
        const roll =
          springs.halfTrackFront * (loads.frontLeft - loads.frontRight) +
          springs.halfTrackRear * (loads.rearLeft - loads.rearRight)
        expect(roll / scale).toBeCloseTo(0, 8)
      }),
    )
  })
  it('raises the body and loads nothing when all four go up alike', () => {
    const { loads, heave, roll, pitch } = settle(car, all(0.01))
    close(kilos(loads), [0, 0, 0, 0], 9)
    close([heave, roll, pitch], [0.01, 0, 0], 12)
  })
  it('refuses a car without tracks', () =>
    expect(() => settle({ ...car, halfTrackFront: 0, halfTrackRear: 0 }, all(0.001))).toThrow(RangeError))
})

describe('wheelRate', () => {
  it('1450 lb/in at 0.70 is 124.4 N/mm at the wheel (computed independently)', () =>
    expect(wheelRate(253_935, 0.7, null)).toBeCloseTo(124_428, -1))
  it('is softer with the tyre in series, and never stiffer than either', () =>
    expect(wheelRate(100_000, 1, 200_000)).toBeCloseTo(66_667, 0))
})

describe('levelCost', () => {
  it('gives the cross weight that a pad 1 mm out is worth', () =>
    expect(levelCost(car, 0.001)).toBeCloseTo(0.938 + 0.951, 2))
  it('grows in step with the levelness', () =>
    expect(levelCost(car, 0.0015)).toBeCloseTo(1.5 * levelCost(car, 0.001), 9))
})

describe('perchTurns', () => {
  const corners: CornerWeights = { frontLeft: 232, frontRight: 218, rearLeft: 204, rearRight: 226 }
  const inputs = {
    springs: car,
    corners,
    target: 0.5,
    motionRatio: all(0.9),
    pitch: all(0.002),
    step: 0.25,
  }
  const cross = (c: CornerWeights) =>
    (c.frontRight + c.rearLeft) / CORNERS.reduce((sum, corner) => sum + c[corner], 0)

  it('hits the target exactly before rounding, by the forward model', () => {
    fc.assert(
      fc.property(someCar, fc.double({ min: 0.46, max: 0.54, noNaN: true }), (springs, target) => {
        const plan = perchTurns({ ...inputs, springs, target })
        const after = weighAfter({ ...inputs, springs }, plan.exact)
        expect(cross(after.corners)).toBeCloseTo(target, 9)
        expect(after.heave).toBeCloseTo(0, 9)
      }),
    )
  })
  it('rounds to the step a person can turn and says what that gives', () => {
    const plan = perchTurns(inputs)
    for (const c of CORNERS) expect((plan.turns[c] / 0.25) % 1).toBeCloseTo(0, 12)
    expect(plan.crossBefore).toBeCloseTo(0.4795, 4)
    expect(Math.abs(plan.crossAfter - 0.5)).toBeLessThan(0.004)
    expect(plan.after.frontLeft + plan.after.frontRight).toBeCloseTo(450, 6)
    expect(plan.after.frontLeft + plan.after.rearLeft).toBeCloseTo(436, 0)
  })
  it('turns nothing when the cross is right already', () =>
    expect(perchTurns({ ...inputs, target: cross(corners) }).turns).toEqual(all(0)))
  it('needs fewer turns where the spring sits nearer the wheel’s middle: turns grow with the motion ratio', () => {
    const near = perchTurns({ ...inputs, motionRatio: all(0.5) }).exact.frontLeft
    const far = perchTurns({ ...inputs, motionRatio: all(1) }).exact.frontLeft
    expect(far).toBeCloseTo(2 * near, 9)
  })
  it('refuses what would lift a wheel', () =>
    expect(() => perchTurns({ ...inputs, target: 0.004 })).toThrow(/lift a wheel/))
})
