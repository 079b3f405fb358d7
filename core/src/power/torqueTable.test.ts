import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { torqueTable } from './torqueTable'

const curve = [
  { speed: 200, torque: 150 },
  { speed: 400, torque: 250 },
  { speed: 700, torque: 190 },
]

describe('torqueTable', () => {
  it('goes straight from point to point, and holds the ends beyond them', () => {
    const torque = torqueTable(curve)
    expect(torque(100)).toBe(150)
    expect(torque(200)).toBe(150)
    // Half way between two points; the table has 512 entries, so a bend is cut by less than one of them.
    expect(torque(300)).toBeCloseTo(200, 1)
    expect(torque(550)).toBeCloseTo(220, 1)
    expect(torque(900)).toBe(190)
  })
  it('never leaves the span of the curve’s own torques', () => {
    const points = fc
      .array(fc.tuple(fc.integer({ min: 100, max: 900 }), fc.integer({ min: 1, max: 600 })), {
        minLength: 2,
        maxLength: 30,
      })
      .map((some) =>
        [...new Map(some)].sort((a, b) => a[0] - b[0]).map(([speed, torque]) => ({ speed, torque })),
      )
      .filter((some) => some.length > 1)
    fc.assert(
      fc.property(points, fc.double({ min: 0, max: 1500, noNaN: true }), (some, speed) => {
        const all = some.map((p) => p.torque)
        const at = torqueTable(some)(speed)
        expect(at).toBeGreaterThanOrEqual(Math.min(...all) - 1e-9)
        expect(at).toBeLessThanOrEqual(Math.max(...all) + 1e-9)
      }),
    )
  })
  it('is nothing for no curve, and one figure for one point', () => {
    expect(torqueTable([])(500)).toBe(0)
    expect(torqueTable([curve[1]!])(500)).toBe(250)
  })
})
