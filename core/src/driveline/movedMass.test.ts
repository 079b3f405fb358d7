import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { axleCarOf, type LapCar } from '../lap/LapCar'
import { lapTime } from '../lap/lapTime'
import type { PullPoint } from '../power/pull'
import { evenAxles } from '../testing/evenAxles'
import { launch, type LaunchCar } from './launch'
import { movedMass } from './movedMass'
import { QUARTER_MILE, straightLine } from './straightLine'

const rpm = (n: number) => (n * Math.PI) / 30
const curveOf = (watts: number): PullPoint[] =>
  [1500, 2500, 3500, 4500, 5500, 6500, 7000].map((n, i) => ({
    speed: rpm(n),
    torque: ([0.76, 0.9, 0.98, 1, 0.96, 0.86, 0.78][i]! * watts) / (0.86 * rpm(6500)),
  }))
const base: LapCar & LaunchCar = {
  curve: curveOf(220_000),
  ratios: [3.3, 2.05, 1.45, 1.1, 0.87],
  finalDrive: 4.1,
  rollingRadius: 0.31,
  shiftSpeed: rpm(6900),
  shiftTime: 0.3,
  launchSpeed: rpm(4000),
  mass: 1200,
  driven: 'rear',
  frontShare: 0.52,
  wheelbase: 2.5,
  massHeight: 0.5,
  grip: 1.1,
  dragArea: 0.7,
  rollingResistance: 0.012,
  airDensity: 1.2,
  wheelInertia: 4.5,
  engineInertia: 0.15,
  downforceFront: 0,
  downforceRear: 0,
  ...evenAxles,
  clutchTorque: null,
  clutchMass: 9,
}
const quarter = (car: LapCar) => straightLine(car, { speeds: [], distances: [QUARTER_MILE] }).toDistance[0]!

describe('movedMass', () => {
  it('charges a tyre with the car and the wheels that roll along, by hand', () => {
    const car = { ...base, mass: 1000, rollingRadius: 0.3, wheelInertia: 4, engineInertia: 0.2 }
    const inWheels = 4 / 0.09
    expect(movedMass(car).atGrip).toBeCloseTo(1000 + inWheels / 2, 9)
    expect(movedMass({ ...car, driven: 'all' }).atGrip).toBe(1000)
    expect(movedMass(car).slipping).toBeCloseTo(1000 + inWheels, 9)
    expect(movedMass(car).inGear[0]).toBeCloseTo(1000 + inWheels + (0.2 * (3.3 * 4.1) ** 2) / 0.09, 9)
  })
  it('charges nothing twice in the gear in which an inertia roller pulled the curve, and only what a shorter one takes more', () => {
    const pulled = movedMass({ ...base, inertiaPulledIn: 3 })
    const plain = movedMass(base)
    expect(pulled.inGear[3]).toBeCloseTo(pulled.atGrip, 9)
    expect(pulled.inGear[4]).toBeCloseTo(pulled.atGrip, 9)
    expect(pulled.inGear[1]! - pulled.inGear[3]!).toBeCloseTo(plain.inGear[1]! - plain.inGear[3]!, 9)
    const held = (car: LapCar) =>
      straightLine(car, { speeds: [50], distances: [] }, { from: 30, gear: 3 }).toSpeed[0]
    const none = { ...base, wheelInertia: 0, engineInertia: 0 }
    const all = { ...base, driven: 'all', inertiaPulledIn: 3 } as const
    expect(held(all)).toBeCloseTo(held({ ...none, driven: 'all' })!, 6)
    expect(() => movedMass({ ...base, inertiaPulledIn: 7 })).toThrow('gear')
  })
})

describe('what grip limits', () => {
  it('takes 2.000 s to 19.613 m/s on μ 1 with all wheels driven and no drag, whatever turns', () => {
    for (const [wheelInertia, engineInertia] of [
      [0, 0],
      [4, 0.15],
      [12, 0.5],
    ] as const) {
      const car = {
        ...base,
        wheelInertia,
        engineInertia,
        curve: curveOf(2e6),
        driven: 'all',
        grip: 1,
        dragArea: 0,
        rollingResistance: 0,
        mass: 1000,
        shiftTime: 0,
      } as const
      expect(straightLine(car, { speeds: [19.6133], distances: [] }).toSpeed[0]).toBeCloseTo(2, 3)
      expect(launch(car, car.launchSpeed, 19.6133).time).toBeCloseTo(2, 2)
    }
  })
  it('makes a rear-drive car of 1,200 kg and 220 kW quicker at 1,000 kg', () => {
    expect(quarter({ ...base, mass: 1000 }).time).toBeLessThan(quarter(base).time)
  })
})

