import { describe, expect, it } from 'vitest'
import { normalPair } from '../numeric/normalPair'
import { quantileOf } from '../numeric/quantileOf'
import { randomBits } from '../numeric/randomBits'
import { jobOf } from '../testing/fourJobs'
import { asPrior, commonRatio, drawRatio, promiseRatio } from './promiseRatio'
import { simulateWork } from './simulateWork'
import { workingTime } from './workingTime'

describe('what people promise', () => {
  // HANDBOOK 13: stripping five times as long, most else twice.
  it('is common practice before there is a record', () => {
    expect(Math.exp(promiseRatio([], commonRatio(5)).mean)).toBeCloseTo(5, 9)
    expect(() => promiseRatio([0], commonRatio(2))).toThrow('above zero')
  })

  it('goes over to the record as that grows', () => {
    const bits = randomBits(4)
    const ratios = Array.from({ length: 400 }, () => Math.exp(0.3 + 0.4 * normalPair(bits)[0]))
    const known = promiseRatio(ratios, commonRatio(5))
    expect(known.mean).toBeCloseTo(0.3, 1)
    expect(known.spread).toBeCloseTo(0.4, 1)
    expect(asPrior(known, 3)).toEqual({ ...known, weight: 3, freedom: 5 })
  })

  // Gelman et al. 3.3: what is yet to come is Student’s t about the middle; its quantiles are met by draws.
  it('draws what is yet to come as Student’s t', () => {
    const known = promiseRatio([1, 2, 4, 2], commonRatio(2))
    const bits = randomBits(8)
    const draws = Float64Array.from({ length: 60_000 }, () => {
      const { mean, spread } = drawRatio(known, normalPair(bits))
      return mean + spread * normalPair(bits)[0]
    }).sort()
    const scale = known.spread * Math.sqrt(1 + 1 / known.weight)
    // Student’s t with 7 degrees, upper 10 % point: 1.415 (Abramowitz and Stegun, table 26.10).
    expect(known.freedom).toBe(7)
    expect((quantileOf(draws, 0.9) - known.mean) / scale).toBeCloseTo(1.415, 1)
    expect((quantileOf(draws, 0.1) - known.mean) / scale).toBeCloseTo(-1.415, 1)
  })

  /**
   * Workshops that don't know how far off their promises are: each has a ratio and a scatter of its own, a record of a dozen
   * jobs, and ten jobs before a date.
   */
  it('makes the date that it gives 80 % to in about four of five workshops', () => {
    const WORKSHOPS = 500
    let made = 0
    for (let i = 0; i < WORKSHOPS; i += 1) {
      const bits = randomBits(1000 + i)
      const normal = () => normalPair(bits)[0]
      const [middle, scatter] = [Math.log(2) + 0.5 * normal(), 0.35 + 0.15 * Math.abs(normal())]
      const ratio = () => Math.exp(middle + scatter * normal())
      const record = promiseRatio(Array.from({ length: 12 }, ratio), commonRatio(2))
      const promised = Array.from({ length: 10 }, () => 3600 * (1 + 3 * Math.abs(normal())))
      const items = promised.map((time, at) => ({
        ...jobOf([1, 1, 1], at === 0 ? [] : [at - 1]),
        lasts: { by: 'promise', promised: time, record: 0 } as const,
      }))
      const hands = [workingTime([[0, 1e9]])]
      const [targets, dues] = [[[9]], [Infinity]]
      const { finishes } = simulateWork(
        { items, hands, records: [record], from: 0, targets, dues },
        { draws: 300, seed: i + 1 },
      )
      const date = quantileOf(finishes[0]!.sort(), 0.8)
      const taken = promised.reduce((sum, time) => sum + time * ratio(), 0)
      if (taken <= date) made += 1
    }
    const share = made / WORKSHOPS
    expect(share).toBeGreaterThan(0.75)
    expect(share).toBeLessThan(0.85)
  })
})
