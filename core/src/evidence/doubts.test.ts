import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bridgeDynos } from '../power/bridgeDynos'
import { pulledPower } from '../power/pulledPower'
import { randomBits } from '../numeric/randomBits'
import { doubtName, doubtSource } from './doubtNames'
import { largestDoubt, sigmaOf, sumDoubts, timesDoubts, type Doubts } from './doubts'
import { firstOrder, known, named, productKnown, ratioKnown, sumKnown, type Known } from './known'
import { differenceOf, plainReadings, readingOf } from './reading'

/** Figures with doubts of a few shared names. */
const doubts = fc.dictionary(
  fc.constantFrom('scale', 'day', 'seat', 'fuel', 'guess'),
  fc.double({ min: -9, max: 9, noNaN: true }),
)
const figure: fc.Arbitrary<Known> = fc
  .tuple(fc.double({ min: 1, max: 900, noNaN: true }), doubts, fc.double({ min: 0, max: 5, noNaN: true }))
  .map(([value, of, own]) => ({
    value,
    grade: 'measured',
    doubts: of,
    sigma: Math.hypot(sigmaOf(of), own),
  }))
const less = (a: Known, b: Known) =>
  sumKnown([
    { known: a, times: 1 },
    { known: b, times: -1 },
  ])

// Check values: HANDBOOK, 16.
describe('powers of one dyno and of two', () => {
  const on = (dyno: string, date: string) => ({
    dyno,
    kind: 'hub',
    date,
    repeatability: 0.005,
    ownError: 0.03,
    betweenDays: 0.01,
  })
  let count = 0
  const pulled = (dyno: string, date: string, power = 300e3) =>
    pulledPower(
      on(dyno, date),
      [1, 2, 3].map(() => ({ id: `pull ${(count += 1)}`, power })),
    )
  const [harbour, yard] = ['Harbour', 'Yard']
  it('lists the dyno, its day and the pulls: 9.0, 3.0 and 0.87 kW of 300', () => {
    const { doubts: found = {}, sigma } = pulled(harbour, '2026-05-02')
    expect(found[doubtName.dyno({ dyno: ' HARBOUR', kind: 'hub' })]).toBeCloseTo(9000, 6)
    expect(found[doubtName.day(on(harbour, '2026-05-02'))]).toBeCloseTo(3000, 6)
    expect(sigma).toBeCloseTo(Math.hypot(9000, 3000, 1500 / Math.sqrt(3)), 6)
  })
  it('differ by ±4.42 kW on one dyno and two days', () => {
    expect(less(pulled(harbour, '2'), pulled(harbour, '1')).sigma / 1e3).toBeCloseTo(4.42, 2)
  })
  it('leave 0.9 kW of a gain of 30 to the dyno itself', () => {
    const gain = less(pulled(harbour, '1', 330e3), pulled(harbour, '1', 300e3))
    expect(gain.doubts![doubtName.dyno(on(harbour, '1'))]).toBeCloseTo(900, 6)
  })
  it('differ by ±6.24 kW over a bridge, and by ±4.58 where it was built on the first dyno’s very day', () => {
    const over = (bridgeDay: string) => {
      const [before, after] = [pulled(harbour, '1'), pulled(yard, '2')]
      const bridge = bridgeDynos(pulled(harbour, bridgeDay), pulled(yard, '4'))
      return less(after, productKnown(before, bridge)).sigma / 1e3
    }
    expect(over('3')).toBeCloseTo(6.24, 2)
    expect(over('1')).toBeCloseTo(4.58, 2)
  })
  it('hold no doubt of the first dyno where its very pulls made the bridge', () => {
    const before = pulled(harbour, '1')
    const across = productKnown(before, bridgeDynos(before, pulled(yard, '2')))
    expect(Object.keys(across.doubts!).some((name) => name.includes('harbour'))).toBe(false)
    expect(across.sigma).toBeCloseTo(pulled(yard, '2').sigma, 6)
  })
})

describe('weighings', () => {
  it('on one set of pads know what came off to ±0.43 kg, not ±1.45', () => {
    // 1,000 kg, 0.1 % that the pads share and 0.3 kg anew, before and after 40 kg come off.
    const read = (mass: number, id: string) => named(mass, 'measured', { pads: 0.001 * mass, [id]: 0.3 })
    const [before, after] = [read(1000, 'before'), read(960, 'after')]
    expect(less(before, after).sigma).toBeCloseTo(0.43, 2)
    const apart = less(known(1000, 'measured', before.sigma), known(960, 'measured', after.sigma))
    expect(apart.sigma).toBeCloseTo(1.45, 2)
  })
})

