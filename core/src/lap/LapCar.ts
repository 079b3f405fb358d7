import type { StraightLineCar } from '../driveline/straightLine'
import type { AxleCar, Differential } from './AxleCar'

/** A car as runs and laps want it: as a straight line does, and what its axles do in a corner and under braking. SI. */
export interface LapCar extends StraightLineCar {
  /** Downforce areas C_L·A on the axles, m². */
  readonly downforceFront: number
  readonly downforceRear: number
  readonly trackFront: number
  readonly trackRear: number
  /** The front axle’s share of what goes from the inside to the outside wheels, 0 to 1. */
  readonly transferShare: number
  /** Coefficient of friction of the front tyres over that of the rear ones. */
  readonly frontOverRear: number
  /** Of a car driven by all wheels: the front axle’s share of the pull; `null` where each axle gets what it holds. */
  readonly driveFront: number | null
  readonly differential: Differential
  /** The front axle’s share of the braking, and what of all that is possible the driver uses, 0 to 1. */
  readonly brakeFront: number
  readonly brakeUsed: number
  /** What grip and power are multiplied by in a lap, so that it is the one that was driven; left out for 1. */
  readonly fittedGrip?: number
  readonly fittedPower?: number
}

/** What a tyre’s grip is stated at where nobody says, N: a quarter of a car of 1.2 t (common practice). */
export const STATED_LOAD = 3000

/**
 * A car of runs as a lap wants it: two axles, four tyres, an engine with gears.
 *
 * The grip that is typed is that of the driven tyres; where all are driven, of the rear ones.
 *
 * @source definition
 * @example axleCarOf(car).tyre.front.grip // 1.05
 */
export function axleCarOf(car: LapCar): AxleCar {
  const { driven, frontShare, wheelbase, frontOverRear, fittedGrip = 1, fittedPower = 1 } = car
  const grip = car.grip * fittedGrip
  const state = { load: car.tyreLoad ?? STATED_LOAD, sensitivity: car.tyreSensitivity ?? 0 }
  const isFront = driven === 'front'
  return {
    mass: car.mass,
    wheelbase,
    centre: { x: wheelbase * (1 - frontShare), z: car.massHeight },
    track: { front: car.trackFront, rear: car.trackRear },
    transferShare: car.transferShare,
    tyre: {
      front: { ...state, grip: isFront ? grip : grip * frontOverRear },
      rear: { ...state, grip: isFront ? grip / frontOverRear : grip },
    },
    downforce: { front: car.downforceFront, rear: car.downforceRear },
    dragArea: car.dragArea,
    rollingResistance: car.rollingResistance,
    airDensity: car.airDensity,
    driven,
    driveFront: car.driveFront,
    differential: car.differential,
    drive: {
      kind: 'gears',
      curve: fittedPower === 1 ? car.curve : car.curve.map((p) => ({ ...p, torque: p.torque * fittedPower })),
      ratios: car.ratios,
      finalDrive: car.finalDrive,
      rollingRadius: car.rollingRadius,
      shiftSpeed: car.shiftSpeed,
      shiftTime: car.shiftTime,
      launchSpeed: car.launchSpeed,
      clutchTorque: car.clutchTorque ?? null,
      wheelInertia: car.wheelInertia,
      engineInertia: car.engineInertia,
      inertiaPulledIn: car.inertiaPulledIn ?? null,
    },
    brakes: { front: car.brakeFront, used: car.brakeUsed },
  }
}
