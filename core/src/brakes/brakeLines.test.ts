import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { brakesOfHandbook as system } from '../testing/carS'
import { STANDARD_GRAVITY } from '../units/constants'
import { brakeBalance, weightsOf } from './brakeBalance'
import { barFor, behindValve, brakedBy, effortFor, lockingOf, shareFromPressures } from './brakeLines'
import { lapHeat, liningWear, padFriction, padWindow } from './padsAndDiscs'

const car = { mass: 1100, frontMassShare: 0.54, height: 0.48, wheelbase: 2.5 }
const both = (grip: number) => ({ front: grip, rear: grip })

describe('from the foot to the road, against the handbook', () => {
  it('500 N are 79.28 % in front', () => {
    const { pressure, frontShare } = brakedBy(system, 500)
    expect(pressure.front / 1e5).toBeCloseTo(47.43, 1)
    expect(pressure.rear / 1e5).toBeCloseTo(37.3, 1)
    expect(frontShare).toBeCloseTo(0.7928, 4)
    expect(shareFromPressures(system, pressure)).toBeCloseTo(0.7928, 4)
    expect(shareFromPressures(system, { front: 0, rear: 0 })).toBeNull()
  })
  it('the front locks at 1.292 g and the rear at 1.309', () => {
    const locks = lockingOf(system, car, both(1.3))
    expect(locks.front!.deceleration / STANDARD_GRAVITY).toBeCloseTo(1.292, 3)
    expect(locks.rear!.deceleration / STANDARD_GRAVITY).toBeCloseTo(1.309, 3)
  })
  it('both at once with the bar at 51.51 %', () => {
    const bar = barFor(system, brakeBalance(car, 0.7928, 1.3).idealShare)
    expect(bar).toBeCloseTo(0.5151, 4)
    const locks = lockingOf({ ...system, box: { ...system.box, frontShare: bar } }, car, both(1.3))
    expect(locks.front!.deceleration).toBeCloseTo(locks.rear!.deceleration, 6)
    expect(locks.front!.deceleration / STANDARD_GRAVITY).toBeCloseTo(1.3, 6)
  })
  it('agrees with the closed form for any bar, grip and wing', () => {
    const share = fc.double({ min: 0.35, max: 0.7, noNaN: true })
    const grip = fc.double({ min: 0.6, max: 1.7, noNaN: true })
    const wing = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(share, grip, wing, (frontShare, mu, area) => {
        const air = weightsOf(0.5 * 1.225 * area * 3600, 1100)
        const pressed = { ...car, downforce: { front: air / 3, rear: (2 * air) / 3 } }
        const barred = { ...system, box: { ...system.box, frontShare } }
        const closed = brakeBalance(pressed, brakedBy(barred, 300).frontShare, mu).locksAt
        const found = lockingOf(barred, pressed, both(mu))
        for (const axle of ['front', 'rear'] as const)
          if (closed[axle] < 4)
            expect(found[axle]!.deceleration / STANDARD_GRAVITY).toBeCloseTo(closed[axle], 5)
      }),
    )
  })
  it('a valve holds the rear back from its knee on, and keeps it from locking first', () => {
    const valve = { from: 3e6, passes: 0.35 }
    expect(behindValve(valve, 2e6)).toBe(2e6)
    expect(behindValve(valve, 5e6)).toBeCloseTo(3.7e6)
    expect(behindValve(null, 5e6)).toBe(5e6)
    const rearward = { ...system, box: { ...system.box, frontShare: 0.42 } }
    const without = lockingOf(rearward, car, both(1.3))
    expect(without.rear!.deceleration).toBeLessThan(without.front!.deceleration)
    const held = lockingOf({ ...rearward, valve: { from: 1.5e6, passes: 0.3 } }, car, both(1.3))
    expect(held.front!.deceleration).toBeLessThan(held.rear?.deceleration ?? Infinity)
  })
  it('says the push for 1 g, and that no leg is enough where none is', () => {
    const effort = effortFor(system, 1100, STANDARD_GRAVITY)!
    const { force } = brakedBy(system, effort)
    expect(force.front + force.rear).toBeCloseTo(1100 * STANDARD_GRAVITY, 1)
    expect(effortFor(system, 1e6, STANDARD_GRAVITY)).toBeNull()
    expect(effortFor({ ...system, servo: 4 }, 1100, STANDARD_GRAVITY)).toBeCloseTo(effort / 4, 6)
    expect(() => lockingOf(system, car, both(0))).toThrow('grip')
  })
})

