import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { normalPair } from '../numeric/normalPair'
import { randomBits } from '../numeric/randomBits'
import { chanceMet, leansTo } from './chanceMet'
import { COMPARATORS, judge, type Comparator } from './judge'
import { known } from './known'

const finite = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const target = (comparator: Comparator, value: number, tolerance: number) => ({
  comparator,
  value,
  tolerance,
})

describe('chanceMet', () => {
  it('is what draws give, whatever the comparator', () => {
    const bits = randomBits(20261202)
    const value = known(1214, 'claim', 5)
    for (const comparator of COMPARATORS) {
      const wanted = target(comparator, 1218, 3)
      let met = 0
      for (let i = 0; i < 50_000; i += 1) {
        const drawn = known(1214 + 5 * normalPair(bits)[0], 'claim', 0)
        if (judge(drawn, wanted).verdict === 'met') met += 1
      }
      expect(met / 50_000).toBeCloseTo(chanceMet(value, wanted), 2)
    }
  })
  it('agrees with the verdict: met is 95 in 100 or more, missed 5 or less', () =>
    fc.assert(
      fc.property(
        finite(-100, 100),
        finite(0, 20),
        fc.constantFrom(...COMPARATORS),
        finite(0, 30),
        (value, sigma, comparator, tolerance) => {
          const wanted = target(comparator, 0, tolerance)
          const chance = chanceMet(known(value, 'measured', sigma), wanted)
          const { verdict } = judge(known(value, 'measured', sigma), wanted)
          expect(chance).toBeGreaterThanOrEqual(0)
          expect(chance).toBeLessThanOrEqual(1)
          if (verdict === 'missed') expect(chance).toBeLessThanOrEqual(0.0501)
          if (verdict === 'met' && comparator !== 'within') expect(chance).toBeGreaterThanOrEqual(0.9499)
        },
      ),
    ))
  it('grows with every step towards the allowed side', () =>
    fc.assert(
      fc.property(finite(-50, 50), finite(0.1, 20), finite(0, 10), (value, sigma, step) => {
        const less = chanceMet(known(value + step, 'guess', sigma), target('atMost', 0, 0))
        expect(less).toBeLessThanOrEqual(chanceMet(known(value, 'guess', sigma), target('atMost', 0, 0)))
      }),
    ))
})

describe('leansTo', () => {
  it('leaves out what is near even', () =>
    expect([0.05, 0.33, 0.4, 0.6, 0.67, 1].map(leansTo)).toEqual([
      'missed',
      'missed',
      null,
      null,
      'met',
      'met',
    ]))
})
