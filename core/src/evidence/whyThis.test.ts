import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { known, named } from './known'
import { whyThis } from './whyThis'

describe('whyThis', () => {
  it('is HANDBOOK 16: 300 kW on a dyno of 3 %, a day of 1 % and three pulls of 0.5 %', () => {
    const why = whyThis(named(300, 'measured', { dyno: 9, day: 3, pulls: 1.5 / Math.sqrt(3) }))
    expect(why.map(({ name }) => name)).toEqual(['dyno', 'day', 'pulls'])
    // Without the dyno's own error the day and the pulls are left: √(9 + 0.75).
    expect(why[0]!.without).toBeCloseTo(3.122, 3)
    expect(why[0]!.share).toBeCloseTo(81 / 90.75, 6)
  })
  it('calls what has no name the figure’s own, and says nothing of what is certain', () => {
    expect(whyThis(known(8, 'measured', 2))).toEqual([{ name: null, effect: 2, share: 1, without: 0 }])
    expect(whyThis({ ...named(8, 'measured', { scale: 3 }), sigma: 5 })[0]).toMatchObject({
      name: null,
      effect: 4,
    })
    expect(whyThis(known(8, 'measured', 0))).toEqual([])
  })
  it('shares add up to all of it, the largest first', () => {
    const doubts = fc.dictionary(
      fc.string({ minLength: 1, maxLength: 4 }),
      fc.double({ min: -9, max: 9, noNaN: true }),
    )
    fc.assert(
      fc.property(doubts, (some) => {
        const figure = named(1, 'measured', some)
        fc.pre(figure.sigma > 1e-6)
        const why = whyThis(figure)
        expect(why.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
        why.slice(1).forEach(({ share }, i) => expect(share).toBeLessThanOrEqual(why[i]!.share))
      }),
      { seed: 16 },
    )
  })
})
