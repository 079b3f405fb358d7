import { describe, expect, it } from 'vitest'
import { coastRows } from './coastRows'

const rows = (count: number, of: (i: number) => [number, number]) =>
  Array.from({ length: count }, (_, i) => of(i).join(',')).join('\n')
const points = (text: string) => {
  const read = coastRows(text)
  if ('problem' in read) throw new Error(read.problem)
  return read
}

describe('coastRows', () => {
  it('takes the part that rolls out, from zero seconds on, in the unit of its title', () => {
    // Up to 120 mph for ten seconds, then down to 60.
    const text = `time (s),speed (mph)\n${rows(61, (i) => [100 + i, i <= 10 ? 70 + 5 * i : 120 - (i - 10) * 1.2])}`
    const read = points(text)
    expect(read.unit).toBe('mph')
    expect(read.points[0]).toEqual({ time: 0, speed: expect.closeTo(120 * 0.44704, 3) })
    expect(read.points).toHaveLength(51)
    expect(read.says).toContain('rolling out from 193 to 97 km/h in 50 s')
  })
  it('takes time and km/h where nothing is titled, and thins a long log', () => {
    const read = points(rows(50_000, (i) => [i / 100, 150 - i / 400]))
    expect(read.rows).toBe(50_000)
    expect(read.points.length).toBeLessThanOrEqual(2000)
    expect(read.points[0]!.speed).toBeCloseTo(150 / 3.6, 1)
  })
  it('says what is wrong with one that speeds up, or is no log', () => {
    expect(coastRows(rows(100, (i) => [i, 50 + i]))).toMatchObject({
      problem: expect.stringContaining('doesn’t slow down'),
    })
    expect(coastRows('hello\nworld')).toMatchObject({
      problem: expect.stringContaining('time (s), speed (km/h)'),
    })
    expect(coastRows('')).toMatchObject({ problem: expect.any(String) })
  })
})
