import { STANDARD_GRAVITY } from '../units/constants'

/** The brakes of one axle. SI. */
export interface AxleBrakes {
  /** Area of the pistons on one side of a caliper, m²; of a floating caliper, of its only side. */
  readonly pistonArea: number
  /** Friction of pad on disc. */
  readonly friction: number
  /** From the wheel's axis to where the pads act, m. */
  readonly radius: number
}

/**
 * Torque of an axle's brakes for each pascal in its line: two calipers, two pads each.
 *
 * @returns N·m/Pa
 * @throws {RangeError} for a figure that is not above zero
 * @source Limpert, Brake Design and Safety, chapter on hydraulic brakes (from memory): 2·2·μ·A·r
 * @example brakeTorque({ pistonArea: 2.6547e-3, friction: 0.45, radius: 0.14 }) * 1e6 // 669
 */
export function brakeTorque({ pistonArea, friction, radius }: AxleBrakes): number {
  if (!(pistonArea > 0 && friction > 0 && radius > 0))
    throw new RangeError('a brake has pistons, friction and a radius')
  return 4 * friction * pistonArea * radius
}

/** A pedal that pushes two cylinders through a bar. SI. */
export interface PedalBox {
  /** Travel of the foot over travel of the bar. */
  readonly ratio: number
  /** The front cylinder's share of what the bar pushes, 0 to 1. */
  readonly frontShare: number
  /** m */
  readonly frontCylinder: number
  readonly rearCylinder: number
}

const disc = (diameter: number) => (Math.PI * diameter ** 2) / 4

/**
 * Pressure in both lines under a foot.
 *
 * @param force on the pedal, N
 * @returns Pa
 * @throws {RangeError} for a cylinder without a bore, or a share that is none
 * @source Limpert, Brake Design and Safety, chapter on hydraulic brakes (from memory); losses are left out
 * @example linePressures({ ratio: 5.2, frontShare: 0.52, frontCylinder: 0.01905, rearCylinder: 0.02064 }, 500).front / 1e5 // 47.4
 */
export function linePressures(
  { ratio, frontShare, frontCylinder, rearCylinder }: PedalBox,
  force: number,
): { readonly front: number; readonly rear: number } {
  if (!(frontCylinder > 0 && rearCylinder > 0)) throw new RangeError('a cylinder has a bore')
  if (!(frontShare >= 0 && frontShare <= 1)) throw new RangeError('a share is between nothing and all')
  const pushed = force * ratio
  return {
    front: (pushed * frontShare) / disc(frontCylinder),
    rear: (pushed * (1 - frontShare)) / disc(rearCylinder),
  }
}

/** What loads the wheels while a car brakes. SI. */
export interface BrakingCar {
  /** The front axle's share of the mass, 0 to 1. */
  readonly frontMassShare: number
  /** Height of the centre of mass over the ground, m. */
  readonly height: number
  /** m */
  readonly wheelbase: number
  /** What the air presses on each axle, in weights of the car; left out for none. */
  readonly downforce?: { readonly front: number; readonly rear: number }
}

const downforceOf = ({ downforce = { front: 0, rear: 0 } }: BrakingCar) => downforce

/**
 * The front share of the brakes at which both axles are used alike.
 *
 * @param deceleration in g
 * @returns 0 to 1
 * @throws {RangeError} for a wheelbase that is not above zero
 * @source Limpert, Brake Design and Safety, chapter on brake force distribution (from memory)
 * @example idealFrontShare({ frontMassShare: 0.54, height: 0.48, wheelbase: 2.5 }, 1) // 0.732
 */
export function idealFrontShare(car: BrakingCar, deceleration: number): number {
  if (!(car.wheelbase > 0)) throw new RangeError('a wheelbase is above zero')
  const { front, rear } = downforceOf(car)
  const onFront = car.frontMassShare + front + (deceleration * car.height) / car.wheelbase
  return onFront / (1 + front + rear)
}

export interface BrakeBalance {
  /** Deceleration at which each axle locks, in g; `Infinity` for one that never does. */
  readonly locksAt: { readonly front: number; readonly rear: number }
  /** Which locks first. The rear one first spins the car. */
  readonly first: 'front' | 'rear'
  /** Deceleration that can be used, over what the grip would give, 0 to 1. */
  readonly efficiency: number
  /** Front share at which both would lock at once. */
  readonly idealShare: number
}

/**
 * Which axle locks first, and what of the grip the brakes can use.
 *
 * @param frontShare of the braking, 0 to 1
 * @param grip friction of tyre on road, the same at both axles
 * @throws {RangeError} for no grip, or a share that is none
 * @source Limpert, Brake Design and Safety, chapter on brake force distribution (from memory)
 * @example brakeBalance({ frontMassShare: 0.54, height: 0.48, wheelbase: 2.5 }, 0.7928, 1.3).locksAt.front // 1.292
 */
export function brakeBalance(car: BrakingCar, frontShare: number, grip: number): BrakeBalance {
  if (!(grip > 0)) throw new RangeError('a tyre has grip')
  if (!(frontShare >= 0 && frontShare <= 1)) throw new RangeError('a share is between nothing and all')
  const air = downforceOf(car)
  const moved = (grip * car.height) / car.wheelbase
  // Below zero, its load grows faster than its brake.
  const lockOf = (share: number, load: number, gains: number) =>
    share - gains > 0 ? (grip * load) / (share - gains) : Infinity
  const locksAt = {
    front: lockOf(frontShare, car.frontMassShare + air.front, moved),
    rear: lockOf(1 - frontShare, 1 - car.frontMassShare + air.rear, -moved),
  }
  const most = grip * (1 + air.front + air.rear)
  return {
    locksAt,
    first: locksAt.rear < locksAt.front ? 'rear' : 'front',
    efficiency: Math.min(locksAt.front, locksAt.rear, most) / most,
    idealShare: idealFrontShare(car, most),
  }
}

/** Weights of the car that the air presses on an axle. */
export const weightsOf = (downforce: number, mass: number): number => downforce / (mass * STANDARD_GRAVITY)
