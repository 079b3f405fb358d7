import { describe, expect, it } from 'vitest'
import { randomBits } from '../numeric/randomBits'
import { pullDrift } from './pullDrift'

describe('pullDrift', () => {
  const bits = randomBits(8)
  const uniform = () => ((bits() >>> 0) + 0.5) / 4294967296
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
  /** Three and three, one after the other, each a step weaker than the one before. */
  const day = (step: number) =>
    [0, 3].map((first) =>
      [0, 1, 2].map((i) => ({ at: first + i, value: 200 + 5 * first + step * (first + i) + normal() })),
    )
  it('says a drift that is there, and none where there is none, as often as it should', () => {
    const ROUNDS = 2000
    const told = (step: number) =>
      Array.from({ length: ROUNDS }, () => pullDrift(day(step))!).filter(({ p }) => p < 0.05).length / ROUNDS
    expect(told(0)).toBeGreaterThan(0.03)
    expect(told(0)).toBeLessThan(0.07)
    expect(told(-2)).toBeGreaterThan(0.6)
  })
  it('can’t tell from one pull of each', () =>
    expect(pullDrift([[{ at: 0, value: 1 }], [{ at: 1, value: 2 }]])).toBeNull())
})
