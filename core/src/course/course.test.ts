import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { straightLine } from '../driveline/straightLine'
import { courseFrom } from './courseFrom'
import { enginePull } from './enginePull'
import { cornerSpeed, lapTime, type CourseLine, type LapCar } from './lapTime'

/** 200 kW at every speed, in one long gear box; nothing holds it back and nothing turns. */
const power = (watts: number) =>
  Array.from({ length: 400 }, (_, i) => ({ speed: 20 + i * 3, torque: watts / (20 + i * 3) }))
const car: LapCar = {
  curve: power(200_000),
  ratios: [12, 8, 6, 4, 3, 2, 1.5, 1],
  finalDrive: 4,
  rollingRadius: 0.3,
  shiftSpeed: 1200,
  shiftTime: 0,
  launchSpeed: 20,
  mass: 1200,
  driven: 'all',
  frontShare: 0.5,
  wheelbase: 2.5,
  massHeight: 0,
  grip: 1.2,
  dragArea: 0,
  rollingResistance: 0,
  airDensity: 1.225,
  wheelInertia: 0,
  engineInertia: 0,
  downforceFront: 0,
  downforceRear: 0,
}
const circle = (radius: number): CourseLine => ({
  sections: [{ length: 2 * Math.PI * radius, radius }],
  closed: true,
})

describe('cornerSpeed', () => {
  // Computed independently of this project: R 50 m and 120 m, μ 1.2, without and with C_LA 2.0 at 1200 kg.
  it.each([
    [50, 0, 24.257],
    [50, 2, 25.036],
    [120, 0, 37.579],
    [120, 2, 40.688],
  ])('is the handbook’s at %d m with %d m² of downforce', (radius, downforceArea, speed) => {
    expect(cornerSpeed({ radius, downforceArea, mass: 1200, grip: 1.2, airDensity: 1.225 })).toBeCloseTo(
      speed,
      2,
    )
  })
  it('knows no limit where downforce outgrows the corner', () => {
    expect(cornerSpeed({ radius: 2000, downforceArea: 4, mass: 600, grip: 1.5, airDensity: 1.2 })).toBe(
      Infinity,
    )
  })
})

describe('lapTime', () => {
  it('goes round a circle as fast as the tyres hold: 12.951 s for R 50 m, μ 1.2', () => {
    const lap = lapTime(car, circle(50))
    expect(lap.time).toBeCloseTo(12.951, 2)
    expect(lap.fastest).toBeCloseTo(24.257, 2)
  })
  it('brakes from 50 m/s at μ 1.2 within 106.2 m', () => {
    // A straight that ends in a corner too tight to carry any speed: where does it begin to slow down?
    const line: CourseLine = {
      sections: [
        { length: 3000, radius: null },
        { length: 3, radius: 3 },
      ],
      closed: false,
    }
    const { trace, fastest } = lapTime({ ...car, curve: power(60_000) }, line)
    const corner = cornerSpeed({ radius: 3, mass: 1200, grip: 1.2, downforceArea: 0, airDensity: 1.225 })
    expect(fastest).toBeGreaterThan(50)
    const peak = trace.findLastIndex((p) => p.speed >= 50)
    const [a, b] = [trace[peak]!, trace[peak + 1]!]
    const at50 =
      a.distance + ((b.distance - a.distance) * (a.speed ** 2 - 2500)) / (a.speed ** 2 - b.speed ** 2)
    // To a standstill: what is left of the corner’s speed takes v²/2μg more.
    expect(3000 - at50 + corner ** 2 / (2 * 1.2 * 9.80665)).toBeCloseTo(106.2, 0)
  })
  it('covers a straight as the straight-line run does', () => {
    const real: LapCar = {
      ...car,
      driven: 'rear',
      massHeight: 0.5,
      dragArea: 0.7,
      rollingResistance: 0.012,
      wheelInertia: 3,
    }
    const line: CourseLine = { sections: [{ length: 402.336, radius: null }], closed: false }
    const run = straightLine(real, { speeds: [], distances: [402.336] }).toDistance[0]!
    const lap = lapTime(real, line)
    expect(Math.abs(lap.time / run.time - 1)).toBeLessThan(0.02)
    expect(Math.abs(lap.trace.at(-1)!.speed / run.speed - 1)).toBeLessThan(0.01)
  })
  it('is never slower with more grip, power or downforce, and never faster with more mass or drag', () => {
    const section = fc.record({
      length: fc.integer({ min: 20, max: 400 }),
      radius: fc.option(fc.integer({ min: 12, max: 250 })),
    })
    fc.assert(
      fc.property(fc.array(section, { minLength: 2, maxLength: 8 }), fc.boolean(), (sections, closed) => {
        const real: LapCar = { ...car, dragArea: 0.7, massHeight: 0.4, driven: 'rear', downforceRear: 0.5 }
        const line = { sections: [{ length: 40, radius: 30 }, ...sections], closed }
        const base = lapTime(real, line).time
        const slack = base * 1e-3
        expect(lapTime({ ...real, grip: 1.35 }, line).time).toBeLessThanOrEqual(base + slack)
        expect(lapTime({ ...real, curve: power(240_000) }, line).time).toBeLessThanOrEqual(base + slack)
        expect(lapTime({ ...real, downforceFront: 0.8 }, line).time).toBeLessThanOrEqual(base + slack)
        expect(lapTime({ ...real, mass: 1300 }, line).time).toBeGreaterThanOrEqual(base - slack)
        expect(lapTime({ ...real, dragArea: 0.9 }, line).time).toBeGreaterThanOrEqual(base - slack)
      }),
      { numRuns: 60 },
    )
  })
  it('is held by the limiter of the last gear, wherever the pieces of a straight happen to end', () => {
    // 300 rad/s in 4 to 1 at 0.3 m: 22.5 m/s, which a lap of 1,000 m takes 44.4 s at.
    const held = { ...car, ratios: [2, 1], shiftSpeed: 300 }
    const oval: CourseLine = {
      sections: [
        { length: 400, radius: null },
        { length: 100, radius: 200 },
        { length: 400, radius: null },
        { length: 100, radius: 200 },
      ],
      closed: true,
    }
    for (const step of [1, 3, 4, 7]) {
      const lap = lapTime(held, oval, { step })
      expect(lap.fastest).toBeCloseTo(22.5, 9)
      expect(lap.time).toBeCloseTo(1000 / 22.5, 2)
    }
  })
  it('comes round a closed course at the speed that it set out with', () => {
    const line: CourseLine = {
      sections: [
        { length: 300, radius: null },
        { length: 60, radius: 25 },
        { length: 150, radius: null },
        { length: 80, radius: 60 },
      ],
      closed: true,
    }
    const { trace } = lapTime(car, line)
    expect(trace.at(-1)!.speed).toBeCloseTo(trace[0]!.speed, 1)
    // Where a lap is begun to be counted doesn't matter.
    const turned = { ...line, sections: [...line.sections.slice(2), ...line.sections.slice(0, 2)] }
    expect(lapTime(car, turned).time).toBeCloseTo(lapTime(car, line).time, 1)
  })
  it('refuses what is no course and no car', () => {
    expect(() => lapTime(car, { sections: [], closed: true })).toThrow('at least one section')
    expect(() => lapTime(car, { sections: [{ length: 0, radius: null }], closed: true })).toThrow('length')
    expect(() => lapTime(car, { sections: [{ length: 9, radius: null }], closed: true })).toThrow('corner')
    expect(() => lapTime({ ...car, grip: 0 }, circle(50))).toThrow('mass and grip')
    expect(() => lapTime({ ...car, curve: [] }, circle(50))).toThrow('curve')
  })
})

