import { describe, expect, it } from 'vitest'
import { gapAlong } from './gapAlong'
import { lapTrace } from './lapTrace'
import type { RunLog } from './RunLog'

const LENGTH = 1000
/** Two laps of a kilometre at even speeds, ten samples a second; places that are lost are NaN. */
function lapped(speed: number, lost: (i: number) => boolean = () => false) {
  const samples = Math.ceil((2 * LENGTH) / speed / 0.1) + 20
  const time = Float32Array.from({ length: samples }, (_, i) => i * 0.1)
  const distance = Float64Array.from(time, (t, i) => (lost(i) ? NaN : t * speed))
  const values = Float32Array.from(time, () => speed)
  const log: RunLog = { name: '', origin: null, time, channels: [{ name: 'v', role: 'speed', values }] }
  const lap = (n: number) => ({
    from: (n * LENGTH) / speed,
    to: ((n + 1) * LENGTH) / speed,
    sectors: [],
    torn: false,
  })
  return {
    log,
    found: { laps: [lap(0), lap(1)], distance, beside: 0 } as unknown as Parameters<typeof lapTrace>[1],
  }
}
const traceOf = ({ log, found }: ReturnType<typeof lapped>, lap = 0) => lapTrace(log, found, lap, LENGTH, 5)

describe('a lap at even distances', () => {
  it('takes the time that its speed says, in the first lap and in the next', () => {
    for (const lap of [0, 1]) {
      const { time } = traceOf(lapped(25), lap)
      expect(time).toHaveLength(201)
      expect(time[0]).toBeCloseTo(0, 1)
      expect(time.at(-1)).toBeCloseTo(40, 1)
    }
  })
  // A receiver finds its place some seconds after the logger began, or loses it under a bridge.
  it.each([
    ['at its beginning', (i: number) => i < 30],
    ['at its end', (i: number) => i > 380 && i < 400],
    ['in the middle', (i: number) => i > 100 && i < 160],
    ['now and then', (i: number) => i % 7 === 3],
  ])('says a time at each place though the place was lost %s', (_, lost) => {
    const one = traceOf(lapped(25, lost))
    const gap = gapAlong(one, traceOf(lapped(25)))
    expect(gap.every((seconds) => Number.isFinite(seconds))).toBe(true)
    expect(Math.max(...gap.slice(80, 180).map(Math.abs))).toBeLessThan(0.01)
  })
  it('is refused where nobody knows where it was, or there is none', () => {
    expect(() => traceOf(lapped(25, () => true))).toThrow('nobody knows where')
    expect(() => traceOf(lapped(25), 7)).toThrow('no such lap')
  })
})
