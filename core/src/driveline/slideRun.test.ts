import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { slideRun } from './slideRun'

const axle = { mass: 1250, share: 0.48, lever: 0.2, driven: 'rear', grip: 1, downforceArea: 0, airDensity: 1.2 } as const // prettier-ignore
const window = (gear: number, range: readonly [number, number] | null) =>
  ({ gear, window: range, margin: 1, breaksLoose: 1, lower: 'pull', upper: 'limiter' }) as const
const slide = { angle: 0.6, slip: [1.1, 1.5] } as const

describe('slideRun', () => {
  it('at one speed takes length over speed, and heats by friction times slip', () => {
    const run = slideRun([], axle, { length: 300, entry: 20, exit: 20 }, slide)
    expect(run.time).toBeCloseTo(15, 9)
    const slip = Math.hypot(1.3 - Math.cos(0.6), Math.sin(0.6))
    expect(run.intoTyre).toBeCloseTo((1250 * 9.80665 * 0.48 * slip * 300) / 2, 3)
    expect(run.gear).toBeNull()
    expect(run.wheel.entry).toEqual([22, 30])
  })
  it('names the gear that holds it over the most of the way', () => {
    const windows = [window(1, [12, 18]), window(2, [14, 30]), window(3, null)]
    const { gear } = slideRun(windows, axle, { length: 300, entry: 26, exit: 13 }, slide)
    expect(gear!.gear).toBe(2)
    expect(gear!.share).toBeCloseTo(12 / 13, 1)
  })
  it('works more into the tyres at a larger angle, and refuses what is no run', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 0.7, noNaN: true }), (angle) => {
        const into = (a: number) =>
          slideRun([], axle, { length: 300, entry: 25, exit: 15 }, { ...slide, angle: a }).intoTyre
        expect(into(angle + 0.05)).toBeGreaterThan(into(angle))
      }),
    )
    expect(() => slideRun([], axle, { length: 0, entry: 9, exit: 9 }, slide)).toThrow('above zero')
  })
})
