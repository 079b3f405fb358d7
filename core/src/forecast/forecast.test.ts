import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Grade } from '../evidence/grade'
import { known } from '../evidence/known'
import { frontShare, massState } from '../mass/massState'
import { forecastMass, type ForecastPart } from './forecastMass'
import { quantileOf } from '../numeric/quantileOf'
import { USUAL_GROWTH, type Lean } from './growth'
import { randomBits } from '../numeric/randomBits'
import { skewedTable, TABLE_SIZE } from './skewedTable'
import { normalQuantile, normalShare } from '../numeric/normal'
import { weighNext } from './weighNext'

const wheelbase = 2.4
const shell: ForecastPart = {
  id: 'shell',
  grows: false,
  mass: known(800, 'measured', 2),
  sign: 1,
  position: { x: 1.1, y: 0, z: 0.5 },
  whole: true,
}
const part = (id: string, mass: number, grade: 'guess' | 'claim' | 'measured', x = 1.5): ForecastPart => ({
  id,
  grows: true,
  mass: known(mass, grade),
  sign: 1,
  position: { x, y: 0, z: 0.4 },
})

describe('skewedTable', () => {
  it('has mean 1 and the stated spread, and its middle below its mean', () => {
    for (const relative of [0.05, 0.2, 0.5]) {
      const table = skewedTable(relative)
      const mean = table.reduce((a, b) => a + b) / TABLE_SIZE
      const variance = table.reduce((s, v) => s + (v - mean) ** 2, 0) / TABLE_SIZE
      expect(mean).toBeCloseTo(1, 9)
      expect(Math.sqrt(variance)).toBeCloseTo(relative, 9)
      expect(table[TABLE_SIZE / 2]!).toBeLessThan(1)
      expect(table.every((v, i) => i === 0 || v > table[i - 1]!)).toBe(true)
    }
  })
  it('knows the normal’s quantiles and shares (standard tables)', () => {
    expect(normalQuantile(0.975)).toBeCloseTo(1.959964, 5)
    expect(normalQuantile(0.001)).toBeCloseTo(-3.090232, 5)
    expect(normalShare(1.959964)).toBeCloseTo(0.975, 6)
    expect(normalShare(-1.281552)).toBeCloseTo(0.1, 6)
  })
})

describe('randomBits', () => {
  it('gives the same numbers for the same seed, others for another, and no bit a favourite', () => {
    const [a, b, c] = [randomBits(7), randomBits(7), randomBits(8)]
    expect([a(), a(), a()]).toEqual([b(), b(), b()])
    expect(a()).not.toBe(c())
    const bits = randomBits(1)
    const ones = Array.from({ length: 32 }, () => 0)
    for (let i = 0; i < 20_000; i += 1) {
      const r = bits()
      ones.forEach((_, k) => (ones[k]! += (r >>> k) & 1))
    }
    // Five standard deviations of 20,000 fair tosses.
    for (const n of ones) expect(Math.abs(n - 10_000)).toBeLessThan(5 * Math.sqrt(5000))
  })
})

