import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { PullPoint } from '../power/pull'
import { straightLine, type StraightLineCar } from './straightLine'

const rpm = (n: number) => (n * Math.PI) / 30
const QUARTER = 402.336
/** The same power at every engine speed. */
const constantPower = (watts: number, from: number, to: number): PullPoint[] =>
  Array.from({ length: 400 }, (_, i) => {
    const speed = from * (to / from) ** (i / 399)
    return { speed, torque: watts / speed }
  })
const ideal: StraightLineCar = {
  curve: constantPower(200e3, 20, 2000),
  ratios: [1],
  finalDrive: 4,
  rollingRadius: 0.31,
  shiftSpeed: 2000,
  shiftTime: 0,
  launchSpeed: 0,
  mass: 1200,
  driven: 'all',
  frontShare: 0.5,
  wheelbase: 2.5,
  massHeight: 0.5,
  grip: 1e6,
  dragArea: 0,
  rollingResistance: 0,
  airDensity: 1.225,
  wheelInertia: 0,
  engineInertia: 0,
}
/** A car that one could meet. */
const street = (more: Partial<StraightLineCar> = {}): StraightLineCar => ({
  ...ideal,
  curve: [1500, 2500, 3500, 4500, 5500, 6500, 7000].map((n, i) => ({
    speed: rpm(n),
    torque: [190, 225, 245, 250, 240, 215, 195][i]!,
  })),
  ratios: [3.3, 2.05, 1.45, 1.1, 0.87],
  finalDrive: 4.1,
  shiftSpeed: rpm(6900),
  shiftTime: 0.35,
  launchSpeed: rpm(3500),
  mass: 1200,
  driven: 'rear',
  frontShare: 0.52,
  grip: 1.1,
  dragArea: 0.7,
  rollingResistance: 0.012,
  wheelInertia: 4,
  engineInertia: 0.12,
  ...more,
})

