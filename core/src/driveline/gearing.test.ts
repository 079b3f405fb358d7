import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PullPoint } from '../power/pull'
import { axleGrip, type DrivenAxle } from './axleGrip'
import { driftWindows } from './driftWindow'
import { equivalentMass } from './equivalentMass'
import {
  engineSpeedAt,
  overallsOf,
  roadLoad,
  roadSpeedAt,
  topSpeed,
  tractiveForce,
  type Gearing,
} from './gearing'
import { shiftPoints } from './shiftPoints'
import { slidePull } from './slidePull'
import { rollingRadius, tyreSize } from './tyreSize'

const rpm = (n: number) => (n * Math.PI) / 30
const KMH = 1 / 3.6
const curve = (torque: (n: number) => number, from = 1000, to = 7500): PullPoint[] =>
  Array.from({ length: 131 }, (_, i) => {
    const n = from + ((to - from) * i) / 130
    return { speed: rpm(n), torque: torque(n) }
  })
const gearing: Gearing = {
  ratios: [3.3, 2.05, 1.5, 1.15, 0.9],
  finalDrive: 4.1,
  between: 1,
  rollingRadius: 0.31,
  growth: 0,
  limiter: rpm(7000),
}
const load = { mass: 1200, dragArea: 0.7, rollingResistance: 0.012, airDensity: 1.225 }

describe('tyreSize', () => {
  // Published diameters of these sizes, as the metric code defines them.
  it.each([
    ['265/35R18', 642.7],
    ['225/45R17', 634.3],
    ['205/50R16', 611.4],
    ['195/60R14', 589.6],
    ['185/60R13', 552.2],
  ])('%s is %d mm across', (text, mm) => {
    const size = tyreSize(text)
    expect('diameter' in size && size.diameter * 1000).toBeCloseTo(mm, 1)
  })
  it.each([
    '265/35R18',
    '265/35 R18',
    '265/35ZR18',
    '265-35-18',
    '265 35 18',
    'P265/35R18 97Y',
    ' 265 / 35 r 18 ',
  ])('reads “%s”', (text) => expect(tyreSize(text)).toMatchObject({ width: 0.265, aspect: 0.35 }))
  it.each(['26535R18', 'wide', '', '265/35', '26/35R18', '265/3R18', '265/35R99', 'R18 265'])(
    'refuses “%s” with an example',
    (text) => {
      const size = tyreSize(text)
      expect('problem' in size && size.problem).toMatch(/Write a size such as 265\/35R18/)
    },
  )
  it('takes the roll-out before the diameter before the size', () => {
    const all = { rollOut: 1.95, diameter: 0.64, size: '265/35R18' }
    expect(rollingRadius(all)).toEqual({ radius: 1.95 / (2 * Math.PI), from: 'rollOut' })
    expect(rollingRadius({ ...all, rollOut: null })).toEqual({ radius: 0.3104, from: 'diameter' })
    expect(rollingRadius({ ...all, rollOut: null, diameter: null })!.radius).toBeCloseTo(0.3117, 4)
    expect(rollingRadius({ rollOut: null, diameter: null, size: 'round' })).toBeNull()
  })
})

