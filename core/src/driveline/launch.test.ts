import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STANDARD_GRAVITY } from '../units/constants'
import { bestLaunch, launch, launchGrip, type LaunchCar } from './launch'

const rpm = (n: number) => (n * Math.PI) / 30
const flat = (torque: number) => [1000, 8000].map((n) => ({ speed: rpm(n), torque }))
/** Nothing turns, nothing holds it back. */
const bare: LaunchCar = {
  curve: flat(300),
  ratios: [3],
  finalDrive: 4,
  rollingRadius: 0.3,
  shiftSpeed: rpm(8000),
  shiftTime: 0,
  launchSpeed: rpm(4000),
  mass: 1200,
  driven: 'rear',
  frontShare: 0.5,
  wheelbase: 2.5,
  massHeight: 0.5,
  grip: 1e5,
  dragArea: 0,
  rollingResistance: 0,
  airDensity: 1.2,
  wheelInertia: 0,
  engineInertia: 0,
  clutchTorque: null,
  clutchMass: 8,
}
const real: LaunchCar = {
  ...bare,
  curve: [1500, 2500, 3500, 4500, 5500, 6500, 7000].map((n, i) => ({
    speed: rpm(n),
    torque: [190, 225, 245, 250, 240, 215, 195][i]!,
  })),
  ratios: [3.3, 2.05, 1.45],
  shiftSpeed: rpm(6900),
  shiftTime: 0.3,
  grip: 1.1,
  dragArea: 0.7,
  rollingResistance: 0.014,
  wheelInertia: 4,
  engineInertia: 0.15,
}

describe('launchGrip', () => {
  it('is worked by hand for each drive, on μ 1 with the mass 0.5 m up over 2.5 m', () => {
    const car = { ...bare, grip: 1, mass: 1000 }
    const weight = 1000 * STANDARD_GRAVITY
    expect(launchGrip({ ...car, driven: 'all' }, 0)).toBeCloseTo(weight)
    // Half the weight, over 1 ∓ 0.2.
    expect(launchGrip({ ...car, driven: 'rear' }, 0)).toBeCloseTo((0.5 * weight) / 0.8)
    expect(launchGrip({ ...car, driven: 'front' }, 0)).toBeCloseTo((0.5 * weight) / 1.2)
  })
  it('never exceeds the whole car’s weight', () =>
    expect(launchGrip({ ...bare, grip: 4, massHeight: 0.7 }, 0)).toBeCloseTo(4 * 1200 * STANDARD_GRAVITY))
})

describe('launch against what can be worked out by hand', () => {
  it('covers a distance at a constant force in √(2s·m/F)', () => {
    // 300 N·m × 12 / 0.3 m = 12 kN on 1,200 kg: 10 m/s².
    const { time, acceleration, limit } = launch(bare, rpm(7000), 20)
    expect(time).toBeCloseTo(2, 3)
    expect(acceleration).toBeCloseTo(10, 6)
    expect(limit).toBe('engine')
  })
  it('leaves as much heat in the clutch as it puts into the car, while it slips at one engine speed', () => {
    // Half of torque × engine speed × time is slip: the other half moves the car.
    const run = launch(bare, rpm(4000), 200)
    const atLock = (rpm(4000) * 0.3) / 12
    expect(run.clutchEnergy).toBeCloseTo(0.5 * 1200 * atLock ** 2, -2)
    expect(run.slipTime).toBeCloseTo(atLock / 10, 2)
    expect(run.clutchRise).toBeCloseTo(run.clutchEnergy / (8 * 480), 9)
  })
  it('says what holds it back', () => {
    expect(launch({ ...bare, grip: 0.8 }, rpm(4000), 20).limit).toBe('grip')
    expect(launch({ ...bare, clutchTorque: 200 }, rpm(4000), 20).limit).toBe('clutch')
    expect(launch({ ...bare, clutchTorque: 200 }, rpm(4000), 20).acceleration).toBeCloseTo(20 / 3, 6)
  })
  it('doesn’t move a car whose brakes hold harder than its engine pulls', () =>
    expect(launch({ ...bare, rollingResistance: 2 }, rpm(4000), 20)).toMatchObject({ time: null, speed: 0 }))
  it('refuses a clutch without steel', () =>
    expect(() => launch({ ...bare, clutchMass: 0 }, rpm(4000), 20)).toThrow('clutch'))
})

describe('properties of a launch', () => {
  const speed = fc.integer({ min: 2000, max: 6500 }).map(rpm)
  const grip = fc.double({ min: 0.3, max: 2, noNaN: true })
  const drive = fc.constantFrom('front' as const, 'rear' as const, 'all' as const)
  it('more grip never lengthens it', () => {
    fc.assert(
      fc.property(speed, grip, grip, drive, (at, a, b, driven) => {
        const time = (g: number) => launch({ ...real, driven, grip: g }, at, 20).time!
        expect(time(Math.max(a, b))).toBeLessThanOrEqual(time(Math.min(a, b)) + 1e-9)
      }),
      { numRuns: 60 },
    )
  })
  it('work of the engine is what the car gained, lost and heated, within 0.1 %', () => {
    fc.assert(
      fc.property(speed, grip, drive, fc.integer({ min: 10, max: 150 }), (at, g, driven, distance) => {
        const { energy } = launch({ ...real, driven, grip: g }, at, distance)
        expect(Math.abs(energy.engine - energy.kinetic - energy.losses)).toBeLessThan(energy.engine * 1e-3)
      }),
      { numRuns: 60 },
    )
  })
})

describe('bestLaunch', () => {
  const speeds = Array.from({ length: 10 }, (_, i) => rpm(2000 + i * 500))
  it('takes the least heat among the quickest', () => {
    const { tried, best } = bestLaunch({ ...real, grip: 0.7 }, speeds, 20)
    // Grip is the limit at any of these speeds, so the lowest that holds it does.
    const quickest = Math.min(...tried.map((l) => l.time!))
    expect(best!.time!).toBeLessThanOrEqual(quickest + 0.005)
    for (const other of tried.filter((l) => l.time! <= quickest + 0.005))
      expect(best!.clutchEnergy).toBeLessThanOrEqual(other.clutchEnergy)
  })
  it('has none for a car that doesn’t move', () =>
    expect(bestLaunch({ ...bare, rollingResistance: 2 }, speeds, 20).best).toBeNull())
})
