import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { CornerWeights } from './fourPadWeighIn'
import { readScales } from './readScales'
import { repeatWeighings } from './repeatWeighings'
import { tiltHeight } from './tiltHeight'

const pad = { resolution: 0.5, accuracy: 0.003 }
const corners: CornerWeights = { frontLeft: 232, frontRight: 218, rearLeft: 204, rearRight: 226 }

describe('readScales', () => {
  it('four pads give everything', () => {
    const r = readScales({ method: 'fourPads', corners }, pad)
    expect(r.cross!.value * 100).toBeCloseTo(47.95, 2)
    expect(r.crossIsIndicative).toBe(false)
    expect(r.cannot).toEqual([])
  })
  it('three pads in two placements give four corners, two of them twice, and how well they repeat', () => {
    const r = readScales(
      {
        method: 'threePads',
        placements: [
          { block: 'rearRight', corners: { ...corners, rearRight: 0 } },
          { block: 'frontLeft', corners: { ...corners, frontLeft: 0, frontRight: 219, rearLeft: 203 } },
        ],
      },
      pad,
    )
    expect(r.corners).toEqual({ frontLeft: 232, frontRight: 218.5, rearLeft: 203.5, rearRight: 226 })
    // Two pairs a kilogram apart: √((1 + 1)/4).
    expect(r.repeatability).toBeCloseTo(Math.SQRT1_2, 9)
    expect(r.crossIsIndicative).toBe(true)
    expect(r.total.value).toBe(880)
  })
  it('refuses two placements that leave out the same corner', () => {
    const placement = { block: 'rearLeft' as const, corners }
    expect(() => readScales({ method: 'threePads', placements: [placement, placement] }, pad)).toThrow(
      /same corner/,
    )
  })
  it('two pads agree with four on everything but how sure the cross is', () => {
    const two = readScales({ method: 'twoPads', corners }, pad)
    const four = readScales({ method: 'fourPads', corners }, pad)
    expect(two.front).toEqual(four.front)
    expect(two.left).toEqual(four.left)
    expect(two.cross!.sigma).toBeGreaterThan(four.cross!.sigma)
    expect(two.crossIsIndicative).toBe(true)
  })
  it('a weighbridge gives total and front, and says why not the rest', () => {
    const r = readScales({ method: 'axles', front: 450, rear: 430 }, { resolution: 20, accuracy: 0.002 })
    expect(r.total.value).toBe(880)
    expect(r.front.value * 100).toBeCloseTo(51.14, 2)
    expect([r.left, r.cross]).toEqual([null, null])
    expect(r.cannot.map((c) => c.measure)).toEqual(['left', 'cross'])
    // Each axle is good to 20/√12 kg; the share's spread is that of its two independent parts.
    const one = 20 / Math.sqrt(12)
    expect(r.front.sigma).toBeCloseTo(Math.hypot(430 * one, 450 * one) / 880 ** 2, 9)
  })
  it('no method gives more total than it read', () => {
    const load = fc.double({ min: 40, max: 500, noNaN: true })
    fc.assert(
      fc.property(load, load, load, load, (frontLeft, frontRight, rearLeft, rearRight) => {
        const c = { frontLeft, frontRight, rearLeft, rearRight }
        const sum = frontLeft + frontRight + rearLeft + rearRight
        expect(readScales({ method: 'twoPads', corners: c }, pad).total.value).toBeCloseTo(sum, 6)
        const three = readScales(
          {
            method: 'threePads',
            placements: [
              { block: 'frontLeft', corners: c },
              { block: 'rearRight', corners: c },
            ],
          },
          pad,
        )
        expect(three.total.value).toBeCloseTo(sum, 6)
        expect(three.repeatability).toBe(0)
      }),
    )
  })
  it.each([
    [{ method: 'axles', front: -1, rear: 400 } as const, /below zero/],
    [{ method: 'axles', front: 0, rear: 0 } as const, /add up to zero/],
    [{ method: 'fourPads', corners: { ...corners, rearLeft: -3 } } as const, /below zero/],
  ])('refuses nonsense %#', (readings, words) => expect(() => readScales(readings, pad)).toThrow(words))
})

describe('tiltHeight', () => {
  const one = {
    mass: 1200,
    wheelbase: 2.5,
    radius: 0,
    gainSigma: 1,
    liftSigma: 0.002,
    tilts: [{ lift: 0.3, gain: 38 }],
  }
  it('1200 kg, 2.5 m, 0.30 m, 38 kg: 0.655 m above the wheel centres (computed independently)', () =>
    expect(tiltHeight(one).value).toBeCloseTo(0.655, 3))
  it('adds the loaded radius', () => expect(tiltHeight({ ...one, radius: 0.3 }).value).toBeCloseTo(0.955, 3))
  it('several lifts of one true height give that height, better known', () => {
    const height = 0.5
    const tilts = [0.2, 0.3, 0.4].map((lift) => {
      const sine = lift / 2.5
      return { lift, gain: (1200 * height * sine) / Math.sqrt(1 - sine ** 2) / 2.5 }
    })
    const fitted = tiltHeight({ ...one, tilts })
    expect(fitted.value).toBeCloseTo(height, 9)
    expect(fitted.sigma).toBeLessThan(tiltHeight({ ...one, tilts: tilts.slice(0, 1) }).sigma)
    expect(fitted.grade).toBe('proven')
  })
  it('says the uncertainty that repeated lifts with noise would show', () => {
    // A gain good to 1 kg at 0.3 m: dh = L·dΔW/(W·tan θ).
    const { sigma } = tiltHeight({ ...one, liftSigma: 0 })
    expect(sigma).toBeCloseTo(2.5 / (1200 * Math.tan(Math.asin(0.12))), 6)
  })
  it.each([
    [[], /at least one/],
    [[{ lift: 0, gain: 3 }], /not raised/],
    [[{ lift: 2.2, gain: 300 }], /45°/],
  ])('refuses %j', (tilts, words) => expect(() => tiltHeight({ ...one, tilts })).toThrow(words))
})

describe('repeatWeighings', () => {
  it('two that agree prove the figure', () => {
    const r = repeatWeighings([868.2, 868.6], 0.6)
    expect(r.total.value).toBeCloseTo(868.4, 9)
    expect(r.total.grade).toBe('proven')
    expect(r.moreToProve).toBe(0)
    expect(r.repeatability).toBeCloseTo(0.2828, 4)
  })
  it('one says that one more would', () =>
    expect(repeatWeighings([868], 0.6)).toMatchObject({ moreToProve: 1, drift: null }))
  it('sees a steady creep, and no creep in noise', () => {
    expect(repeatWeighings([868, 868.5, 869.1, 869.5, 870], 0.6).drifts).toBe(true)
    expect(repeatWeighings([868, 868.6, 867.9, 868.5, 868.1], 0.6).drifts).toBe(false)
  })
  it('refuses nothing', () => expect(() => repeatWeighings([], 1)).toThrow(RangeError))
})
