import { normalPair } from '../numeric/normalPair'
import { withMassAt } from './exchangeRates'
import type { AxleCar } from './AxleCar'

/** How far off the figures of a car may be, each as one standard uncertainty. SI. */
export interface LapDoubts {
  /** kg, at the centre of mass */
  readonly mass: number
  /** m */
  readonly height: number
  /** Shares of all of it. */
  readonly power: number
  readonly grip: number
  /** m² */
  readonly drag: number
  readonly downforce: { readonly front: number; readonly rear: number }
  /** Of the front axle’s shares of transfer and braking, and of what a tyre loses by load. */
  readonly transferShare: number
  readonly brakeFront: number
  readonly sensitivity: number
}

const within = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value))

/**
 * A car that the known one may really be: each of its figures drawn from what it is known to.
 *
 * @param bits random, as `randomBits` gives them
 * @source JCGM 101:2008 (Monte Carlo propagation); normal and independent, common practice
 * @example drawnCar(axleCar, doubts, randomBits(7)).brakes.used // 1
 */
export function drawnCar(car: AxleCar, doubts: LapDoubts, bits: () => number): AxleCar {
  const spare: number[] = []
  const off = () => {
    if (spare.length === 0) spare.push(...normalPair(bits))
    return spare.pop()!
  }
  const times = (share: number) => Math.max(0.3, 1 + share * off())
  const power = times(doubts.power)
  const grip = times(doubts.grip)
  const lost = doubts.sensitivity * off()
  const tyre = (one: AxleCar['tyre']['front']) => ({
    ...one,
    grip: one.grip * grip,
    sensitivity: within(one.sensitivity + lost, 0, 0.5),
  })
  const heavier = withMassAt(car, Math.max(-0.5 * car.mass, doubts.mass * off()), car.centre)
  return {
    ...heavier,
    centre: { ...car.centre, z: Math.max(0.05, car.centre.z + doubts.height * off()) },
    transferShare: within(car.transferShare + doubts.transferShare * off(), 0, 1),
    tyre: { front: tyre(car.tyre.front), rear: tyre(car.tyre.rear) },
    downforce: {
      front: car.downforce.front + doubts.downforce.front * off(),
      rear: car.downforce.rear + doubts.downforce.rear * off(),
    },
    dragArea: Math.max(0, car.dragArea + doubts.drag * off()),
    drive:
      car.drive.kind === 'power'
        ? { ...car.drive, power: car.drive.power * power }
        : { ...car.drive, curve: car.drive.curve.map((p) => ({ ...p, torque: p.torque * power })) },
    brakes: { ...car.brakes, front: within(car.brakes.front + doubts.brakeFront * off(), 0.02, 0.98) },
  }
}
