import { describe, expect, it } from 'vitest'
import { checklistCost, SETUP_CHECKS, type SetupFacts } from './checklistCost'
import { springsOf } from './springsOf'

const car = { wheelbase: 2.4, trackFront: 1.46, trackRear: 1.44, springs: null }
const facts = (more: Partial<SetupFacts> = {}): SetupFacts => ({
  springs: springsOf(car, 1.15, 880),
  mass: 880,
  level: 0.0015,
  driver: { mass: 80, left: 0.35, forward: -0.2 },
  ...more,
})

describe('springsOf', () => {
  it('bounces each corner at 2 Hz where nobody typed a spring', () => {
    const { rates, toFront, toRear } = springsOf(car, 1.15, 880)
    const corner = (880 * (1 - 1.15 / 2.4)) / 2
    expect(Math.sqrt(rates.frontLeft / corner) / (2 * Math.PI)).toBeCloseTo(2, 9)
    expect(toFront + toRear).toBeCloseTo(2.4, 12)
  })
  // Computed independently of this project: 1450 lb/in is 253.9 N/mm, and MR 0.70 makes 124.4 N/mm at the wheel.
  it('takes the wheel rate of typed springs: 253.9 N/mm at 0.70 is 124.4 N/mm', () => {
    const axle = { springRate: 253_900, motionRatio: 0.7, tyreRate: null, threadPitch: 0.002 }
    const { rates } = springsOf({ ...car, springs: { front: axle, rear: axle } }, 1.15, 880)
    expect(rates.rearRight / 1000).toBeCloseTo(124.4, 1)
  })
  it('is softer with a tyre in series', () => {
    const axle = { springRate: 100_000, motionRatio: 1, tyreRate: 200_000, threadPitch: 0.002 }
    const { rates } = springsOf({ ...car, springs: { front: axle, rear: axle } }, 1.15, 880)
    expect(rates.frontLeft).toBeCloseTo(1 / (1 / 100_000 + 1 / 200_000), 6)
  })
})

describe('checklistCost', () => {
  it('costs something for every step that is left out, and never less than nothing', () => {
    for (const check of SETUP_CHECKS) expect(checklistCost(check, facts()), check).toBeGreaterThan(0)
  })
  it('grows in proportion to how far the pads are out, and takes 5 mm where nobody looked', () => {
    const at = (level: number | null) => checklistCost('level', facts({ level }))
    expect(at(0.003)).toBeCloseTo(2 * at(0.0015), 9)
    expect(at(null)).toBeCloseTo(at(0.005), 9)
    expect(at(0)).toBe(0)
  })
  it('misses nothing of a driver on the centre line over the centre of mass', () => {
    const centred = { mass: 80, left: 0, forward: 0 }
    expect(checklistCost('driverIn', facts({ driver: centred }))).toBeCloseTo(0, 6)
    const heavy = { mass: 100, left: 0.35, forward: -0.2 }
    expect(checklistCost('driverIn', facts({ driver: heavy }))).toBeCloseTo(
      (100 / 80) * checklistCost('driverIn', facts()),
      9,
    )
  })
  it('sticks by half a per cent of the mass', () =>
    expect(checklistCost('settled', facts())).toBeCloseTo(880 * 0.005, 9))
})
