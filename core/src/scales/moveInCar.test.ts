import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { moveInCar } from './moveInCar'

const car = { wheelbase: 2.4, trackFront: 1.45, trackRear: 1.45, springs: null, mass: 880, x: 1.15, y: 0 }
const metres = fc.double({ min: -1, max: 1, noNaN: true })

describe('moveInCar', () => {
  it('is the lever rule: 18 kg two metres forward', () => {
    const { front, left } = moveInCar(car, { mass: 18, at: { x: 2.4, y: 0 } }, { back: -2, left: 0 })
    expect(front).toBeCloseTo((18 * 2) / 880 / 2.4, 12)
    expect(left).toBeCloseTo(0, 12)
  })
  it('moves no cross weight straight back, nor straight across through the middle of the springs', () => {
    const thing = { mass: 20, at: { x: car.x, y: 0 } }
    expect(moveInCar(car, thing, { back: 0.5, left: 0 }).cross).toBeCloseTo(0, 9)
  })
  it('comes back to nothing when it is moved back', () =>
    fc.assert(
      fc.property(metres, metres, fc.double({ min: 1, max: 100, noNaN: true }), (back, left, mass) => {
        const at = { x: 1.3, y: 0.2 }
        const there = moveInCar(car, { mass, at }, { back, left })
        const again = moveInCar(
          car,
          { mass, at: { x: at.x + back, y: at.y + left } },
          { back: -back, left: -left },
        )
        for (const share of ['front', 'left', 'cross'] as const)
          expect(there[share] + again[share]).toBeCloseTo(0, 9)
      }),
    ))
})
