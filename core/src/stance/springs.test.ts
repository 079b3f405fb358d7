import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { carS, cornerS, standingS } from '../testing/carS'
import { contactTravel, cornerTravel, wheelForce, type CornerSuspension } from './cornerTravel'
import { hotPressure } from './hotPressure'
import { motionRatio, motionRatioAt } from './motionRatio'
import { criticalDamping, dampingRatio, rideFrequency } from './rideFrequency'
import { rollBalance } from './rollBalance'
import { springsInSeries } from './springsInSeries'
import { stanceAtSpeed } from './stanceAtSpeed'
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

const packed: CornerSuspension = {
  ...cornerS,
  rubber: { gap: 13 * MM, points: [{ travel: 20 * MM, force: 3000 }] },
}
describe('cornerTravel', () => {
  it('is what the handbook has of its packed rubber', () => {
    expect(contactTravel(packed)! / MM).toBeCloseTo(18.57, 2)
    expect(wheelForce(packed, contactTravel(packed)!) - packed.standing).toBeCloseTo(1114, 0)
    expect(cornerTravel(packed, 1500).travel / MM).toBeCloseTo(21.46, 2)
    expect(cornerTravel(packed, 2000).travel / MM).toBeCloseTo(25.21, 2)
    expect(cornerTravel(packed, 600)).toMatchObject({ carriedBy: 'spring' })
    expect(cornerTravel(packed, 600).travel / MM).toBeCloseTo(10)
    expect(cornerTravel(packed, 1500)).toMatchObject({ carriedBy: 'rubber' })
    expect(cornerTravel(packed, 1500).rate).toBeCloseTo(60_000 + 150_000 * 0.49, 0)
  })
  it('is a straight line without rubber, and does nothing under no load', () => {
    const load = fc.double({ min: -2000, max: 5000, noNaN: true })
    fc.assert(
      fc.property(load, (n) => {
        expect(cornerTravel(cornerS, n).travel).toBeCloseTo(n / 60_000, 8)
        expect(cornerTravel(cornerS, n).rate).toBeCloseTo(60_000, 1)
      }),
    )
    expect(cornerTravel(packed, 0).travel).toBeCloseTo(0, 10)
  })
  it('follows a rubber that grows harder, without a jump', () => {
    const rising: CornerSuspension = {
      ...packed,
      rubber: {
        gap: 13 * MM,
        points: [
          { travel: 5 * MM, force: 300 },
          { travel: 10 * MM, force: 1500 },
          { travel: 12 * MM, force: 5000 },
        ],
      },
    }
    const load = fc.double({ min: 0, max: 8000, noNaN: true })
    fc.assert(
      fc.property(load, load, (a, b) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)]
        const [x, y] = [cornerTravel(rising, less).travel, cornerTravel(rising, more).travel]
        expect(y).toBeGreaterThanOrEqual(x - 1e-9)
        // Nowhere softer than the spring alone.
        expect(y - x).toBeLessThanOrEqual((more - less) / 60_000 + 1e-9)
      }),
    )
    const flat = { ...packed, rubber: { gap: 0, points: [{ travel: 0, force: 10 }] } }
    expect(() => cornerTravel(flat, 2000)).toThrow('rise')
    expect(() => cornerTravel({ ...packed, spring: 0 }, 2000)).toThrow('rate')
  })
  it('stops at metal and where the damper is out', () => {
    const stopped = { ...cornerS, droop: 20 * MM, bump: 30 * MM }
    expect(cornerTravel(stopped, 9000)).toMatchObject({ travel: 30 * MM, carriedBy: 'metal', rate: Infinity })
    expect(cornerTravel(stopped, -2700)).toMatchObject({ travel: -20 * MM, carriedBy: 'droop' })
  })
  it('is softer once its helper has come apart', () => {
    // 4,000 N on the spring standing; the helper opens below 800.
    const helped = { ...cornerS, standing: 2800, helper: { rate: 20_000, travel: 40 * MM } }
    expect(cornerTravel(helped, 0).isHelperOpen).toBe(false)
    const out = cornerTravel(helped, -2400)
    expect(out.isHelperOpen).toBe(true)
    // Both in series, at the wheel.
    expect(out.rate).toBeCloseTo(springsInSeries(cornerS.spring, 20_000) * 0.49, 0)
    expect(out.travel).toBeLessThan(cornerTravel(cornerS, -2400).travel)
  })
  it('is stiffened by the load that stands on it where the ratio grows', () => {
    const growing = { ...cornerS, ratio: { atRest: 0.7, change: 1.125 } }
    // k·MR² and the spring's own force times how the ratio changes, by virtual work.
    const rate = cornerS.spring * 0.49 + (2800 / 0.7) * 1.125
    expect(cornerTravel(growing, 0).rate).toBeCloseTo(rate, -1)
    // What it takes is what is stored: the wheel's work is the spring's.
    const to = 0.03
    const steps = 2000
    let work = 0
    for (let i = 0; i < steps; i += 1) work += (wheelForce(growing, ((i + 0.5) * to) / steps) * to) / steps
    const along = 0.7 * to + (1.125 * to ** 2) / 2
    const standing = 4000 / cornerS.spring
    const stored = (cornerS.spring * ((standing + along) ** 2 - standing ** 2)) / 2
    expect(work).toBeCloseTo(stored, 3)
  })
})

describe('stanceAtSpeed', () => {
  it('sinks, dives and rolls as by hand where everything is a straight line', () => {
    const { sinkFront, sinkRear, pitch, roll } = stanceAtSpeed(standingS, {
      front: 1500,
      rear: 2500,
      braking: 9.80665,
      cornering: 0,
    })
    const rate = springsInSeries(60_000, 250_000)
    const moved = (1200 * 9.80665 * 0.47) / 2.575
    expect(sinkFront).toBeCloseTo(1500 / 2 / rate, 6)
    expect(sinkRear).toBeCloseTo(2500 / 2 / rate, 6)
    expect(pitch).toBeCloseTo(moved / rate / 2.575, 6)
    expect(roll).toBe(0)
  })
  it('rolls as its springs and bars say, and less on its rubbers', () => {
    const turned = { front: 0, rear: 0, braking: 0, cornering: 1.2 * 9.80665 }
    const alike = { ...carS, front: { ...carS.front, wheelRate: 60_000 } }
    expect(stanceAtSpeed(standingS, turned).roll).toBeCloseTo(rollBalance(alike, 1.2 * 9.80665).angle, 5)
    const onRubber = { ...standingS, front: { ...standingS.front, corner: packed } }
    const pressed = { ...turned, front: 4000 }
    expect(stanceAtSpeed(onRubber, pressed).axles.front.carriedBy).toBe('rubber')
    expect(stanceAtSpeed(onRubber, pressed).roll).toBeLessThan(stanceAtSpeed(standingS, pressed).roll)
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