describe('named doubts', () => {
  it('of a figure less itself are exactly none', () =>
    fc.assert(
      fc.property(doubts, fc.double({ min: 1, max: 900, noNaN: true }), (of, value) => {
        const one = named(value, 'measured', of)
        expect(less(one, one)).toMatchObject({ value: 0, sigma: 0 })
        const ratio = ratioKnown(one, one)
        expect([ratio.value, ratio.sigma]).toEqual([1, 0])
      }),
    ))
  it('don’t depend on the order in which figures are added', () =>
    fc.assert(
      fc.property(fc.array(figure, { minLength: 2, maxLength: 6 }), (all) => {
        const sum = (list: readonly Known[]) => sumKnown(list.map((k) => ({ known: k, times: 1 })))
        expect(sum([...all].reverse()).sigma).toBeCloseTo(sum(all).sigma, 8)
      }),
    ))
  it('merged with the rest never narrow what has no share in them', () =>
    fc.assert(
      fc.property(figure, figure, (a, b) => {
        // Of two sums of figures whose effects have one sign, taking a name away never makes the sum surer than it is.
        const positive = (k: Known): Known => ({
          ...k,
          doubts: Object.fromEntries(Object.entries(k.doubts ?? {}).map(([n, e]) => [n, Math.abs(e)])),
        })
        const merged = ({ value, sigma, grade }: Known): Known => ({ value, sigma, grade })
        const [p, q] = [positive(a), positive(b)]
        expect(less(merged(p), merged(q)).sigma).toBeGreaterThanOrEqual(less(p, q).sigma - 1e-9)
      }),
    ))
  it('say what to measure next', () => {
    expect(largestDoubt({ seat: 2, scale: -3 })).toBe('scale')
    expect(largestDoubt({})).toBeNull()
    expect(sumDoubts([{ doubts: timesDoubts({ seat: 2 }, 3), slope: 0.5 }])).toEqual({ seat: 3 })
    expect(doubtSource(doubtName.day({ dyno: ' Harbour ', kind: 'hub', date: '2026-05-02' }))).toEqual({
      of: 'day',
      dyno: 'harbour',
      kind: 'hub',
      date: '2026-05-02',
    })
  })
})

describe('to first order', () => {
  // The outside reference: every name drawn, everything worked out anew in each draw.
  const bits = randomBits(16)
  const uniform = () => ((bits() >>> 0) + 0.5) / 4294967296
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
  const DRAWS = 20_000
  it('is what draws of all names come to: sums, products and ratios of figures that share some', () => {
    const parts = [
      named(310, 'measured', { dyno: 9, monday: 3, a: 1 }),
      named(290, 'measured', { dyno: 8.7, tuesday: 2.9, b: 1.2 }),
      named(1100, 'measured', { pads: 1.1, seat: -2 }),
      named(1140, 'measured', { pads: 1.14, c: 0.5 }),
    ] as const
    const all = [...new Set(parts.flatMap((part) => Object.keys(part.doubts!)))]
    const made = <T>(
      [p, q, m, n]: readonly [T, T, T, T],
      by: { over: (a: T, b: T) => T; times: (a: T, b: T) => T; less: (a: T, b: T) => T },
    ): T => by.less(by.over(by.times(p, n), m), by.over(by.times(q, m), n))
    const found = made<Known>(parts, { over: ratioKnown, times: productKnown, less })
    const drawn = Array.from({ length: DRAWS }, () => {
      const draw: Doubts = Object.fromEntries(all.map((name) => [name, normal()]))
      const value = ({ value: mid, doubts: of = {} }: Known) =>
        Object.entries(of).reduce((sum, [name, effect]) => sum + effect * draw[name]!, mid)
      return made<number>([value(parts[0]), value(parts[1]), value(parts[2]), value(parts[3])], {
        over: (a, b) => a / b,
        times: (a, b) => a * b,
        less: (a, b) => a - b,
      })
    })
    const middle = drawn.reduce((sum, v) => sum + v, 0) / DRAWS
    const spread = Math.sqrt(drawn.reduce((sum, v) => sum + (v - middle) ** 2, 0) / (DRAWS - 1))
    process.stdout.write(
      `  drawn ${middle.toFixed(2)} ±${spread.toFixed(3)}, to first order ${found.value.toFixed(2)} ±${found.sigma.toFixed(3)}\n`,
    )
    expect(found.value / middle).toBeCloseTo(1, 2)
    expect(found.sigma / spread).toBeCloseTo(1, 1)
    expect(Math.abs(found.sigma / spread - 1)).toBeLessThan(0.02)
  })
  it('keeps what has no name as the figure’s own', () => {
    const half = { ...named(10, 'measured', { scale: 3 }), sigma: 5 }
    // 4 of its 5 are its own: twice it is twice both, two of them share the scale alone.
    expect(firstOrder(20, [{ known: half, slope: 2 }]).sigma).toBe(10)
    expect(less(half, half).sigma).toBeCloseTo(Math.hypot(4, 4), 9)
  })
})

describe('a difference of readings', () => {
  it('counts a reading that made the bridge of its own side once', () => {
    // The only pull before is what the bridge was built on: its scatter is gone from what it says across.
    const before = { ...readingOf(200, { scatter: 0.01, name: 'a', shared: { a: -0.01, b: 0.01 } }) }
    const { before: weights, shared } = differenceOf([before], plainReadings([204], 0.01))
    expect(weights[0]).toBeCloseTo(0, 12)
    expect(shared).toEqual({ b: -2 })
  })
})