describe('discs over a lap', () => {
  const discs = { mass: 1200, share: 0.65, discMass: 18, heatCapacity: 460 }
  it('are as hot as the handbook says, stop after stop', () => {
    const stop = { from: 50, to: 0, after: 60 }
    const { first, settled } = lapHeat(discs, [stop], 120)
    expect(first[0]!.after).toBeCloseTo(117.8, 1)
    expect(settled[0]!.after).toBeCloseTo(299.3, 0)
    const three = lapHeat(discs, [stop, stop, stop], 120).first.map(({ after }) => after)
    expect(three[1]).toBeCloseTo(189.2, 1)
    expect(three[2]).toBeCloseTo(232.5, 1)
    expect(() => lapHeat(discs, [stop], 0)).toThrow('time')
  })
  it('give away in a lap what they have taken in, once they have settled', () => {
    const stops = [
      { from: 60, to: 20, after: 25 },
      { from: 45, to: 15, after: 14 },
      { from: 50, to: 30, after: 40 },
    ]
    const { settled } = lapHeat(discs, stops, 90)
    const taken = settled.reduce((sum, { before, after }) => sum + after - before, 0)
    const given = settled.reduce((sum, { before }, i) => sum + (settled.at(i - 1)!.after - before), 0)
    expect(given / taken).toBeCloseTo(1, 2)
  })
})

describe('pads', () => {
  it('rub as their sheet says', () => {
    const points = [
      { temperature: 373, friction: 0.38 },
      { temperature: 573, friction: 0.46 },
    ]
    expect(padFriction(points, 473)).toBeCloseTo(0.42)
    expect(padFriction(points, 273)).toBe(0.38)
    expect(padFriction(points, 973)).toBe(0.46)
    expect(() => padFriction([], 400)).toThrow('one point')
  })
  it('are too cold as well as too hot', () => {
    const pad = { from: 423, to: 873 }
    expect(padWindow(pad, [430], [800])).toEqual({ window: 'within', off: 0 })
    expect(padWindow(pad, [400, 500], [800])).toEqual({ window: 'below', off: 23 })
    expect(padWindow(pad, [430], [900])).toEqual({ window: 'above', off: 27 })
    expect(padWindow(pad, [400], [900])).toEqual({ window: 'both', off: 27 })
  })
  it('last as long as what they have lost so far says', () => {
    const worn = liningWear(0.017, 0.004, [{ laps: 40, thickness: 0.0145 }])!
    expect(worn.perLap * 1000).toBeCloseTo(0.0625)
    expect(worn.lapsLeft).toBeCloseTo(168)
    expect(worn.range[0]).toBeLessThan(168)
    expect(worn.range[1]).toBeGreaterThan(168)
    // More readings that agree make it surer.
    const more = liningWear(0.017, 0.004, [
      { laps: 40, thickness: 0.0145 },
      { laps: 80, thickness: 0.012 },
    ])!
    expect(more.sigma).toBeLessThan(worn.sigma)
    expect(liningWear(0.017, 0.004, [])).toBeNull()
    expect(liningWear(0.017, 0.004, [{ laps: 20, thickness: 0.018 }])).toBeNull()
    expect(liningWear(0.017, 0.004, [{ laps: 400, thickness: 0.003 }])!.lapsLeft).toBe(0)
  })
})
