import { normalPair } from '../numeric/normalPair'
import type { AxleCar } from './AxleCar'
import { carOffBy, type LapDoubts } from './carOffBy'

/**
 * A car that the known one may really be: each of its figures drawn from what it is known to.
 *
 * @param bits random, as `randomBits` gives them
 * @source JCGM 101:2008 (Monte Carlo propagation); normal and independent, common practice
 * @example drawnCar(axleCar, doubts, randomBits(7)).brakes.used // 1
 */
export function drawnCar(car: AxleCar, doubts: LapDoubts, bits: () => number): AxleCar {
  const spare: number[] = []
  const off = (doubt: number) => {
    if (spare.length === 0) spare.push(...normalPair(bits))
    return doubt * spare.pop()!
  }
  return carOffBy(car, {
    mass: off(doubts.mass),
    height: off(doubts.height),
    power: off(doubts.power),
    grip: off(doubts.grip),
    radius: off(doubts.radius),
    drag: off(doubts.drag),
    downforce: { front: off(doubts.downforce.front), rear: off(doubts.downforce.rear) },
    transferShare: off(doubts.transferShare),
    brakeFront: off(doubts.brakeFront),
    sensitivity: off(doubts.sensitivity),
  })
}
