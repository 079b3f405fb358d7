import {
  brakesLogged,
  coastDown,
  coastStretches,
  cornerScatter,
  cornersOf,
  gearsLogged,
  gripLimits,
  gripShown,
  gripUsed,
  heldStretches,
  itemAt,
  lapTrace,
  logLaps,
  metresFrom,
  rideOf,
  speedsWithin,
  steadyStretches,
  workLogged,
  type RunLog,
} from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { car, lap, length, line, logFrom, logged, origin, points } from './testing/loggedLap'

const log = logFrom(logged([1, 1, 1], { brakes: { front: 4e5, rear: 2e5 } }).csv)
const bare = (channels: Readonly<Record<string, readonly number[]>>, step = 0.1): RunLog => ({
  name: 'made',
  time: Float32Array.from(channels['speed'] ?? [], (_, i) => i * step),
  channels: Object.entries(channels).map(([role, values]) => ({
    name: role,
    role: role as 'speed',
    values: Float32Array.from(values),
  })),
  origin: null,
})

describe('grip that a log shows', () => {
  it('is what the tyres of the car have, where a lap at their limit was logged', () => {
    const limits = gripLimits(car)
    const shown = gripShown(log, 5)
    const corner = itemAt(
      [...lap.points].sort((a, b) => a.speed - b.speed),
      0,
    ).speed
    const at = shown.find((s) => s.from <= corner && s.to > corner && s.sideways !== null)!
    expect(at.sideways! / limits.sideways(corner)).toBeGreaterThan(0.93)
    expect(at.sideways! / limits.sideways(corner)).toBeLessThan(1.05)
    const braking = shown
      .filter((s) => s.braking !== null)
      .map((s) => s.braking! / limits.braking((s.from + s.to) / 2))
    expect(braking.length).toBeGreaterThan(0)
    for (const share of braking) expect(share).toBeLessThan(1.08)
  })
  it('is used up where the car is at its limit, and hardly on a straight at full throttle', () => {
    const limits = gripLimits(car)
    const use = (p: (typeof lap.points)[number]) => gripUsed(limits, p.speed, p.sideways, p.forward)
    const held = lap.points.filter((p) => p.limit === 'front' || p.limit === 'rear')
    for (const p of held) expect(use(p)).toBeGreaterThan(0.9)
    for (const p of lap.points.slice(0, -1)) expect(use(p)).toBeLessThan(1.06)
    const straight = lap.points.filter(
      (p) => p.limit === 'engine' && p.forward > 0 && Math.abs(p.sideways) < 0.1,
    )
    for (const p of straight) expect(use(p)).toBeLessThan(0.05)
  })
  it('grows with speed for a car with downforce, and says nothing of a log without acceleration', () => {
    const limits = gripLimits(car)
    for (let v = 12; v < 60; v += 6) expect(limits.sideways(v + 6)).toBeGreaterThan(limits.sideways(v))
    expect(gripShown({ channels: log.channels.filter((c) => c.role === 'speed') }, 5)).toEqual([])
    expect(() => gripShown(log, 0)).toThrow(RangeError)
  })
})

describe('stretches that other rooms can use', () => {
  const rolls = (v: number, count: number): number[] => {
    const speeds = [v]
    for (let i = 1; i < count; i += 1) {
      const at = speeds[i - 1]!
      speeds.push(at - 0.1 * (0.015 * 9.80665 + (0.5 * 1.2 * 0.7 * at * at) / 1150))
    }
    return speeds
  }
  const coast = rolls(40, 150)
  const drive = Array.from({ length: 100 }, (_, i) => 20 + 0.2 * i)
  const brake = Array.from({ length: 20 }, (_, i) => 20 - 0.9 * i)
  const speed = [...drive, ...coast, ...brake]
  const throttle = [...drive.map(() => 1), ...coast.map(() => 0), ...brake.map(() => 0)]
  const brakeFront = [...drive.map(() => 0), ...coast.map(() => 0), ...brake.map(() => 3e6)]
  it('a coast-down is found where the car rolled out, and gives its drag', () => {
    const made = bare({ speed, throttle, brakeFront })
    const [found, ...others] = coastStretches(made)
    expect(others).toEqual([])
    expect(found!.from).toBeCloseTo(10, 0)
    expect(found!.to).toBeCloseTo(24.9, 0)
    const fit = coastDown([{ direction: 'out', points: speedsWithin(made, found!, 400) }], {
      mass: 1150,
      equivalentMass: 0,
      airDensity: 1.2,
    })
    expect(fit.dragArea.value).toBeCloseTo(0.7, 1)
  })
  it('nothing rolls out in a corner, or for a moment', () => {
    expect(coastStretches(bare({ speed, throttle, brakeFront, sideways: speed.map(() => 5) }))).toEqual([])
    expect(coastStretches(bare({ speed: speed.slice(90, 120), throttle: throttle.slice(90, 120) }))).toEqual(
      [],
    )
    expect(coastStretches(bare({ throttle }))).toEqual([])
  })
  it('held speeds are found, each by itself', () => {
    const held = [
      ...Array<number>(50).fill(25),
      ...Array.from({ length: 50 }, (_, i) => 25 + 0.3 * i),
      ...Array<number>(60).fill(40),
    ]
    const found = heldStretches(bare({ speed: held }))
    expect(found.map((s) => Math.round((s.starts + s.ends) / 2))).toEqual([25, 40])
    expect(itemAt(found, 1).to - itemAt(found, 1).from).toBeGreaterThan(5.5)
  })
  it('points of a stretch begin at nought, rise, and are no more than asked for', () => {
    const at = speedsWithin(log, { from: 10, to: 40 }, 50)
    expect(at.length).toBeLessThanOrEqual(50)
    expect(at[0]!.time).toBeLessThan(0.11)
    at.slice(1).forEach((p, i) => expect(p.time).toBeGreaterThan(at[i]!.time))
  })
})

