import { describe, expect, it } from 'vitest'
import { isGainReal } from '../evidence/isGainReal'
import { randomBits } from '../numeric/randomBits'
import { curveFigures } from './curveFigures'
import { speedScatter } from './speedScatter'

const rpm = (n: number) => (n * Math.PI) / 30

describe('speedScatter', () => {
  const bits = randomBits(90)
  const uniform = () => ((bits() >>> 0) + 0.5) / 4294967296
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
  /** A pull of an engine that nothing was changed on: a pull that is strong or weak, and wobbles on its way. */
  const pulled = (steep: number) => {
    const whole = 0.004 * normal()
    let wobble = normal()
    return Array.from({ length: 46 }, (_, i) => {
      wobble = 0.7 * wobble + Math.sqrt(1 - 0.49) * normal()
      const n = 2500 + i * 100
      const torque = 150 + (120 * steep) / (1 + Math.exp(-(n - 3600) / 300)) - ((n - 4800) / 260) ** 2
      return { speed: rpm(n), torque: torque * (1 + whole + 0.003 * wobble) }
    })
  }
  it.each([
    ['one that comes with a kick', 1],
    ['a flat one', 0.25],
  ])(
    'calls the width of the band and the arrival of %s different about 3 to 7 times of a hundred at most',
    (name, steep) => {
      const ROUNDS = 1500
      const told = { bandWidth: 0, arrival: 0 }
      for (let i = 0; i < ROUNDS; i += 1) {
        const [a, b] = [pulled(steep), pulled(steep)]
        const of = (curve: typeof a) => {
          const { band90, arrival } = curveFigures(curve)
          return { bandWidth: band90[1] - band90[0], arrival, off: speedScatter(curve, 0.005) }
        }
        const [before, after] = [of(a), of(b)]
        for (const measure of ['bandWidth', 'arrival'] as const) {
          const reading = (one: typeof before) => ({ value: one[measure], scatter: one.off[measure] })
          if (isGainReal([reading(before)], [reading(after)]).verdict === 'real') told[measure] += 1
        }
      }
      const share = (count: number) => `${((100 * count) / ROUNDS).toFixed(1)} %`
      process.stdout.write(
        `  ${name}, one pull against one: width called real ${share(told.bandWidth)}, arrival ${share(told.arrival)}\n`,
      )
      expect(told.bandWidth / ROUNDS).toBeLessThan(0.07)
      expect(told.arrival / ROUNDS).toBeLessThan(0.07)
    },
  )
  it('grows as the curve gets flatter, and is never less than its points stand apart', () => {
    const flat = speedScatter(pulled(0.25), 0.005)
    const steep = speedScatter(pulled(1), 0.005)
    expect(flat.arrival).toBeGreaterThan(steep.arrival)
    expect(steep.arrival).toBeGreaterThanOrEqual(steep.spacing)
    expect(steep.spacing).toBeCloseTo(rpm(100) / Math.sqrt(12), 9)
  })
})