describe('straightLine against what can be worked out by hand', () => {
  it('follows v² = v₀² + 2Pt/m at constant power without losses, and s = ⅔√(2P/m)·t^1.5 from nearly standing', () => {
    const from = 5
    const run = straightLine(ideal, { speeds: [57.735], distances: [384.9] }, { from, gear: 0 })
    expect(run.toSpeed[0]).toBeCloseTo((1200 * (57.735 ** 2 - 25)) / 400e3, 2)
    // From a standstill 10 s reach 57.735 m/s and 384.90 m; a start at 5 m/s is 0.075 s and 0.25 m into that.
    expect(run.toDistance[0]!.time).toBeCloseTo(10 - 0.075 + 0.25 / 57.735, 1)
  })
  it('settles at the top speed where power is road load: 200 kW, C_DA 0.70, C_rr 0.012, 1200 kg give 274.1 km/h', () => {
    const car = { ...ideal, dragArea: 0.7, rollingResistance: 0.012 }
    const { trace } = straightLine(car, { speeds: [400], distances: [] }, { from: 60, gear: 0 })
    expect(trace.at(-1)!.speed * 3.6).toBeCloseTo(274.1, 0)
  })
  it('accelerates at μ·g with all wheels driven, and with the transfer on the rear ones', () => {
    const strong = { ...ideal, curve: constantPower(5e6, 20, 2000), grip: 1 }
    expect(straightLine(strong, { speeds: [9.80665 * 2], distances: [] }).toSpeed[0]).toBeCloseTo(2, 2)
    // Rear: a = μ g (1 − front) / (1 − μ h/L) = 9.80665 · 0.5 / 0.8.
    const rear = { ...strong, driven: 'rear' as const }
    expect(straightLine(rear, { speeds: [6.129156], distances: [] }).toSpeed[0]).toBeCloseTo(1, 2)
    const front = { ...strong, driven: 'front' as const }
    expect(straightLine(front, { speeds: [4.086104], distances: [] }).toSpeed[0]).toBeCloseTo(1, 2)
  })
  it('lies between Huntington’s and Hale’s elapsed times for a car of 2200 lb and 300 hp on sticky tyres: 12.22 and 11.32 s', () => {
    const mass = 2200 * 0.45359237
    const watts = 300 * 745.6999
    const shape = [0.55, 0.75, 0.88, 0.97, 1, 0.98, 0.93]
    const curve = [2500, 3500, 4500, 5500, 6500, 7000, 7500].map((n, i) => ({
      speed: rpm(n),
      torque: (0.87 * watts * shape[i]!) / rpm(n),
    }))
    const car = street({
      curve,
      mass,
      shiftSpeed: rpm(7400),
      launchSpeed: rpm(5500),
      shiftTime: 0.1,
      grip: 1.6,
      ratios: [2.9, 1.95, 1.45, 1.15],
    })
    const quarter = straightLine(car, { speeds: [], distances: [QUARTER] }).toDistance[0]!
    process.stdout.write(
      `  2200 lb, 300 hp: ${quarter.time.toFixed(2)} s at ${(quarter.speed / 0.44704).toFixed(1)} mph; Hale 11.32 and 120.4, Huntington 12.22 and 115.3\n`,
    )
    expect(quarter.time).toBeGreaterThan(11.32)
    expect(quarter.time).toBeLessThan(12.22)
    expect(quarter.speed / 0.44704).toBeGreaterThan(110)
    expect(quarter.speed / 0.44704).toBeLessThan(120.4)
  })
  it('keeps Fox’s law: elapsed time goes with the cube root of mass over power when nothing else acts', () => {
    const time = (watts: number, mass: number) => {
      const car = { ...ideal, curve: constantPower(watts, 5, 5000), mass, shiftSpeed: 5000 }
      return straightLine(car, { speeds: [], distances: [QUARTER] }, { from: 0.5, gear: 0 }).toDistance[0]!
        .time
    }
    expect(time(200e3, 1200) / time(100e3, 1200)).toBeCloseTo(0.5 ** (1 / 3), 2)
    expect(time(200e3, 1600) / time(200e3, 800)).toBeCloseTo(2 ** (1 / 3), 2)
  })
  it('loses a shift’s time to each shift', () => {
    const at = (shiftTime: number) =>
      straightLine(street({ shiftTime }), { speeds: [100 / 3.6], distances: [] })
    const [none, slow] = [at(0), at(0.5)]
    expect(slow.shifts).toBe(none.shifts)
    const lost = slow.toSpeed[0]! - none.toSpeed[0]!
    expect(lost / none.shifts).toBeGreaterThan(0.5)
    expect(lost / none.shifts).toBeLessThan(0.6)
  })
  it('feels what turns as mass: 4 kg·m² on 0.31 m is 41.6 kg', () => {
    const spinning = straightLine(
      { ...ideal, wheelInertia: 4 },
      { speeds: [50], distances: [] },
      { from: 10, gear: 0 },
    )
    const heavier = straightLine(
      { ...ideal, mass: 1200 + 4 / 0.31 ** 2 },
      { speeds: [50], distances: [] },
      { from: 10, gear: 0 },
    )
    expect(spinning.toSpeed[0]).toBeCloseTo(heavier.toSpeed[0]!, 6)
  })
  it('never gains from more mass or drag, nor loses by more power or grip', () => {
    const time = (car: StraightLineCar) =>
      straightLine(car, { speeds: [], distances: [QUARTER] }).toDistance[0]!.time
    const base = time(street())
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.4, noNaN: true }), (more) => {
        const car = street()
        expect(time({ ...car, mass: car.mass * (1 + more) })).toBeGreaterThan(base)
        expect(time({ ...car, dragArea: car.dragArea * (1 + more) })).toBeGreaterThan(base)
        expect(time({ ...car, grip: car.grip * (1 + more) })).toBeLessThanOrEqual(base + 1e-9)
        expect(
          time({ ...car, curve: car.curve.map((p) => ({ ...p, torque: p.torque * (1 + more) })) }),
        ).toBeLessThan(base)
      }),
      { numRuns: 15 },
    )
  })
  it('says null where a car never gets there, and what a run lacks', () => {
    expect(straightLine(street(), { speeds: [150], distances: [] }).toSpeed[0]).toBeNull()
    expect(() => straightLine(street({ ratios: [] }), { speeds: [], distances: [] })).toThrow('gears')
    expect(() => straightLine(street({ mass: 0 }), { speeds: [], distances: [] })).toThrow('mass')
    expect(() => straightLine(street({ curve: [] }), { speeds: [], distances: [] })).toThrow('curve')
  })
})

