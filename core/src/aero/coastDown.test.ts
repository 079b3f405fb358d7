import { describe, expect, it } from 'vitest'
import { STANDARD_GRAVITY } from '../units/constants'
import { coastDown, type CoastRun } from './coastDown'

const car = { mass: 1260, equivalentMass: 55, airDensity: 1.19 }
const TRUE = { dragArea: 0.74, rolling: 0.0135, wind: 1.8 }

/** A car rolling out, integrated in small steps; the log takes every twentieth of a second. */
function rolled(
  direction: CoastRun['direction'],
  wind: number,
  from = 52,
  to = 16,
): { time: number; speed: number }[] {
  const points: { time: number; speed: number }[] = []
  const sign = direction === 'out' ? 1 : -1
  let v = from
  for (let i = 0; v > to; i += 1) {
    if (i % 50 === 0) points.push({ time: i / 1000, speed: v })
    const force =
      TRUE.rolling * car.mass * STANDARD_GRAVITY +
      0.5 * car.airDensity * TRUE.dragArea * (v + sign * wind) ** 2
    v -= (force / (car.mass + car.equivalentMass)) * 0.001
  }
  return points
}

/** Repeatable normal noise. */
function noise(seed: number): () => number {
  let a = seed
  const uniform = () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return (((t ^ (t >>> 14)) >>> 0) + 0.5) / 4294967296
  }
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
}
const noisy = (points: readonly { time: number; speed: number }[], sigma: number, seed: number) => {
  const next = noise(seed)
  return points.map((p) => ({ ...p, speed: p.speed + sigma * next() }))
}

