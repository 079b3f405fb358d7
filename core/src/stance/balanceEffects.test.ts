import { describe, expect, it } from 'vitest'
import { normalPair } from '../numeric/normalPair'
import { randomBits } from '../numeric/randomBits'
import { carS, sigmaS } from '../testing/carS'
import { balanceEffects, changedCar, type BalanceChange } from './balanceEffects'
import { rollBalance, type RollCar } from './rollBalance'

const CHANGES: readonly BalanceChange[] = [
  { axle: 'rear', figure: 'bar', to: 0 },
  { axle: 'front', figure: 'wheelRate', to: 80_000 },
  { axle: null, figure: 'height', to: 0.45 },
  { axle: 'rear', figure: 'rollCentre', to: 0.09 },
]

describe('balanceEffects', () => {
  it('says what taking the rear bar off does, by the handbook’s car S', () => {
    const { now, effects } = balanceEffects(carS, sigmaS, CHANGES)
    expect(now.share).toBeCloseTo(0.5138, 4)
    expect(effects[0]!.after.share).toBeCloseTo(0.5327, 4)
    expect(effects[0]!.adds.share).toBeCloseTo(0.5327 - 0.5138, 4)
    // The doubt of a change is far smaller than that of the share itself.
    expect(effects[0]!.doubt.share).toBeLessThan(effects[0]!.adds.share / 3)
    // A stiffer front pushes; a lower body rolls less.
    expect(effects[1]!.adds.share).toBeGreaterThan(0)
    expect(effects[2]!.adds.roll).toBeLessThan(0)
  })
  it('doesn’t depend on the order in which changes are asked', () => {
    const forward = balanceEffects(carS, sigmaS, CHANGES).effects
    const backward = balanceEffects(carS, sigmaS, CHANGES.toReversed()).effects
    expect(backward.toReversed()).toEqual(forward)
    // Nor on the order in which they are made.
    const made = (order: readonly BalanceChange[]) =>
      rollBalance(order.reduce(changedCar, carS), 10).frontTransferShare
    expect(made(CHANGES)).toBeCloseTo(made(CHANGES.toReversed()), 14)
  })
  it('leaves out what no spring would hold', () => {
    const { effects } = balanceEffects(carS, sigmaS, [{ axle: null, figure: 'height', to: 60 }])
    expect(effects).toEqual([null])
    expect(() => balanceEffects(carS, sigmaS, [], { draws: 3 })).toThrow('ten draws')
  })
  it('has the true front share within its 90 % in nine of ten simulated cars', () => {
    // A true car, and what somebody types who is off by as much as they say.
    const bits = randomBits(11)
    const off = (sigma: number) => sigma * normalPair(bits)[0]
    const typedOf = (axle: 'front' | 'rear') => {
      const [of, by] = [carS[axle], sigmaS[axle]]
      return {
        ...of,
        track: of.track + off(by.track),
        wheelRate: of.wheelRate + off(by.wheelRate),
        tyreRate: of.tyreRate + off(by.tyreRate),
        bar: of.bar + off(by.bar),
        rollCentre: of.rollCentre + off(by.rollCentre),
        unsprung: of.unsprung + off(by.unsprung),
      }
    }
    const truth = rollBalance(carS, 1).frontTransferShare
    const cars = 1500
    let held = 0
    for (let i = 0; i < cars; i += 1) {
      const typed: RollCar = {
        ...carS,
        mass: carS.mass + off(sigmaS.mass),
        centre: { x: carS.centre.x + off(sigmaS.centre.x), z: carS.centre.z + off(sigmaS.centre.z) },
        front: typedOf('front'),
        rear: typedOf('rear'),
      }
      const [low, high] = balanceEffects(typed, sigmaS, [], { draws: 300, seed: i + 1 }).share90
      if (low <= truth && truth <= high) held += 1
    }
    // 90 % of 1,500, give or take three standard errors.
    expect(held / cars).toBeGreaterThan(0.877)
    expect(held / cars).toBeLessThan(0.923)
  })
})