describe('forecastMass', () => {
  it('with everything weighed gives the books’ own figure and spread', () => {
    const forecast = forecastMass({ parts: [shell, part('a', 40, 'measured')], wheelbase, draws: 50_000 })
    expect(forecast.mass.p50).toBeCloseTo(840, 0)
    expect(forecast.mass.sigma).toBeCloseTo(Math.hypot(2, 0.4), 1)
    const centre = (800 * 1.1 + 40 * 1.5) / 840
    expect(forecast.frontShare.p50).toBeCloseTo(1 - centre / wheelbase, 3)
  })
  it('expects what is still to come to grow by its grade’s allowance, and what comes off not', () => {
    const grown = forecastMass({ parts: [shell, part('a', 100, 'guess')], wheelbase, draws: 60_000 })
    expect(grown.mass.mean).toBeCloseTo(800 + 100 * (1 + USUAL_GROWTH.guess), 0)
    const off: ForecastPart = { ...part('a', 100, 'guess'), sign: -1, grows: false }
    expect(forecastMass({ parts: [shell, off], wheelbase, draws: 60_000 }).mass.mean).toBeCloseTo(700, 0)
  })
  it('knows where a car is as well as the fold does, also one that is only claimed', () => {
    const claimed: ForecastPart = { ...shell, mass: known(900, 'claim') }
    const { frontShare: drawn } = forecastMass({ parts: [claimed], wheelbase, draws: 50_000 })
    const folded = frontShare(massState([claimed]).centre.x, wheelbase)
    expect(drawn.p50).toBeCloseTo(folded.value, 2)
    expect(drawn.sigma / folded.sigma).toBeCloseTo(1, 1)
  })
  it('is skewed: the upper tenth lies farther out than the lower', () => {
    const { mass } = forecastMass({
      parts: [{ ...shell, mass: known(800, 'measured', 0.1) }, part('a', 100, 'guess')],
      wheelbase,
    })
    expect(mass.p90 - mass.p50).toBeGreaterThan(mass.p50 - mass.p10)
  })
  it('gives the same answer again for the same seed', () => {
    const inputs = { parts: [shell, part('a', 30, 'guess')], wheelbase }
    expect(forecastMass(inputs).mass).toEqual(forecastMass(inputs).mass)
  })
  it('counts how often a mark is met, on mass, front share and power to weight', () => {
    const marks = (['mass', 'frontShare', 'powerToWeight'] as const).map((measure) => ({
      id: measure,
      measure,
      target: {
        comparator: measure === 'mass' ? ('atMost' as const) : ('atLeast' as const),
        value: measure === 'mass' ? 834.5 : measure === 'frontShare' ? 0.2 : 300,
        tolerance: 0,
      },
    }))
    const power = known(200e3, 'measured', 1)
    const { probability } = forecastMass({ parts: [shell, part('a', 30, 'guess')], wheelbase, marks, power })
    expect(probability['mass']).toBeGreaterThan(0.4)
    expect(probability['mass']).toBeLessThan(0.7)
    expect(probability['frontShare']).toBe(1)
    // 200 kW over some 834 kg is 240 W/kg.
    expect(probability['powerToWeight']).toBe(0)
  })
  it('refuses a car of which nothing is left', () => {
    const off: ForecastPart = { ...part('a', 900, 'guess'), sign: -1, grows: false }
    expect(() => forecastMass({ parts: [shell, off], wheelbase })).toThrow(RangeError)
  })
  it('its 90 % interval holds the truth 87 to 93 times in a hundred, over 1,000 builds whose guesses lean as they do', () => {
    const { held, builds } = coverage([0.05, 0.95], (uniform, normal) => {
      const lean = { guess: 1 + 0.1 * normal(), claim: 1 + 0.03 * normal(), measured: 1, proven: 1 }
      return ({ planned, grade, sigma }) => {
        // From a lognormal of its own and not from the table that is tested.
        const spread = Math.sqrt(Math.log1p((sigma / planned) ** 2))
        return (
          planned *
          (1 + USUAL_GROWTH[grade]) *
          lean[grade] *
          Math.exp(spread * normalQuantile(uniform() * 0.9998 + 0.0001) - spread ** 2 / 2)
        )
      }
    })
    process.stdout.write(
      `  the 90 % interval of the finished mass held the truth ${held} times in ${builds}\n`,
    )
    expect(held / builds).toBeGreaterThanOrEqual(0.87)
    expect(held / builds).toBeLessThanOrEqual(0.93)
  })
  it('its 80 % interval holds 75 to 85 times on builds that are none of its own: optimism, heavy tails, forgotten parts', () => {
    const world = (uniform: () => number, normal: () => number) => {
      // One head's optimism, the same for all that it guessed; makers flatter too, a little and each in his own way.
      const optimism = 1.1 * (1 + 0.1 * normal())
      const flattered = 1.03 * (1 + 0.03 * normal())
      // A third of the builds forget hardly anything, the others up to a twelfth of what they guessed.
      const forgotten = uniform() < 1 / 3 ? 0.01 : 0.01 + uniform() / 12
      return ({ planned, grade, sigma }: Thought) => {
        const tail = normal() / Math.sqrt((normal() ** 2 + normal() ** 2 + normal() ** 2 + normal() ** 2) / 4)
        const own = Math.max(0.25, 1 + ((sigma / planned) * tail) / Math.SQRT2)
        const common = grade === 'guess' ? optimism + forgotten : grade === 'claim' ? flattered : 1
        return planned * common * own
      }
    }
    const { held, alone, builds } = coverage([0.1, 0.9], world)
    process.stdout.write(
      `  on builds of another kind the 80 % interval held the truth ${held} times in ${builds}; without a common lean ${alone}\n`,
    )
    expect(held / builds).toBeGreaterThanOrEqual(0.75)
    expect(held / builds).toBeLessThanOrEqual(0.85)
    expect(alone / builds).toBeLessThan(0.65)
  })
  it('100 kg guessed on and 60 guessed off lean by 16 kg together, not by 4', () => {
    const sure = (mass: number) => known(mass, 'guess', 1e-6)
    const parts: ForecastPart[] = [
      { ...shell, mass: known(800, 'measured', 0) },
      { ...part('on', 100, 'guess'), mass: sure(100), grows: false },
      { ...part('off', 60, 'guess'), mass: sure(60), sign: -1, grows: false },
    ]
    expect(forecastMass({ parts, wheelbase }).mass.sigma).toBeCloseTo(16, 0)
  })
  it('its 80 % interval holds 75 to 86 times where half of what is open comes off, lighter than it was thought to be', () => {
    const world = (_uniform: () => number, normal: () => number) => {
      const optimism = { guess: 0.03 + 0.1 * normal(), claim: 0.03 * normal(), measured: 0, proven: 0 }
      return ({ planned, grade, sigma, sign }: Thought) => {
        const grown = sign === 1 ? USUAL_GROWTH[grade] : 0
        const own = Math.max(0.25, 1 + (sigma / planned) * normal())
        return planned * (1 + grown) * (1 + sign * optimism[grade]) * own
      }
    }
    const { held, alone, builds } = coverage([0.1, 0.9], world, (i) => (i % 2 === 0 ? 1 : -1))
    process.stdout.write(
      `  with half of what is open coming off, the 80 % interval held the truth ${held} times in ${builds}; without a common lean ${alone}\n`,
    )
    expect(held / builds).toBeGreaterThanOrEqual(0.75)
    expect(held / builds).toBeLessThanOrEqual(0.86)
    expect(alone / builds).toBeLessThan(0.65)
  })
})

