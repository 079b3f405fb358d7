import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { brakeBalance, brakeTorque, idealFrontShare, linePressures, weightsOf } from './brakeBalance'
import { discTemperatures, heatOfStop } from './discHeat'

const BAR = 1e5
const MEGAPASCAL = 1e6
const pistons = (...diameters: number[]) =>
  diameters.reduce((area, d) => area + (Math.PI * (d / 1000) ** 2) / 4, 0)
const front = { pistonArea: pistons(38, 44), friction: 0.45, radius: 0.14 }
const rear = { pistonArea: pistons(36), friction: 0.42, radius: 0.13 }
const box = { ratio: 5.2, frontShare: 0.52, frontCylinder: 19.05e-3, rearCylinder: 20.64e-3 }
const car = { frontMassShare: 0.54, height: 0.48, wheelbase: 2.5 }

describe('brakes, against the handbook', () => {
  it('give a torque for each megapascal', () => {
    expect(brakeTorque(front) * MEGAPASCAL).toBeCloseTo(668.97, 1)
    expect(brakeTorque(rear) * MEGAPASCAL).toBeCloseTo(222.3, 1)
    expect(() => brakeTorque({ ...front, friction: 0 })).toThrow('friction')
  })
  it('have a pressure in each line, and so a bias', () => {
    const lines = linePressures(box, 500)
    expect(lines.front / BAR).toBeCloseTo(47.43, 1)
    expect(lines.rear / BAR).toBeCloseTo(37.3, 1)
    const [f, r] = [brakeTorque(front) * lines.front, brakeTorque(rear) * lines.rear]
    expect(f / (f + r)).toBeCloseTo(0.7928, 4)
    expect(() => linePressures({ ...box, frontCylinder: 0 }, 500)).toThrow('bore')
    expect(() => linePressures({ ...box, frontShare: 1.2 }, 500)).toThrow('share')
  })
  it('are best shared by the load, which moves forward', () => {
    expect(idealFrontShare(car, 1)).toBeCloseTo(0.732, 3)
    expect(idealFrontShare(car, 1.3)).toBeCloseTo(0.7896, 4)
    expect(() => idealFrontShare({ ...car, wheelbase: 0 }, 1)).toThrow('wheelbase')
  })
  it('lock one axle first', () => {
    const balance = brakeBalance(car, 0.7928, 1.3)
    expect(balance.locksAt.front).toBeCloseTo(1.292, 3)
    expect(balance.locksAt.rear).toBeCloseTo(1.309, 3)
    expect(balance.first).toBe('front')
    expect(balance.efficiency).toBeCloseTo(0.994, 3)
    // With a tenth more at the rear it is the rear one.
    expect(brakeBalance(car, 0.69, 1.3).first).toBe('rear')
    expect(() => brakeBalance(car, 0.7, 0)).toThrow('grip')
    expect(() => brakeBalance(car, -0.1, 1.3)).toThrow('share')
  })
  it('use more with downforce, and share it otherwise', () => {
    const pressed = (area: number) => weightsOf(0.5 * 1.225 * area * 60 ** 2, 1100)
    const fast = { ...car, downforce: { front: pressed(0.5), rear: pressed(1) } }
    const { locksAt, idealShare } = brakeBalance(fast, 0.7928, 1.3)
    expect(Math.min(locksAt.front, locksAt.rear)).toBeGreaterThan(1.3)
    expect(idealShare).toBeCloseTo(0.741, 3)
  })
  it('use all of the grip where both axles lock at once, and never more', () => {
    const share = fc.double({ min: 0.3, max: 0.95, noNaN: true })
    const grip = fc.double({ min: 0.4, max: 1.8, noNaN: true })
    fc.assert(
      fc.property(share, grip, (bias, mu) => {
        const { efficiency, idealShare } = brakeBalance(car, bias, mu)
        expect(efficiency).toBeGreaterThan(0)
        expect(efficiency).toBeLessThanOrEqual(1)
        if (idealShare < 1) expect(brakeBalance(car, idealShare, mu).efficiency).toBeCloseTo(1, 9)
      }),
    )
  })
})

describe('discs', () => {
  const stop = { mass: 1200, share: 0.65, discMass: 18, heatCapacity: 460 }
  it('get as hot as the handbook says', () => {
    const rise = heatOfStop(stop, 50, 0)
    expect(rise).toBeCloseTo(117.8, 1)
    const [first, second, third] = discTemperatures(rise, 60, 120, 3)
    expect([first, second, third].map((t) => Math.round(t! * 10) / 10)).toEqual([117.8, 189.2, 232.5])
    expect(discTemperatures(rise, 60, 120, 200).at(-1)).toBeCloseTo(299.3, 1)
    // Energy: what the car has lost is what the discs and the others have.
    expect(rise * 18 * 460).toBeCloseTo(0.65 * 0.5 * 1200 * 50 ** 2, 6)
    expect(() => heatOfStop({ ...stop, discMass: 0 }, 50, 0)).toThrow('heat')
    expect(() => heatOfStop(stop, 10, 50)).toThrow('slower')
    expect(() => discTemperatures(rise, 0, 120, 3)).toThrow('time')
  })
})
