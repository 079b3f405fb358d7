import { describe, expect, it } from 'vitest'
import { gearingFigures, solveGearing, type GearingGoal, type GearingTrial } from './compareGearings'
import { driftWindows } from './driftWindow'
import { roadSpeedAt, type Gearing } from './gearing'

const rpm = (n: number) => (n * Math.PI) / 30
const curve = Array.from({ length: 101 }, (_, i) => {
  const n = 2000 + i * 50
  return { speed: rpm(n), torque: 160 + 260 / (1 + Math.exp(-(n - 4300) / 220)) }
})
const gearing: Gearing = {
  ratios: [3.32, 1.99, 1.37, 1, 0.8],
  finalDrive: 4.1,
  between: 1,
  rollingRadius: 0.316,
  growth: 0.006,
  limiter: rpm(7000),
}
const load = { mass: 1280, dragArea: 0.78, rollingResistance: 0.015, airDensity: 1.2 }
const trial: GearingTrial = {
  car: {
    curve,
    ...gearing,
    shiftSpeed: rpm(6900),
    shiftTime: 0.3,
    launchSpeed: rpm(4500),
    ...load,
    driven: 'rear',
    frontShare: 0.53,
    wheelbase: 2.7,
    massHeight: 0.5,
    grip: 1.05,
    wheelInertia: 5,
    engineInertia: 0.19,
  },
  load,
  axle: {
    mass: 1280,
    share: 0.47,
    lever: 0.19,
    driven: 'rear',
    grip: 1.05,
    downforceArea: 0,
    airDensity: 1.2,
  },
  curve,
  threshold: rpm(4500),
  lap: null,
}

describe('gearingFigures', () => {
  it('moves every gear’s speed with the final drive, and needs more shifts with a shorter one', () => {
    const tall = gearingFigures(trial, { ...gearing, finalDrive: 3.2 })
    const short = gearingFigures(trial, { ...gearing, finalDrive: 5 })
    tall.speeds.forEach((v, i) => expect(v).toBeGreaterThan(short.speeds[i]!))
    expect(short.shifts).toBeGreaterThanOrEqual(tall.shifts)
    expect(short.window!.window![1]).toBeLessThan(tall.window!.window![1])
  })
  it('is the same for a final drive as for drop gears of the same ratio, or a tyre as much smaller', () => {
    const base = gearingFigures(trial, { ...gearing, finalDrive: 4.1 * 1.1 })
    const drop = gearingFigures(trial, { ...gearing, between: 1.1 })
    expect(drop.quarterMile).toBeCloseTo(base.quarterMile!, 9)
    expect(drop.topSpeed).toBeCloseTo(base.topSpeed!, 9)
  })
})

describe('solveGearing', () => {
  it('hits a wanted top speed exactly', () => {
    const goal = { kind: 'topSpeed', speed: 58 } as const
    const { value: finalDrive } = solveGearing(trial, gearing, goal, 'finalDrive')
    expect(roadSpeedAt({ ...gearing, finalDrive }, 4, gearing.limiter)).toBeCloseTo(58, 6)
    const { value: rollingRadius } = solveGearing(trial, gearing, goal, 'tyre')
    expect(roadSpeedAt({ ...gearing, rollingRadius }, 4, gearing.limiter)).toBeCloseTo(58, 6)
  })
  it('covers no less of the layout than the gearing there is, and says how much', () => {
    const layout = { entry: 27, exit: 17 }
    const shares: number[] = []
    const solved = solveGearing(trial, gearing, { kind: 'layout', ...layout }, 'finalDrive', (s) =>
      shares.push(s),
    )
    const now = driftWindows(gearing, curve, trial.axle, { threshold: trial.threshold, slip: [1.1, 1.6] })
    const covered = Math.max(
      ...now.map(({ window }) =>
        window ? Math.max(0, Math.min(window[1], 27) - Math.max(window[0], 17)) / 10 : 0,
      ),
    )
    expect(solved.reaches).toBeGreaterThanOrEqual(covered - 1e-9)
    expect(solved.reaches).toBeLessThanOrEqual(1)
    expect(shares.at(-1)).toBe(1)
  })
  it('finds a final drive that is as quick over 402 m as any tried beside it', () => {
    const { value: finalDrive, reaches } = solveGearing(trial, gearing, { kind: 'quarterMile' }, 'finalDrive')
    for (const other of [2.4, 3, 3.6, 4.2, 4.8, 5.4, 6])
      expect(gearingFigures(trial, { ...gearing, finalDrive: other }).quarterMile!).toBeGreaterThanOrEqual(
        reaches - 1e-9,
      )
    expect(gearingFigures(trial, { ...gearing, finalDrive }).quarterMile!).toBeCloseTo(reaches, 9)
  })
  it('refuses goals that are none', () => {
    const solve = (goal: GearingGoal) => () => solveGearing(trial, gearing, goal, 'finalDrive')
    expect(solve({ kind: 'topSpeed', speed: 0 })).toThrow('above zero')
    expect(solve({ kind: 'layout', entry: 10, exit: 20 })).toThrow('entered faster')
    expect(solve({ kind: 'fewestShifts' })).toThrow('course')
  })
  it('finds no more shifts a lap than any tyre beside it, without leaving the boil', () => {
    const lap = Array.from({ length: 25 }, (_, i) => ({ time: i * 3, speed: 28 + 14 * Math.sin(i / 2) }))
    const onCourse = { ...trial, lap }
    const { value, reaches } = solveGearing(onCourse, gearing, { kind: 'fewestShifts' }, 'tyre')
    const figures = (rollingRadius: number) => gearingFigures(onCourse, { ...gearing, rollingRadius }).lap!
    expect(figures(value).shifts).toBe(reaches)
    for (const radius of [0.25, 0.28, 0.3, 0.34]) {
      const other = figures(radius)
      const cost = (l: typeof other) => l.shifts + 100 * (1 - l.inBand)
      expect(cost(other)).toBeGreaterThanOrEqual(cost(figures(value)) - 1e-6)
    }
  })
})