/** A part as somebody thought of it before it was there, or off. */
interface Thought {
  readonly planned: number
  readonly grade: Grade
  readonly sigma: number
  readonly sign: 1 | -1
}

/** How often an interval of the forecast holds what some other world makes of its parts. */
function coverage(
  [low, high]: readonly [number, number],
  world: (uniform: () => number, normal: () => number) => (part: Thought) => number,
  signOf: (part: number) => 1 | -1 = () => 1,
): { held: number; alone: number; builds: number } {
  const builds = 1000
  const bits = randomBits(20261123)
  const uniform = () => (bits() >>> 0) / 2 ** 32
  const normal = () => normalQuantile(uniform() * 0.9998 + 0.0001)
  let [held, alone] = [0, 0]
  for (let b = 0; b < builds; b += 1) {
    const parts: ForecastPart[] = [shell]
    const becomes = world(uniform, normal)
    let truth = 800 + 2 * normal()
    for (let i = 0; i < 36; i += 1) {
      const grade = (['guess', 'claim', 'measured'] as const)[i % 3]!
      const planned = 2 + 10 * uniform()
      const sign = signOf(Math.floor(i / 3))
      const p = { ...part(`p${i}`, planned, grade, 3 * uniform()), sign }
      parts.push(p)
      truth += sign * becomes({ planned, grade, sigma: p.mass.sigma, sign })
    }
    const within = (lean?: Lean) => {
      const { masses } = forecastMass({ parts, wheelbase, draws: 2000, seed: b + 1, ...(lean && { lean }) })
      return truth >= quantileOf(masses, low) && truth <= quantileOf(masses, high)
    }
    if (within()) held += 1
    if (within({ guess: 0, claim: 0 })) alone += 1
  }
  return { held, alone, builds }
}

describe('weighNext', () => {
  const parts = [
    shell,
    part('harness', 30, 'guess'),
    part('seat', 30, 'claim'),
    part('clip', 0.3, 'guess'),
    part('cage', 38, 'measured'),
  ]
  const expected = { mean: 904, sigma: 6.8 }
  const mark = (value: number) => ({ comparator: 'atMost' as const, value, tolerance: 0 })

  it('puts first what narrows the answer most, and leaves out what is weighed', () =>
    expect(weighNext(parts, expected, null).lines.map((l) => l.id)).toEqual(['harness', 'seat', 'clip']))
  it('narrows with every line, and never below what the scales leave', () => {
    const some = fc.array(fc.double({ min: 0.1, max: 60, noNaN: true }), { minLength: 1, maxLength: 12 })
    fc.assert(
      fc.property(some, (masses) => {
        const many = masses.map((m, i) => part(`p${i}`, m, i % 2 ? 'guess' : 'claim'))
        const sigma = forecastMass({ parts: [shell, ...many], wheelbase, draws: 500 }).mass.sigma
        const after = weighNext(many, { mean: 0, sigma }, null).lines.map((l) => l.sigmaAfter)
        after.forEach((s, i) => expect(s).toBeLessThanOrEqual(i === 0 ? sigma : after[i - 1]!))
        const shares = weighNext(many, { mean: 0, sigma }, null).lines.reduce((s, l) => s + l.share, 0)
        expect(shares).toBeCloseTo(1, 6)
      }),
    )
  })
  it('says none are needed where the mark is far off, and all are too few where it sits on the answer', () => {
    expect(weighNext(parts, expected, mark(950))).toMatchObject({ settles: 0, chance: 1 })
    expect(
      weighNext([shell, part('clip', 0.3, 'guess')], { mean: 900, sigma: 6 }, mark(900)).settles,
    ).toBeNull()
  })
  it('says one line settles it where that line holds nearly all of the doubt', () => {
    const found = weighNext(parts, expected, mark(893))
    expect(found.settles).toBe(1)
    expect(found.chance).toBeGreaterThan(0.8)
  })
  it('gives the swing of each line either side of what is expected', () => {
    const [harness] = weighNext(parts, expected, null).lines
    expect(harness!.low).toBeLessThan(0)
    expect(harness!.high).toBeGreaterThan(-harness!.low)
  })
})
