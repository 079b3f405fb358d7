import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { known } from '../evidence/known'
import { booksBalance } from './booksBalance'
import { fourPadWeighIn } from './fourPadWeighIn'

const pad = { resolution: 0.5, accuracy: 0.003 }
const someCorner = fc.double({ min: 50, max: 600, noNaN: true })
const someCorners = fc.record({
  frontLeft: someCorner,
  frontRight: someCorner,
  rearLeft: someCorner,
  rearRight: someCorner,
})

describe('fourPadWeighIn', () => {
  it('reads 232, 218, 204, 226 kg as 880 kg, front 51.14, left 49.55, cross 47.95 % (computed independently)', () => {
    const r = fourPadWeighIn({ frontLeft: 232, frontRight: 218, rearLeft: 204, rearRight: 226 }, pad)
    expect(r.total.value).toBe(880)
    expect(r.front.value * 100).toBeCloseTo(51.14, 2)
    expect(r.left.value * 100).toBeCloseTo(49.55, 2)
    expect(r.cross.value * 100).toBeCloseTo(47.95, 2)
  })
  it('adds the pads’ errors in quadrature', () => {
    const r = fourPadWeighIn(
      { frontLeft: 250, frontRight: 250, rearLeft: 250, rearRight: 250 },
      { resolution: 0.1, accuracy: 0.004 },
    )
    expect(r.total.sigma).toBeCloseTo(2)
    // Shares of four equal pads: σ = (2·500²·2·1²)^½ / 1000².
    expect(r.front.sigma).toBeCloseTo(0.001)
  })
  it('mirrors: left and right exchanged turn left and cross over, front stays', () => {
    fc.assert(
      fc.property(someCorners, (c) => {
        const a = fourPadWeighIn(c, pad)
        const b = fourPadWeighIn(
          { frontLeft: c.frontRight, frontRight: c.frontLeft, rearLeft: c.rearRight, rearRight: c.rearLeft },
          pad,
        )
        expect(b.front.value).toBeCloseTo(a.front.value)
        expect(b.left.value).toBeCloseTo(1 - a.left.value)
        expect(b.cross.value).toBeCloseTo(1 - a.cross.value)
      }),
    )
  })
  it('gives the same shares in newtons as in kilograms', () => {
    fc.assert(
      fc.property(someCorners, (c) => {
        const g = 9.80665
        const n = fourPadWeighIn(
          {
            frontLeft: c.frontLeft * g,
            frontRight: c.frontRight * g,
            rearLeft: c.rearLeft * g,
            rearRight: c.rearRight * g,
          },
          { resolution: pad.resolution * g, accuracy: pad.accuracy },
        )
        const k = fourPadWeighIn(c, pad)
        expect(n.cross.value).toBeCloseTo(k.cross.value, 10)
        expect(n.cross.sigma).toBeCloseTo(k.cross.sigma, 10)
      }),
    )
  })
  it('refuses pads that sum to zero and a pad below zero', () => {
    expect(() => fourPadWeighIn({ frontLeft: 0, frontRight: 0, rearLeft: 0, rearRight: 0 }, pad)).toThrow(
      /zero/,
    )
    expect(() =>
      fourPadWeighIn({ frontLeft: -1, frontRight: 200, rearLeft: 200, rearRight: 200 }, pad),
    ).toThrow(/below zero/)
  })
})

describe('booksBalance', () => {
  it('measures the difference in standard uncertainties', () => {
    const b = booksBalance(known(872, 'measured', 2), known(860, 'measured', 4))
    expect(b.difference).toBe(12)
    expect(b.z).toBeCloseTo(12 / Math.sqrt(20))
    expect(b.verdict).toBe('off')
  })
  it('balances within 1.96', () =>
    expect(booksBalance(known(872, 'measured', 5), known(864, 'measured', 4)).verdict).toBe('balance'))
  it('is decided where nothing is uncertain', () => {
    expect(booksBalance(known(1, 'proven', 0), known(1, 'proven', 0)).verdict).toBe('balance')
    expect(booksBalance(known(2, 'proven', 0), known(1, 'proven', 0)).verdict).toBe('off')
  })
})