describe('the straight-line model on the open data of about 400 road cars (vega-datasets, cars.json)', () => {
  const file = new URL('../../../node_modules/vega-datasets/data/cars.json', import.meta.url)
  const cars = JSON.parse(readFileSync(file, 'utf8')) as Record<
    'Horsepower' | 'Weight_in_lbs' | 'Acceleration',
    number | null
  >[]
  const rows = cars.flatMap((c) =>
    c.Horsepower && c.Weight_in_lbs && c.Acceleration
      ? [{ watts: c.Horsepower * 745.6999, mass: c.Weight_in_lbs * 0.45359237 + 80, seconds: c.Acceleration }]
      : [],
  )
  // One car for all: three gears, a torque hump, tyres and drag of their day; only weight and power differ.
  const shape = [0.3, 0.52, 0.73, 0.9, 1, 0.96]
  const speeds = [1000, 1800, 2600, 3500, 4400, 5000]
  const timeOf = ({ watts, mass }: { watts: number; mass: number }, k: number) =>
    straightLine(
      {
        ...ideal,
        curve: speeds.map((n, i) => ({ speed: rpm(n), torque: (k * watts * shape[i]!) / rpm(n) })),
        ratios: [2.8, 1.6, 1],
        finalDrive: 3.5,
        shiftSpeed: rpm(4800),
        shiftTime: 0.6,
        launchSpeed: rpm(1800),
        mass,
        driven: 'rear',
        frontShare: 0.55,
        grip: 0.8,
        dragArea: 0.9,
        rollingResistance: 0.015,
        wheelInertia: 5,
        engineInertia: 0.15,
      },
      { speeds: [60 * 0.44704], distances: [] },
    ).toSpeed[0] ?? 60
  const median = (v: number[]) => [...v].sort((a, b) => a - b)[Math.floor(v.length / 2)]!
  const errorsAt = (k: number) => rows.map((row) => Math.abs(timeOf(row, k) / row.seconds - 1))
  const ranks = (v: number[]) => {
    const order = v.map((_, i) => i).sort((a, b) => v[a]! - v[b]!)
    const rank = new Array<number>(v.length)
    for (let i = 0; i < order.length;) {
      let j = i
      while (j < order.length && v[order[j]!] === v[order[i]!]) j += 1
      for (let k = i; k < j; k += 1) rank[order[k]!] = (i + j - 1) / 2
      i = j
    }
    return rank
  }
  it('is within 12 % in the median with one fitted constant, and ranks them as well as a fitted regression does', () => {
    const tried = [0.65, 0.7, 0.75, 0.8].map((k) => ({ k, error: median(errorsAt(k)) }))
    const best = tried.reduce((a, b) => (b.error < a.error ? b : a))
    const a = ranks(rows.map((row) => timeOf(row, best.k)))
    const b = ranks(rows.map((row) => row.seconds))
    // The best that weight and power can do here: a power law with both exponents fitted by least squares
    // ranks the same cars at 0.803 (computed with NumPy and SciPy; a local regression, left one out, at 0.81).
    const FITTED = 0.803
    const mean = (a.length - 1) / 2
    const sum = (f: (i: number) => number) => a.reduce((s, _, i) => s + f(i), 0)
    const rho =
      sum((i) => (a[i]! - mean) * (b[i]! - mean)) /
      Math.sqrt(sum((i) => (a[i]! - mean) ** 2) * sum((i) => (b[i]! - mean) ** 2))
    process.stdout.write(
      `  ${rows.length} cars, ${(best.k * 100).toFixed(0)} % of the stated power at the wheels: median error ${(best.error * 100).toFixed(1)} %, rank correlation ${rho.toFixed(3)} (regression with both exponents fitted: ${FITTED})\n`,
    )
    expect(best.error).toBeLessThanOrEqual(0.12)
    expect(rho).toBeGreaterThanOrEqual(FITTED - 0.02)
  })
})

describe('the energy of a run', () => {
  it('is all there: work in is what the car gained and what was lost, within 0.1 %', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 2, noNaN: true }),
        fc.constantFrom('front' as const, 'rear' as const, 'all' as const),
        fc.integer({ min: 50, max: 1200 }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (grip, driven, distance, shiftTime) => {
          const car = street({ grip, driven, shiftTime })
          const { energy } = straightLine(car, { speeds: [], distances: [distance] })
          const out = energy.kinetic + energy.drag + energy.rolling + energy.shifts
          expect(Math.abs(energy.driven - out)).toBeLessThan(energy.driven * 1e-3)
        },
      ),
      { numRuns: 40 },
    )
  })
  it('is ½mv² without losses or anything that turns', () => {
    const run = straightLine(ideal, { speeds: [], distances: [300] }, { from: 5, gear: 0 })
    const v = run.toDistance[0]!.speed
    expect(run.energy.driven).toBeCloseTo(600 * (v ** 2 - 25), -4)
    expect(run.energy.shifts).toBe(0)
  })
})