describe('speeds and forces', () => {
  it('is 206.8 km/h at 7,000 rpm with 642.7 mm unloaded, 1.00 and 4.10', () => {
    const set = { ...gearing, ratios: [1], rollingRadius: (0.97 * 0.6427) / 2 }
    // The handbook’s figure is without the 3 %; both are checked.
    expect(roadSpeedAt({ ...set, rollingRadius: 0.6427 / 2 }, 0, rpm(7000)) / KMH).toBeCloseTo(206.8, 1)
    expect(roadSpeedAt(set, 0, rpm(7000)) / KMH).toBeCloseTo(206.8 * 0.97, 1)
  })
  it('pulls 4,761 N with 240 N·m, 1.5, 4.1 and 0.31 m', () =>
    expect(
      tractiveForce(
        gearing,
        curve(() => 240),
        2,
        30,
      ),
    ).toBeCloseTo(4761, 0))
  it('multiplies drop gears and transfer boxes into every gear', () =>
    expect(overallsOf({ ...gearing, between: 1.2 })[0]).toBeCloseTo(3.3 * 4.1 * 1.2))
  it('turns slower on a tyre that grows, and speed and engine speed undo each other', () => {
    const growing = { ...gearing, growth: 0.02 }
    expect(engineSpeedAt(growing, 4, 60)).toBeLessThan(engineSpeedAt(gearing, 4, 60))
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 4 }),
        fc.double({ min: 900, max: 7000, noNaN: true }),
        (gear, n) => {
          expect(engineSpeedAt(growing, gear, roadSpeedAt(growing, gear, rpm(n)))).toBeCloseTo(rpm(n), 4)
        },
      ),
    )
  })
  it('has none beyond the limiter or below the curve', () => {
    expect(
      tractiveForce(
        gearing,
        curve(() => 240),
        0,
        60,
      ),
    ).toBeNull()
    expect(
      tractiveForce(
        gearing,
        curve(() => 240, 3000),
        4,
        5,
      ),
    ).toBeNull()
  })
  it('never pulls harder with a taller final drive', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2.5, max: 5, noNaN: true }),
        fc.double({ min: 8, max: 25, noNaN: true }),
        (final, v) => {
          const flat = curve(() => 240, 200)
          const force = (f: number) => tractiveForce({ ...gearing, finalDrive: f }, flat, 1, v)
          const [tall, short] = [force(final), force(final * 1.1)]
          if (tall !== null && short !== null) expect(tall).toBeLessThan(short)
        },
      ),
    )
  })
  it('tops out at 274.1 km/h with 200 kW at the wheels, and at the limiter with short gears', () => {
    const power = curve((n) => 200e3 / rpm(n))
    const tall = { ...gearing, ratios: [1, 0.8], finalDrive: 3 }
    const top = topSpeed(tall, power, load)!
    expect(top.speed / KMH).toBeCloseTo(274.1, 0)
    expect(top.limit).toBe('power')
    expect(topSpeed({ ...gearing, ratios: [2] }, power, load)).toMatchObject({ gear: 0, limit: 'gearing' })
    expect(roadLoad(load, top.speed) * top.speed).toBeCloseTo(200e3, -2)
    expect(
      topSpeed(
        gearing,
        curve(() => 1),
        load,
      ),
    ).toBeNull()
  })
  it('weighs a slope in', () =>
    expect(roadLoad({ ...load, slope: 0.1 }, 0)).toBeCloseTo(
      (0.112 * 1200 * 9.80665) / Math.hypot(1, 0.1),
      6,
    ))
})

describe('shiftPoints', () => {
  it('shifts at the limiter where torque is flat: the lower gear always pulls harder', () => {
    const points = shiftPoints(
      gearing,
      curve(() => 240),
      load,
      [rpm(500)],
    )
    expect(points).toHaveLength(4)
    for (const p of points) {
      expect(p.atLimiter).toBe(true)
      expect(p.best).toBeCloseTo(rpm(7000), 3)
      expect(p.early[0]!.costs).toBeGreaterThan(0)
    }
    expect((points[0]!.lands * 30) / Math.PI).toBeCloseTo((7000 * 2.05) / 3.3, 0)
  })
  it('says where a curve ends below the limiter: nobody has pulled as far', () => {
    const flat = curve(() => 240)
    const shorter = flat.filter((p) => p.speed < rpm(6500))
    const [first] = shiftPoints(gearing, shorter, load, [])
    expect(first).toMatchObject({ atLimiter: false, atCurveEnd: true, best: shorter.at(-1)!.speed })
    expect(shiftPoints(gearing, flat, load, [])[0]).toMatchObject({ atLimiter: true, atCurveEnd: false })
  })
  it('shifts where the forces are equal where torque falls away', () => {
    const falling = curve((n) => (n < 4500 ? 240 : 240 - (n - 4500) * 0.06))
    const [first] = shiftPoints(gearing, falling, load, [rpm(250), rpm(500), 0])
    expect(first!.atLimiter).toBe(false)
    const own = tractiveForce(gearing, falling, 0, first!.roadSpeed)!
    expect(tractiveForce(gearing, falling, 1, first!.roadSpeed)!).toBeCloseTo(own, 0)
    const [a, b, none] = first!.early
    // Equal forces at the best point: leaving it by twice as much costs about four times as much.
    expect(b!.costs / a!.costs).toBeGreaterThan(3)
    expect(none!.costs).toBeCloseTo(0, 9)
  })
  it('is never better early', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.09, noNaN: true }),
        fc.double({ min: 50, max: 1500, noNaN: true }),
        (fall, by) => {
          const c = curve((n) => 240 - Math.max(0, n - 4000) * fall)
          for (const point of shiftPoints(gearing, c, load, [rpm(by)]))
            expect(point.early[0]!.costs).toBeGreaterThanOrEqual(-1e-6)
        },
      ),
      { numRuns: 30 },
    )
  })
})

