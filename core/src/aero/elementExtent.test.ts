import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { elementExtent } from './elementExtent'

const deg = Math.PI / 180
const shape = { foils: 1, angle: 0, endPlate: 0, gurney: 0, polar: [] } as const
const wing = { x: 2.9, z: 1.2, chord: 0.3, wing: shape }

describe('elementExtent', () => {
  it('lifts the trailing edge of 300 mm at 20° by 51 mm, and draws its reach in', () => {
    const { top, bottom, front, rear } = elementExtent({ ...wing, wing: { ...shape, angle: 20 * deg } })
    expect(top - 1.2).toBeCloseTo(0.0513, 4)
    expect(1.2 - bottom).toBeCloseTo(0.0513, 4)
    expect(rear - 2.9).toBeCloseTo(0.141, 3)
    expect(2.9 - front).toBeCloseTo(0.141, 3)
  })
  it('stands the lip on the trailing edge, square to the chord', () => {
    const { top } = elementExtent({ ...wing, wing: { ...shape, angle: 20 * deg, gurney: 0.01 } })
    expect(top - 1.2).toBeCloseTo(0.0513 + 0.01 * Math.cos(20 * deg), 4)
  })
  it('turns end plates with the wing', () => {
    const turned = elementExtent({ ...wing, wing: { ...shape, angle: 20 * deg, endPlate: 0.2 } })
    expect(turned.top - 1.2).toBeCloseTo(0.15 * Math.sin(20 * deg) + 0.1 * Math.cos(20 * deg), 9)
    expect(turned.rear - 2.9).toBeCloseTo(0.15 * Math.cos(20 * deg) + 0.1 * Math.sin(20 * deg), 9)
  })
  it('takes what is no wing for flat', () =>
    expect(elementExtent({ x: -0.4, z: 0.08, chord: 0.5, wing: null })).toEqual({
      front: -0.65,
      rear: -0.15000000000000002,
      bottom: 0.08,
      top: 0.08,
    }))
  it('turns no corner out of the circle about the middle, and is as high either way', () => {
    const angle = fc.double({ min: -0.7, max: 0.7, noNaN: true })
    const plate = fc.double({ min: 0, max: 0.4, noNaN: true })
    fc.assert(
      fc.property(angle, plate, (a, endPlate) => {
        const one = elementExtent({ ...wing, wing: { ...shape, angle: a, endPlate } })
        const other = elementExtent({ ...wing, wing: { ...shape, angle: -a, endPlate } })
        const reach = Math.hypot(0.15, endPlate / 2) + 1e-9
        for (const far of [one.top - 1.2, 1.2 - one.bottom, one.rear - 2.9, 2.9 - one.front])
          expect(far).toBeLessThanOrEqual(reach)
        expect(one.top).toBeCloseTo(other.top, 9)
        expect(one.rear).toBeCloseTo(other.rear, 9)
      }),
    )
  })
})