describe('rides of a log', () => {
  it('are of both axles, in metres, left and right together; nothing where one is missing', () => {
    const made = (names: readonly string[]): RunLog => {
      const log = bare({ speed: Array<number>(40).fill(30) })
      return {
        ...log,
        channels: [
          ...log.channels,
          ...names.map((name, i) => ({ name, role: null, values: log.time.map(() => 20 + i) })),
        ],
      }
    }
    const rows = rideOf(
      made(['damper front left (mm)', 'damper front right (mm)', 'ride rear (cm)', 'brake temp front']),
    )!
    expect(rows).toHaveLength(40)
    expect(rows[0]!.front).toBeCloseTo(0.0205, 6)
    expect(rows[0]!.rear).toBeCloseTo(0.22, 6)
    expect(rideOf(made(['damper front left (mm)']))).toBeNull()
    expect(steadyStretches(rows, { least: 2 })).toHaveLength(1)
  })
})

describe('brakes, gears and work of a log', () => {
  it('pressures keep the proportion of their sensors', () => {
    const found = brakesLogged(log)!
    expect(found.front / found.rear).toBeCloseTo(2, 2)
    expect(found.lasted).toBeGreaterThan(2)
    expect(brakesLogged({ ...log, channels: log.channels.filter((c) => c.role !== 'brakeRear') })).toBeNull()
  })
  it('gears come from engine over road speed where they weren’t logged, and add up', () => {
    const overalls = [12, 8, 6]
    const radius = 0.3
    const speeds = [
      ...Array<number>(100).fill(10),
      ...Array<number>(200).fill(20),
      ...Array<number>(100).fill(30),
    ]
    const engineSpeed = speeds.map((v, i) => (v / radius) * (i < 100 ? 12 : i < 300 ? 8 : 6))
    const made = bare({ speed: speeds, engineSpeed })
    const gears = gearsLogged(made, { overalls, radius })
    expect(gears.map((g) => g.gear)).toEqual([1, 2, 3])
    expect(gears.reduce((sum, g) => sum + g.share, 0)).toBeCloseTo(1, 9)
    expect(itemAt(gears, 1).share).toBeCloseTo(0.5, 2)
    expect(gearsLogged(made, null)).toEqual([])
    expect(gearsLogged(bare({ speed: [1, 2], gear: [0.5, 3] }), null).map((g) => g.gear)).toEqual([3])
  })
  it('work of a logged lap is that of the lap', () => {
    const { laps } = logLaps(log, line, metresFrom([log.origin!], origin)[0])!
    const found = itemAt(laps, 1)
    const work = workLogged(log, car, [found.from, found.to])!
    expect(work / lap.energy.driven).toBeGreaterThan(0.93)
    expect(work / lap.energy.driven).toBeLessThan(1.07)
  })
})

describe('scatter of a driver by corner', () => {
  it('is nothing for laps that are alike, and what the paces differ by for others', () => {
    const corners = cornersOf(points, length, true).map((c) => [c.from, c.to] as const)
    const scatterOf = (paces: readonly number[]) => {
      const one = logFrom(logged(paces, { rate: 20 }).csv)
      const laps = logLaps(one, line, metresFrom([one.origin!], origin)[0])!
      return cornerScatter(
        laps.laps.map((_, i) => lapTrace(one, laps, i, length, 5)),
        corners,
        length,
      )
    }
    for (const { scatter, mean, best } of scatterOf([1, 1, 1])) {
      expect(scatter).toBeLessThan(0.02)
      expect(best).toBeLessThanOrEqual(mean)
    }
    const apart = scatterOf([1, 1.04, 1.02])
    for (const { scatter, mean } of apart) expect(scatter / mean).toBeCloseTo(0.0196, 2)
    expect(() => cornerScatter([], corners, length)).toThrow(RangeError)
  })
})
