import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bumpTravel, type BumpStop } from './bumpTravel'
import { hotPressure } from './hotPressure'
import { motionRatio, motionRatioAt } from './motionRatio'
import { criticalDamping, dampingRatio, rideFrequency } from './rideFrequency'
import { springsInSeries } from './springsInSeries'
import { thrustAngle, toeAngle } from './toe'

const MM = 1e-3
const pairs = [
  [-40, -26.4],
  [-20, -13.5],
  [20, 13.9],
  [40, 28.2],
].map(([wheel = 0, spring = 0]) => ({ wheel: wheel * MM, spring: spring * MM }))

describe('motionRatio', () => {
  it('is what the handbook has of its four pairs', () => {
    const ratio = motionRatio(pairs)
    expect(ratio.atRest).toBeCloseTo(0.683, 3)
    expect(motionRatioAt(ratio, 30 * MM)).toBeCloseTo(0.717, 3)
    expect(ratio.sigma).toBeLessThan(0.1 * MM)
  })
  it('takes a place where nothing moved for no measurement, and wants two others', () => {
    expect(motionRatio([...pairs, { wheel: 0, spring: 0 }])).toEqual(motionRatio(pairs))
    expect(motionRatio(pairs.slice(0, 2)).sigma).toBeNull()
    expect(() => motionRatio(pairs.slice(0, 1))).toThrow('two places')
    expect(() => motionRatio([pairs[0]!, pairs[0]!])).toThrow('two places')
  })
  it('finds a ratio again that pairs were made of', () => {
    const some = fc.double({ min: 0.3, max: 1.4, noNaN: true })
    const bend = fc.double({ min: -2, max: 2, noNaN: true })
    fc.assert(
      fc.property(some, bend, (atRest, change) => {
        const made = [-0.05, -0.03, 0.01, 0.04].map((wheel) => ({
          wheel,
          spring: atRest * wheel + (change / 2) * wheel ** 2,
        }))
        const found = motionRatio(made)
        expect(found.atRest).toBeCloseTo(atRest, 9)
        expect(found.change).toBeCloseTo(change, 7)
      }),
    )
  })
})

describe('a corner that swings', () => {
  it('is what the handbook has of 290 kg on 70 N/mm', () => {
    expect(rideFrequency(70_000, 290)).toBeCloseTo(2.473, 3)
    expect(rideFrequency(springsInSeries(70_000, 250_000), 290)).toBeCloseTo(2.186, 3)
    expect(criticalDamping(70_000, 290)).toBeCloseTo(9011, 0)
    expect(dampingRatio(5000, 1, 70_000, 290)).toBeCloseTo(0.555, 3)
    // A damper halfway along the arm is worth a quarter.
    expect(dampingRatio(5000, 0.5, 70_000, 290)).toBeCloseTo(0.555 / 4, 3)
    expect(() => rideFrequency(0, 290)).toThrow('rate')
    expect(() => criticalDamping(70_000, 0)).toThrow('mass')
  })
})

const stop: BumpStop = {
  wheelRate: 60_000,
  motionRatio: 0.7,
  gap: 18 * MM,
  packer: 5 * MM,
  rubber: [{ travel: 20 * MM, force: 3000 }],
}
describe('bumpTravel', () => {
  it('is what the handbook has of its packed rubber', () => {
    const { contactAt, contactLoad, travel } = bumpTravel(stop, 1500)
    expect(contactAt / MM).toBeCloseTo(18.57, 2)
    expect(contactLoad).toBeCloseTo(1114, 0)
    expect(travel / MM).toBeCloseTo(21.46, 2)
    expect(bumpTravel(stop, 2000).travel / MM).toBeCloseTo(25.21, 2)
    expect(bumpTravel(stop, 600).travel / MM).toBeCloseTo(10)
  })
  it('has the rubber from the start where packers fill the gap, and none where there is none', () => {
    expect(bumpTravel({ ...stop, packer: 30 * MM }, 1335).travel / MM).toBeCloseTo(10)
    expect(bumpTravel({ ...stop, rubber: [] }, 3000).travel / MM).toBeCloseTo(50)
  })
  it('follows a rubber that grows harder, without a jump', () => {
    const rising: BumpStop = {
      ...stop,
      rubber: [
        { travel: 5 * MM, force: 300 },
        { travel: 10 * MM, force: 1500 },
        { travel: 12 * MM, force: 5000 },
      ],
    }
    const load = fc.double({ min: 0, max: 8000, noNaN: true })
    fc.assert(
      fc.property(load, load, (a, b) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)]
        const [x, y] = [bumpTravel(rising, less).travel, bumpTravel(rising, more).travel]
        expect(y).toBeGreaterThanOrEqual(x)
        // Nowhere softer than the spring alone.
        expect(y - x).toBeLessThanOrEqual((more - less) / 60_000 + 1e-12)
      }),
    )
    expect(() => bumpTravel({ ...stop, rubber: [{ travel: 0, force: 10 }] }, 2000)).toThrow('rise')
    expect(() => bumpTravel({ ...stop, wheelRate: 0 }, 2000)).toThrow('rate')
  })
})

describe('hotPressure', () => {
  it('is what the handbook has, and the way back', () => {
    expect(hotPressure(180_000, 20, 80) / 1e5).toBeCloseTo(2.376, 3)
    expect(hotPressure(hotPressure(180_000, 20, 80), 80, 20)).toBeCloseTo(180_000)
    expect(() => hotPressure(180_000, -300, 20)).toThrow('absolute zero')
  })
})

describe('toe', () => {
  it('of a millimetre over 600 is six minutes of arc', () => {
    const degrees = (toeAngle(1 * MM, 0.6) * 180) / Math.PI
    expect(degrees).toBeCloseTo(0.0955, 4)
    expect(degrees * 60).toBeCloseTo(5.7, 1)
    expect(() => toeAngle(1 * MM, 0)).toThrow('width')
  })
  it('of four wheels says where they lead the car', () => {
    const even = thrustAngle({ frontLeft: 0.001, frontRight: 0.001, rearLeft: 0.002, rearRight: 0.002 })
    expect(even).toEqual({ thrust: 0, steerAhead: 0, front: 0.002, rear: 0.004 })
    const off = thrustAngle({ frontLeft: 0, frontRight: 0, rearLeft: 0.002, rearRight: 0.004 })
    expect(off.thrust).toBeCloseTo(0.001)
    expect(off.steerAhead).toBeCloseTo(0.001)
  })
})
