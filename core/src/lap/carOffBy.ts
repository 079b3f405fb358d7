import { withMassAt } from './exchangeRates'
import type { AxleCar } from './AxleCar'

/** How far off the figures of a car may be, each as one standard uncertainty; or by how much each is off. SI. */
export interface LapDoubts {
  /** kg, at the centre of mass */
  readonly mass: number
  /** m */
  readonly height: number
  /** Shares of all of it. */
  readonly power: number
  readonly grip: number
  /** Of the rolling radius. */
  readonly radius: number
  /** m² */
  readonly drag: number
  readonly downforce: { readonly front: number; readonly rear: number }
  /** Of the front axle’s shares of transfer and braking, and of what a tyre loses by load. */
  readonly transferShare: number
  readonly brakeFront: number
  readonly sensitivity: number
}

const within = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value))
const times = (share: number) => Math.max(0.3, 1 + share)

/**
 * A car whose figures are off by so much. None leaves what a car can be: shares stay shares, and nothing weighs or grips
 * less than nothing.
 *
 * @param off by how much each figure is more; below zero, less
 * @source definition
 * @example carOffBy(axleCar, { ...doubts, mass: 20 }).mass // 1170
 */
export function carOffBy(car: AxleCar, off: LapDoubts): AxleCar {
  const grip = times(off.grip)
  const power = times(off.power)
  const tyre = (one: AxleCar['tyre']['front']) => ({
    ...one,
    grip: one.grip * grip,
    sensitivity: within(one.sensitivity + off.sensitivity, 0, 0.5),
  })
  return {
    ...withMassAt(car, Math.max(-0.5 * car.mass, off.mass), car.centre),
    centre: { ...car.centre, z: Math.max(0.05, car.centre.z + off.height) },
    transferShare: within(car.transferShare + off.transferShare, 0, 1),
    tyre: { front: tyre(car.tyre.front), rear: tyre(car.tyre.rear) },
    downforce: {
      front: car.downforce.front + off.downforce.front,
      rear: car.downforce.rear + off.downforce.rear,
    },
    dragArea: Math.max(0, car.dragArea + off.drag),
    drive:
      car.drive.kind === 'power'
        ? { ...car.drive, power: car.drive.power * power }
        : {
            ...car.drive,
            curve: car.drive.curve.map((p) => ({ ...p, torque: p.torque * power })),
            rollingRadius: car.drive.rollingRadius * times(off.radius),
          },
    brakes: { ...car.brakes, front: within(car.brakes.front + off.brakeFront, 0.02, 0.98) },
  }
}