describe('coastDown', () => {
  const out = rolled('out', TRUE.wind)
  const back = rolled('back', TRUE.wind)
  it('gives back what a clean log was made of, wind and all', () => {
    const fit = coastDown(
      [
        { direction: 'out', points: out },
        { direction: 'back', points: back },
      ],
      car,
    )
    expect(fit.dragArea.value).toBeCloseTo(TRUE.dragArea, 3)
    expect(fit.rolling.value).toBeCloseTo(TRUE.rolling, 4)
    expect(fit.wind).toBeCloseTo(TRUE.wind, 2)
    expect(fit.scatter).toBeLessThan(0.002)
  })
  it('does so from one way on a still day, and says nothing of wind', () => {
    const fit = coastDown([{ direction: 'out', points: rolled('out', 0) }], car)
    expect(fit.dragArea.value).toBeCloseTo(TRUE.dragArea, 3)
    expect(fit.wind).toBeNull()
  })
  it('holds the truth in its 90 % interval 87 to 93 times in a hundred, with the noise of a logger', () => {
    const ROUNDS = 600
    let [drag, rolling] = [0, 0]
    for (let i = 0; i < ROUNDS; i += 1) {
      const runs: CoastRun[] = [
        { direction: 'out', points: noisy(out, 0.08, 4 * i + 1) },
        { direction: 'back', points: noisy(back, 0.08, 4 * i + 2) },
      ]
      const fit = coastDown(runs, car)
      const holds = ([low, high]: readonly [number, number], is: number) => (low <= is && is <= high ? 1 : 0)
      drag += holds(fit.dragArea.interval, TRUE.dragArea)
      rolling += holds(fit.rolling.interval, TRUE.rolling)
    }
    process.stdout.write(
      `  90 % intervals of coast-downs held the truth: drag ${((drag / ROUNDS) * 100).toFixed(1)} %, rolling ${((rolling / ROUNDS) * 100).toFixed(1)} %\n`,
    )
    for (const count of [drag, rolling]) {
      expect(count / ROUNDS).toBeGreaterThan(0.87)
      expect(count / ROUNDS).toBeLessThan(0.93)
    }
  })
  it('does so with noise that hangs together along the log, each point keeping 0.97 of the last one’s error', () => {
    const ROUNDS = 600
    const hangingTogether = (
      points: readonly { time: number; speed: number }[],
      sigma: number,
      seed: number,
    ) => {
      const next = noise(seed)
      let error = sigma * next()
      return points.map((p, i) => {
        if (i > 0) error = 0.97 * error + Math.sqrt(1 - 0.97 ** 2) * sigma * next()
        return { ...p, speed: p.speed + error }
      })
    }
    let [drag, rolling] = [0, 0]
    for (let i = 0; i < ROUNDS; i += 1) {
      const runs: CoastRun[] = [
        { direction: 'out', points: hangingTogether(out, 0.08, 4 * i + 1) },
        { direction: 'back', points: hangingTogether(back, 0.08, 4 * i + 2) },
      ]
      const fit = coastDown(runs, car)
      const holds = ([low, high]: readonly [number, number], is: number) => (low <= is && is <= high ? 1 : 0)
      drag += holds(fit.dragArea.interval, TRUE.dragArea)
      rolling += holds(fit.rolling.interval, TRUE.rolling)
    }
    process.stdout.write(
      `  the same with errors that keep 0.97 from point to point: drag ${((drag / ROUNDS) * 100).toFixed(1)} %, rolling ${((rolling / ROUNDS) * 100).toFixed(1)} %\n`,
    )
    for (const held of [drag, rolling]) {
      expect(held / ROUNDS).toBeGreaterThan(0.87)
      expect(held / ROUNDS).toBeLessThan(0.93)
    }
  })
  it('says that one way alone can’t tell wind from drag, and holds the truth with a wind that nobody felt', () => {
    const ROUNDS = 200
    let held = 0
    for (let i = 0; i < ROUNDS; i += 1) {
      const wind = 1.5 * noise(9000 + i)()
      const fit = coastDown([{ direction: 'out', points: noisy(rolled('out', wind), 0.08, i) }], car)
      expect(fit.windTaken).toBe(1.5)
      if (fit.dragArea.interval[0] <= TRUE.dragArea && TRUE.dragArea <= fit.dragArea.interval[1]) held += 1
    }
    process.stdout.write(
      `  one way in a wind of 1.5 m/s nobody measured: drag ${((held / ROUNDS) * 100).toFixed(1)} %\n`,
    )
    expect(held / ROUNDS).toBeGreaterThan(0.83)
    expect(held / ROUNDS).toBeLessThan(0.96)
    const both = coastDown(
      [
        { direction: 'out', points: noisy(out, 0.08, 1) },
        { direction: 'back', points: noisy(back, 0.08, 2) },
      ],
      car,
    )
    const alone = coastDown([{ direction: 'out', points: noisy(rolled('out', 0), 0.08, 1) }], car)
    expect(both.windTaken).toBeNull()
    expect(alone.dragArea.sigma).toBeGreaterThan(3 * both.dragArea.sigma)
  })
  it('scales the drag area with the air, and the rolling with nothing', () => {
    const runs: CoastRun[] = [{ direction: 'out', points: rolled('out', 0) }]
    const thin = coastDown(runs, { ...car, airDensity: car.airDensity / 2 })
    expect(thin.dragArea.value).toBeCloseTo(2 * coastDown(runs, car).dragArea.value, 6)
    expect(thin.rolling.value).toBeCloseTo(coastDown(runs, car).rolling.value, 9)
  })
  it('refuses a run that speeds up, goes back in time, or is too short or too narrow', () => {
    const fit = (points: CoastRun['points']) => () => coastDown([{ direction: 'out', points }], car)
    const up = out.map((p, i) => ({ ...p, speed: out[out.length - 1 - i]!.speed }))
    expect(fit(up)).toThrow('a coast-down slows down: this one goes from 58 to 187 km/h')
    expect(fit(out.slice(0, 4))).toThrow('10 points')
    expect(fit([...out].reverse())).toThrow('rise')
    expect(() => coastDown([], car)).toThrow('a run')
    expect(() => coastDown([{ direction: 'out', points: out }], { ...car, mass: 0 })).toThrow('above zero')
  })
})
