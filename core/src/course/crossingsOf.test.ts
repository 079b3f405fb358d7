import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { crossingsOf } from './crossingsOf'

const metre = fc.integer({ min: -400, max: 400 })
const spot = fc.record({ x: metre, y: metre })
const line = fc
  .array(spot, { minLength: 4, maxLength: 120 })
  .map((spots) => spots.map((at, i) => ({ ...at, distance: i })))

/** Each pair of segments by itself: what it is to find, without looking at several together. */
function plainly(points: readonly { x: number; y: number; distance: number }[], closed: boolean) {
  const n = points.length
  const found: [number, number][] = []
  const side = (a: (typeof points)[number], b: typeof a, c: typeof a) =>
    (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)
  const last = closed ? n : n - 1
  for (let i = 0; i < last; i += 1)
    for (let j = i + 2; j < last; j += 1) {
      if (closed && i === 0 && j === n - 1) continue
      const [a, b, c, d] = [points[i]!, points[(i + 1) % n]!, points[j]!, points[(j + 1) % n]!]
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) found.push([i, j])
    }
  return found.slice(0, 20)
}

describe('crossings of a line with itself', () => {
  it('are those that looking at each pair finds, in the same order', () =>
    fc.assert(
      fc.property(line, fc.boolean(), (points, closed) => {
        expect(crossingsOf(points, closed)).toEqual(plainly(points, closed))
      }),
      { seed: 20, numRuns: 150 },
    ))
  it('of a circle are none, however finely it is cut', () => {
    const circle = Array.from({ length: 3000 }, (_, i) => ({
      x: 800 * Math.cos((i * 2 * Math.PI) / 3000),
      y: 800 * Math.sin((i * 2 * Math.PI) / 3000),
      distance: i,
    }))
    expect(crossingsOf(circle, true)).toEqual([])
  })
})
