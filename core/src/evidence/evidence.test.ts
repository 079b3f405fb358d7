import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { combineRepeats } from './combineRepeats'
import { defaultSigma, GRADES, weakerGrade, type Grade } from './grade'
import { judge } from './judge'
import { known, ratioKnown, rollUpGrade, sumKnown, type Known } from './known'

const someKnown = fc.record({
  value: fc.double({ min: -500, max: 500, noNaN: true }),
  sigma: fc.double({ min: 0, max: 50, noNaN: true }),
  grade: fc.constantFrom<Grade>(...GRADES),
})

describe('grades', () => {
  it('carry the default uncertainties of the product: 20 %, 7 %, 1 % or the resolution', () => {
    expect(defaultSigma(8, 'guess')).toBeCloseTo(1.6)
    expect(defaultSigma(8, 'claim')).toBeCloseTo(0.56)
    expect(defaultSigma(8, 'measured')).toBeCloseTo(0.08)
    expect(defaultSigma(0.4, 'measured', 0.05)).toBe(0.05)
  })
  it('are ordered', () => expect(weakerGrade('proven', 'claim')).toBe('claim'))
})

describe('sumKnown', () => {
  it('adds variances (3, 4, 5)', () => {
    const sum = sumKnown([
      { known: known(10, 'measured', 3), times: 1 },
      { known: known(4, 'measured', 4), times: -1 },
    ])
    expect(sum).toEqual({ value: 6, sigma: 5, grade: 'measured' })
  })
  it('doesn’t depend on the order, and never knows more than its best-known term alone', () => {
    fc.assert(
      fc.property(fc.array(someKnown, { minLength: 1, maxLength: 12 }), (all) => {
        const terms = all.map((k) => ({ known: k, times: 1 }))
        const forward = sumKnown(terms)
        const back = sumKnown([...terms].reverse())
        expect(forward.value).toBeCloseTo(back.value, 6)
        expect(forward.sigma).toBeCloseTo(back.sigma, 6)
        expect(forward.sigma).toBeGreaterThanOrEqual(Math.max(...all.map((k) => k.sigma)) - 1e-9)
      }),
    )
  })
  it('is a guess of nothing for no terms', () =>
    expect(sumKnown([])).toEqual({ value: 0, sigma: 0, grade: 'guess' }))
})

describe('rollUpGrade', () => {
  it('lets a guessed clip pass in a weighed car, but not a guessed door', () => {
    expect(
      rollUpGrade([
        { variance: 9, grade: 'measured' },
        { variance: 0.04, grade: 'guess' },
      ]),
    ).toBe('measured')
    expect(
      rollUpGrade([
        { variance: 9, grade: 'measured' },
        { variance: 4, grade: 'guess' },
      ]),
    ).toBe('guess')
  })
  it('takes the weakest where nothing is uncertain', () => {
    expect(
      rollUpGrade([
        { variance: 0, grade: 'proven' },
        { variance: 0, grade: 'claim' },
      ]),
    ).toBe('claim')
  })
})

describe('ratioKnown', () => {
  it('adds relative variances', () => {
    // 1 % and 1 % in quadrature are 1.414 %.
    const ratio = ratioKnown(known(200e3, 'measured', 2e3), known(1000, 'measured', 10))
    expect(ratio.value).toBe(200)
    expect(ratio.sigma).toBeCloseTo(2.8284, 4)
  })
  it('refuses zero below the line', () =>
    expect(() => ratioKnown(known(1, 'guess'), known(0, 'guess'))).toThrow(RangeError))
})

describe('combineRepeats', () => {
  it('proves what agrees, and narrows it by the root of the number', () => {
    const two = combineRepeats([264.1, 264.9], 2)
    expect(two.grade).toBe('proven')
    expect(two.value).toBeCloseTo(264.5)
    expect(two.sigma).toBeCloseTo(2 / Math.SQRT2)
  })
  it('widens what disagrees, and doesn’t call it proven', () => {
    const two = combineRepeats([250, 270], 2)
    expect(two.grade).toBe('measured')
    expect(two.sigma).toBeCloseTo(14.142, 3)
  })
  it('leaves one measurement as measured', () =>
    expect(combineRepeats([10], 1)).toEqual({ value: 10, sigma: 1, grade: 'measured' }))
  it('refuses none', () => expect(() => combineRepeats([], 1)).toThrow(RangeError))
})

describe('judge', () => {
  const at = (value: number, sigma: number): Known => ({ value, sigma, grade: 'measured' })
  it.each([
    ['atMost', 1236, 5.1, 1220, 0, 'missed'],
    ['atLeast', 264.5, 1.8, 260, 0, 'met'],
    ['atLeast', 214, 1.7, 213, 0, 'cantTell'],
    ['within', 57.1, 0.1, 57, 0.5, 'met'],
    ['within', 57.8, 1.1, 57, 0.5, 'cantTell'],
    ['within', 60, 0.5, 57, 0.5, 'missed'],
    ['atMost', 1221, 0.1, 1220, 2, 'met'],
    ['atMost', 1220, 0, 1220, 0, 'met'],
  ] as const)('%s %d ±%d against %d ±%d: %s', (comparator, value, sigma, mark, tolerance, verdict) => {
    expect(judge(at(value, sigma), { comparator, value: mark, tolerance }).verdict).toBe(verdict)
  })
  it('gives a verdict once the value is known as well as it says', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2000, noNaN: true }),
        fc.double({ min: 0.1, max: 100, noNaN: true }),
        (value, sigma) => {
          const target = { comparator: 'atMost', value: 1000, tolerance: 0 } as const
          const { settlesAt, verdict } = judge(at(value, sigma), target)
          if (verdict === 'cantTell' && settlesAt > 0)
            expect(judge(at(value, settlesAt * 0.999), target).verdict).not.toBe('cantTell')
        },
      ),
    )
  })
  it('knowing less never turns missed into met', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 900, max: 1100, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (value, sigma) => {
          const target = { comparator: 'atMost', value: 1000, tolerance: 0 } as const
          const sharp = judge(at(value, 0), target).verdict
          const blunt = judge(at(value, sigma), target).verdict
          expect([sharp, 'cantTell']).toContain(blunt)
        },
      ),
    )
  })
})
