import type { DrivenAxle } from './axleGrip'
import { movedMass } from './movedMass'
import type { StraightLineCar } from './straightLine'

/**
 * The driven axle of a car that runs, as its grip is asked for.
 *
 * @source definition
 * @example drivenAxle(car).share
 */
export function drivenAxle(car: StraightLineCar): DrivenAxle {
  const { mass, driven, frontShare, massHeight, wheelbase, grip, airDensity } = car
  const front = car.downforceFront ?? 0
  const rear = car.downforceRear ?? 0
  return {
    mass,
    driven,
    grip,
    sensitivity: car.tyreSensitivity ?? 0,
    ...(car.tyreLoad !== undefined && { tyreLoad: car.tyreLoad }),
    airDensity,
    share: driven === 'front' ? frontShare : 1 - frontShare,
    lever: massHeight / wheelbase,
    downforceArea: { front, rear, all: front + rear }[driven],
    undriven: movedMass(car).atGrip - mass,
  }
}