describe('driftWindows', () => {
  const axle: DrivenAxle = {
    mass: 1280,
    share: 0.47,
    lever: 0.19,
    driven: 'rear',
    grip: 1.05,
    downforceArea: 0,
    airDensity: 1.2,
  }
  const turbo = curve((n) => 160 + 260 / (1 + Math.exp(-(n - 4300) / 220)), 2000, 7000)
  const set: Gearing = { ...gearing, ratios: [3.32, 1.99, 1.37, 1, 0.8], rollingRadius: 0.316 }
  const wanted = { threshold: rpm(4300), slip: [1.1, 1.6] } as const

  it('adds what accelerating moves onto rear wheels and takes it off front ones', () => {
    const still = { ...axle, lever: 0 }
    expect(axleGrip(still, 20)).toBeCloseTo(1.05 * 1280 * 9.80665 * 0.47, 6)
    expect(axleGrip(axle, 20)).toBeGreaterThan(axleGrip(still, 20))
    expect(axleGrip({ ...axle, driven: 'front' }, 20)).toBeLessThan(
      axleGrip({ ...still, driven: 'front' }, 20),
    )
    expect(axleGrip({ ...axle, downforceArea: 1 }, 40)).toBeGreaterThan(axleGrip(axle, 40))
  })
  it('keeps the engine between threshold and limiter and the slip in range, everywhere in a window', () => {
    for (const { gear, window } of driftWindows(set, turbo, axle, wanted)) {
      if (!window) continue
      const overall = overallsOf(set)[gear]!
      const slowestWheel = (rpm(4300) / overall) * set.rollingRadius
      const fastestWheel = (rpm(7000) / overall) * set.rollingRadius
      expect(window[0] * 1.6).toBeGreaterThanOrEqual(slowestWheel - 0.2)
      expect(window[1] * 1.1).toBeLessThanOrEqual(fastestWheel + 0.2)
    }
  })
  it('asks a slide for the part of the friction that points along the wheel, everywhere in a window', () => {
    const windows = driftWindows(set, turbo, axle, { ...wanted, slipAngle: 0.6 })
    const standing = 1.05 * 1280 * 9.80665 * 0.47
    for (const { gear, window } of windows) {
      if (!window) continue
      for (const v of [window[0] + 0.15, (window[0] + window[1]) / 2, window[1] - 0.15]) {
        const best = Math.max(
          ...Array.from({ length: 51 }, (_, i) => {
            const spin = 1.1 + i * 0.01
            const turning = engineSpeedAt(set, gear, v * spin)
            if (turning < rpm(4300) || turning > rpm(7000)) return 0
            return tractiveForce(set, turbo, gear, v * spin)! / (standing * slidePull(0.6, spin))
          }),
        )
        expect(best).toBeGreaterThan(0.97)
      }
    }
  })
  it('holds a slide with far less than it takes to break loose', () => {
    const fourth = driftWindows(set, turbo, axle, wanted)[3]!
    expect(fourth.breaksLoose).toBeLessThan(1)
    expect(fourth.margin).toBeGreaterThan(fourth.breaksLoose)
  })
  it('explains why second is over soon while fifth won’t hold the slide', () => {
    const grippy = { ...axle, grip: 1.9 }
    const windows = driftWindows(set, turbo, grippy, wanted)
    expect(windows[1]!.window).not.toBeNull()
    expect(windows[1]!.upper).toBe('limiter')
    expect(windows[4]!.window).toBeNull()
    expect(windows[4]!.margin).toBeLessThan(1)
  })
  it('only widens with less grip, and a shorter final drive moves it down', () => {
    const wide = (w: readonly [number, number] | null) => (w ? w[1] - w[0] : 0)
    const base = driftWindows(set, turbo, axle, wanted)
    const icy = driftWindows(set, turbo, { ...axle, grip: 0.8 }, wanted)
    icy.forEach((w, i) => expect(wide(w.window)).toBeGreaterThanOrEqual(wide(base[i]!.window) - 0.11))
    const short = driftWindows({ ...set, finalDrive: 4.5 }, turbo, axle, wanted)
    expect(short[1]!.window![1]).toBeLessThan(base[1]!.window![1])
    expect(() => driftWindows(set, turbo, axle, { ...wanted, slip: [1.6, 1.1] })).toThrow('slip')
    expect(() => driftWindows(set, turbo, axle, { ...wanted, slipAngle: 2 })).toThrow('90°')
  })
})