describe('courseFrom', () => {
  it('reads straights, corners by length and corners by angle, in the unit that was chosen', () => {
    const { sections, bad } = courseFrom('straight 420\n\nr32 75\nR 32, 90°\n60', 1)
    expect(bad).toEqual([])
    expect(sections.map((s) => s.radius)).toEqual([null, 32, 32, null])
    expect(sections[2]!.length).toBeCloseTo((32 * Math.PI) / 2, 9)
    expect(courseFrom('100', 0.3048).sections[0]!.length).toBeCloseTo(30.48, 9)
  })
  it('names each line that is none, and keeps the others', () => {
    const { sections, bad } = courseFrom('420\nr32\nleft 90\nr32 75', 1)
    expect(sections).toHaveLength(2)
    expect(bad).toEqual([
      { line: 2, text: 'r32' },
      { line: 3, text: 'left 90' },
    ])
  })
})

describe('enginePull', () => {
  const flat = { ...car, curve: [{ speed: 100, torque: 200 }, { speed: 700, torque: 200 }], shiftSpeed: 600 } // prettier-ignore
  const geared = { ...flat, ratios: [3, 2, 1], finalDrive: 4, rollingRadius: 0.3, launchSpeed: 300 }
  it('is torque times all ratios over the radius, in the gear that pulls hardest', () => {
    const { pull } = enginePull(geared)
    // First gear turns the engine at 600 rad/s at 15 m/s: from there on it is second, to 22.5 m/s, then third.
    expect(pull(10)).toBeCloseTo((200 * 12) / 0.3, 6)
    expect(pull(18)).toBeCloseTo((200 * 8) / 0.3, 6)
    expect(pull(30)).toBeCloseTo((200 * 4) / 0.3, 6)
  })
  it('pulls off the line with the clutch slipping, and not at all beyond the last gear’s limit', () => {
    const { pull } = enginePull(geared)
    expect(pull(0)).toBeCloseTo((200 * 12) / 0.3, 6)
    expect(pull(46)).toBe(0)
  })
  it('makes the car heavier by what turns, more so in a shorter gear', () => {
    const heavy = enginePull({ ...geared, wheelInertia: 4, engineInertia: 0.2 })
    expect(heavy.inert(10)).toBeCloseTo(1200 + (4 + 0.2 * 144) / 0.09, 6)
    expect(heavy.inert(30)).toBeCloseTo(1200 + (4 + 0.2 * 16) / 0.09, 6)
  })
  it('refuses what is no car', () => {
    expect(() => enginePull({ ...geared, curve: geared.curve.slice(1) })).toThrow('two or more points')
    expect(() => enginePull({ ...geared, ratios: [] })).toThrow('gears and tyres')
    expect(() => enginePull({ ...geared, rollingRadius: 0 })).toThrow('gears and tyres')
  })
})