/** Random cars that one could meet, from a shopping car to a monster. */
const cars = fc
  .record({
    watts: fc.integer({ min: 50_000, max: 450_000 }),
    mass: fc.integer({ min: 700, max: 1800 }),
    driven: fc.constantFrom('front' as const, 'rear' as const, 'all' as const),
    grip: fc.double({ min: 0.8, max: 1.8, noNaN: true }),
    frontShare: fc.double({ min: 0.4, max: 0.62, noNaN: true }),
    dragArea: fc.double({ min: 0.4, max: 1, noNaN: true }),
    wheelInertia: fc.double({ min: 0, max: 8, noNaN: true }),
    engineInertia: fc.double({ min: 0, max: 0.4, noNaN: true }),
    shiftTime: fc.double({ min: 0, max: 0.5, noNaN: true }),
    finalDrive: fc.double({ min: 3.2, max: 5, noNaN: true }),
    downforceRear: fc.double({ min: 0, max: 1, noNaN: true }),
    downforceFront: fc.double({ min: 0, max: 0.6, noNaN: true }),
  })
  .map(({ watts, ...more }): LapCar & LaunchCar => ({ ...base, ...more, curve: curveOf(watts) }))
const course = {
  sections: [
    { length: 300, radius: null },
    { length: 60, radius: 40 },
    { length: 150, radius: null },
    { length: 80, radius: 90 },
    { length: 35, radius: 18 },
  ],
  closed: true,
}
const TIMES: Readonly<Record<string, (car: LapCar & LaunchCar) => number>> = {
  run: (car) => quarter(car).time,
  launch: (car) => launch(car, car.launchSpeed, 20).time!,
  // A quicker car may have to shift once more before a corner, and lose by it: shifts take no time here.
  lap: (car) => lapTime(axleCarOf({ ...car, shiftTime: 0 }), course).time,
}

describe.each(Object.entries(TIMES))('a %s over random cars', (_name, time) => {
  it('is never longer with more grip, or with less that turns', () => {
    fc.assert(
      fc.property(cars, fc.double({ min: 0.05, max: 0.3, noNaN: true }), (car, by) => {
        const before = time(car)
        // A step of time is what a run, a launch and a lap are worked out to; a shift may fall this or that side of it.
        const slack = 0.002 + 5e-4 * before
        expect(time({ ...car, grip: car.grip * (1 + by) })).toBeLessThanOrEqual(before + slack)
        expect(time({ ...car, engineInertia: car.engineInertia * (1 - by) })).toBeLessThanOrEqual(
          before + slack,
        )
        expect(time({ ...car, wheelInertia: car.wheelInertia * (1 - by) })).toBeLessThanOrEqual(
          before + slack,
        )
      }),
      { numRuns: 80, endOnFailure: true },
    )
  })
  it('is never longer with less mass, but for what drag makes of tyres that are the limit all along', () => {
    fc.assert(
      fc.property(cars, fc.double({ min: 0.02, max: 0.25, noNaN: true }), (car, by) => {
        const before = time(car)
        // Grip grows with mass, drag and what turns don't: held by its tyres all the way, a lighter car gains nothing
        // and feels the same drag some thousandths more, for each tenth of mass.
        expect(time({ ...car, mass: car.mass * (1 - by) })).toBeLessThanOrEqual(
          before * (1 + 0.15 * by) + 0.002,
        )
      }),
      { numRuns: 80, endOnFailure: true },
    )
  })
  it('is not longer at all with less mass where nothing but mass and tyres acts', () => {
    fc.assert(
      fc.property(cars, fc.double({ min: 0.02, max: 0.25, noNaN: true }), (random, by) => {
        const car = {
          ...random,
          dragArea: 0,
          wheelInertia: 0,
          downforceFront: 0,
          downforceRear: 0,
        }
        const before = time(car)
        expect(time({ ...car, mass: car.mass * (1 - by) })).toBeLessThanOrEqual(before + 0.002)
      }),
      { numRuns: 40, endOnFailure: true },
    )
  })
})

describe('launch and straightLine', () => {
  it('agree over the first 20 m, for random cars and clutches', () => {
    fc.assert(
      fc.property(
        cars,
        fc.option(fc.integer({ min: 150, max: 800 })),
        fc.integer({ min: 2000, max: 6500 }),
        (random, clutchTorque, at) => {
          const car = { ...random, clutchTorque, launchSpeed: rpm(at) }
          const off = launch(car, car.launchSpeed, 20)
          const run = straightLine(car, { speeds: [], distances: [20] }).toDistance[0]!
          expect(Math.abs(off.time! - run.time)).toBeLessThan(0.004 + 0.002 * run.time)
          expect(Math.abs(off.speed - run.speed)).toBeLessThan(0.05 + 0.005 * run.speed)
        },
      ),
      { numRuns: 100, endOnFailure: true },
    )
  })
})