describe('slidePull', () => {
  const deg = Math.PI / 180
  // Computed independently of this project from the saturated friction of an isotropic tyre.
  it.each([
    [30, 1.3, 0.6555],
    [40, 1.2, 0.5595],
    [35, 1.1, 0.4398],
  ])('at %d° and %d times the road speed is %d of the friction', (angle, spin, share) =>
    expect(slidePull(angle * deg, spin)).toBeCloseTo(share, 3),
  )
  it('is all of it with the car straight, and none where the wheel rolls along', () => {
    expect(slidePull(0, 1.3)).toBe(1)
    expect(slidePull(30 * deg, Math.cos(30 * deg))).toBe(0)
    expect(slidePull(0, 1)).toBe(0)
  })
  it('rises with wheel speed, and never leaves 0 to 1', () => {
    const angle = fc.double({ min: 0.05, max: 1.2, noNaN: true })
    const spin = fc.double({ min: 1.05, max: 2, noNaN: true })
    fc.assert(
      fc.property(angle, spin, (a, k) => {
        expect(slidePull(a, k + 0.1)).toBeGreaterThan(slidePull(a, k))
        expect(slidePull(a, k)).toBeGreaterThan(0)
        expect(slidePull(a, k)).toBeLessThan(1)
      }),
    )
  })
})

describe('equivalentMass', () => {
  it('feels 4 kg·m² of wheels as 41.6 kg on 0.31 m, and the engine most in first', () => {
    const parts = { wheels: 4, propshaft: 0.02, engine: 0.15 }
    const first = equivalentMass(parts, { ratio: 3.3, finalDrive: 4.1 }, 0.31)
    const fifth = equivalentMass(parts, { ratio: 0.9, finalDrive: 4.1 }, 0.31)
    expect(first.fromWheels).toBeCloseTo(41.6, 1)
    expect(first.fromEngine).toBeGreaterThan(10 * fifth.fromEngine)
    expect(first.total).toBeCloseTo(first.fromWheels + first.fromPropshaft + first.fromEngine, 9)
    expect(() => equivalentMass(parts, { ratio: 1, finalDrive: 4 }, 0)).toThrow('radius')
  })
  it('is the kinetic energy of the parts at any speed', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 70, noNaN: true }), (v) => {
        const spin = (v / 0.31) * 4.1 * 2
        const { fromEngine } = equivalentMass(
          { wheels: 0, propshaft: 0, engine: 0.2 },
          { ratio: 2, finalDrive: 4.1 },
          0.31,
        )
        expect(0.5 * fromEngine * v * v).toBeCloseTo(0.5 * 0.2 * spin * spin, 6)
      }),
    )
  })
})
