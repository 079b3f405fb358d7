import { bisect } from './bisect'
import { mean } from './mean'
import { quantileOf } from './quantileOf'
import { sampleVariance } from './sampleVariance'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { intervalOf, pchip } from './pchip'
import { studentPoint, studentShare } from './studentT'

describe('pchip', () => {
  it('gives the worked value: slopes 0, 1.5 and 4 through (0, 0), (1, 1), (2, 4), by hand from the formula', () => {
    const curve = pchip([0, 1, 2], [0, 1, 4])
    expect(curve(0.5)).toBeCloseTo(0.3125, 12)
    // Hermite with ends 1 and 4 and slopes 1.5 and 4 at the middle: 2.5 + (1.5 − 4)/8.
    expect(curve(1.5)).toBeCloseTo(2.1875, 12)
  })
  it('agrees with SciPy 1.17.1, PchipInterpolator, on an uneven torque curve', () => {
    const curve = pchip([2000, 2600, 3100, 4000, 4800, 6000], [110, 150, 190, 205, 198, 140])
    const given = [128.98493219, 177.30216369, 201.65073908, 203.78097747, 172.36013539]
    ;[2300, 2900, 3600, 4300, 5500].forEach((x, i) => expect(curve(x)).toBeCloseTo(given[i]!, 7))
  })
  it('keeps a line a line, goes through its points, and stays at its ends', () => {
    const curve = pchip([1, 2, 4, 8], [3, 5, 9, 17])
    for (const x of [1, 1.3, 3, 7.9, 8]) expect(curve(x)).toBeCloseTo(2 * x + 1, 12)
    expect(curve(-5)).toBe(3)
    expect(curve(99)).toBe(17)
  })
  it('doesn’t overshoot the step of the RPN 14 data that cubic splines ring on (Fritsch & Carlson 1980, from memory)', () => {
    const xs = [7.99, 8.09, 8.19, 8.7, 9.2, 10, 12, 15, 20]
    const ys = [0, 2.76429e-5, 4.37498e-2, 0.169183, 0.469428, 0.94374, 0.998636, 0.999919, 0.999994]
    const curve = pchip(xs, ys)
    let before = -Infinity
    for (let x = 7.99; x <= 20; x += 0.01) {
      const y = curve(x)
      expect(y).toBeGreaterThanOrEqual(before)
      expect(y).toBeLessThanOrEqual(0.999994)
      before = y
    }
  })
  it('never leaves the span of the two points it lies between, whatever the points', () => {
    const points = fc
      .uniqueArray(
        fc.tuple(fc.integer({ min: 0, max: 9000 }), fc.double({ min: -500, max: 500, noNaN: true })),
        {
          minLength: 2,
          maxLength: 40,
          selector: ([x]) => x,
        },
      )
      .map((list) => list.sort((a, b) => a[0] - b[0]))
    fc.assert(
      fc.property(points, fc.double({ min: 0, max: 1, noNaN: true }), (list, share) => {
        const xs = list.map(([x]) => x)
        const ys = list.map(([, y]) => y)
        const x = xs[0]! + share * (xs.at(-1)! - xs[0]!)
        const i = intervalOf(xs, x)
        const y = pchip(xs, ys)(x)
        const [low, high] = [Math.min(ys[i]!, ys[i + 1]!), Math.max(ys[i]!, ys[i + 1]!)]
        expect(y).toBeGreaterThanOrEqual(low - 1e-9 * Math.max(1, Math.abs(low)))
        expect(y).toBeLessThanOrEqual(high + 1e-9 * Math.max(1, Math.abs(high)))
      }),
    )
  })
  it('refuses points that are no curve', () => {
    expect(() => pchip([1], [1])).toThrow(RangeError)
    expect(() => pchip([1, 1], [1, 2])).toThrow('rising')
    expect(() => pchip([1, 2], [1])).toThrow(RangeError)
  })
})

describe('Student’s t', () => {
  it.each([
    [1, 12.706],
    [2, 4.303],
    [5, 2.571],
    [10, 2.228],
    [30, 2.042],
    [1e6, 1.96],
  ])(
    'has its tabled 95-per-cent point for %d degrees of freedom (Abramowitz & Stegun table 26.10, from memory)',
    (freedom, t) => {
      expect(studentPoint(0.975, freedom)).toBeCloseTo(t, 3)
      expect(studentShare(t, freedom)).toBeCloseTo(0.975, 3)
    },
  )
  it('is the Cauchy distribution for one degree: share = 1/2 + atan(t)/π', () => {
    for (const t of [-3, -0.4, 0, 1, 7])
      expect(studentShare(t, 1)).toBeCloseTo(0.5 + Math.atan(t) / Math.PI, 12)
  })
  it('is symmetric, and point and share undo each other', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.999, noNaN: true }),
        fc.double({ min: 0.8, max: 200, noNaN: true }),
        (share, f) => {
          const t = studentPoint(share, f)
          expect(studentShare(t, f)).toBeCloseTo(share, 8)
          expect(studentShare(-t, f)).toBeCloseTo(1 - share, 8)
        },
      ),
    )
  })
  it('refuses a chance that is none', () => expect(() => studentPoint(1, 3)).toThrow(RangeError))
})

describe('bisect', () => {
  it('closes in on where something turns, whatever the ends and the place', () => {
    const at = fc.double({ min: -1e3, max: 1e3, noNaN: true })
    fc.assert(
      fc.property(
        at,
        fc.double({ min: 1e-3, max: 1e3, noNaN: true }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (low, range, share) => {
          const turns = low + share * range
          const found = bisect((x) => x < turns, low, low + range, 80)
          expect(found.low).toBeLessThanOrEqual(turns)
          expect(found.high).toBeGreaterThanOrEqual(turns)
          expect(found.high - found.low).toBeLessThanOrEqual(1e-12 * Math.max(1, Math.abs(low) + range))
        },
      ),
    )
  })
})

describe('mean, sampleVariance and quantileOf', () => {
  it('agree with a worked example', () => {
    // NIST StRD, Michelson's first five readings of the speed of light less 299,000 km/s: by hand.
    const readings = [850, 740, 900, 1070, 930]
    expect(mean(readings)).toBe(898)
    expect(sampleVariance(readings)).toBeCloseTo(14_470, 6)
    expect(quantileOf(Float64Array.from(readings).sort(), 0.5)).toBe(900)
  })
  it('a quantile lies between the least and the greatest, and rises with its share', () => {
    const some = fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 40 })
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(some, share, share, (values, one, other) => {
        const sorted = Float64Array.from(values).sort()
        const [low, high] = [Math.min(one, other), Math.max(one, other)]
        expect(quantileOf(sorted, low)).toBeLessThanOrEqual(quantileOf(sorted, high) + 1e-9)
        expect(quantileOf(sorted, low)).toBeGreaterThanOrEqual(sorted[0]! - 1e-9)
        expect(quantileOf(sorted, high)).toBeLessThanOrEqual(sorted.at(-1)! + 1e-9)
      }),
    )
  })
})
