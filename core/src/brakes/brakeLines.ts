import { linePressures, type AxleBrakes, type PedalBox, brakeTorque, type BrakingCar } from './brakeBalance'
import { bisect } from '../numeric/bisect'
import { STANDARD_GRAVITY } from '../units/constants'

/** A valve in the rear line: from a pressure on, it lets only a part through. Pa, and 0 to 1. */
export interface RearValve {
  readonly from: number
  readonly passes: number
}

/** Everything from the foot to the road. SI. */
export interface BrakeSystem {
  readonly box: PedalBox
  /** What a servo makes of the foot's push; 1 without. */
  readonly servo: number
  readonly valve: RearValve | null
  readonly front: AxleBrakes
  readonly rear: AxleBrakes
  /** Wheels roll at, m. */
  readonly radius: { readonly front: number; readonly rear: number }
}

/**
 * Pressure behind a valve.
 *
 * @param pressure before it, Pa
 * @source Limpert, Brake Design and Safety, chapter on proportioning valves (from memory): a knee and a slope
 * @example behindValve({ from: 3e6, passes: 0.35 }, 5e6) // 3.7e6
 */
export const behindValve = (valve: RearValve | null, pressure: number): number =>
  valve && pressure > valve.from ? valve.from + valve.passes * (pressure - valve.from) : pressure

export interface Braked {
  /** At the calipers, Pa. */
  readonly pressure: { readonly front: number; readonly rear: number }
  /** Of each axle, N·m. */
  readonly torque: { readonly front: number; readonly rear: number }
  /** Of each axle at the road, N. */
  readonly force: { readonly front: number; readonly rear: number }
  /** Front share of that, 0 to 1. */
  readonly frontShare: number
}

/**
 * What a foot does at the road, while no wheel locks.
 *
 * @param effort on the pedal, N, above zero
 * @source Limpert, Brake Design and Safety, chapter on hydraulic brakes (from memory)
 * @example brakedBy(system, 500).frontShare // 0.7928
 */
export function brakedBy(system: BrakeSystem, effort: number): Braked {
  const lines = linePressures(system.box, effort * system.servo)
  const pressure = { front: lines.front, rear: behindValve(system.valve, lines.rear) }
  const torque = {
    front: brakeTorque(system.front) * pressure.front,
    rear: brakeTorque(system.rear) * pressure.rear,
  }
  const force = { front: torque.front / system.radius.front, rear: torque.rear / system.radius.rear }
  return { pressure, torque, force, frontShare: force.front / (force.front + force.rear) }
}

/**
 * Front share of the brakes from pressures in both lines at one moment.
 *
 * @param pressures at the calipers, Pa
 * @returns 0 to 1; `null` where nothing was pressed
 * @example shareFromPressures(system, { front: 47.43e5, rear: 37.3e5 }) // 0.7928
 */
export function shareFromPressures(
  { front, rear, radius }: Pick<BrakeSystem, 'front' | 'rear' | 'radius'>,
  pressures: { readonly front: number; readonly rear: number },
): number | null {
  const force = {
    front: (brakeTorque(front) * pressures.front) / radius.front,
    rear: (brakeTorque(rear) * pressures.rear) / radius.rear,
  }
  const both = force.front + force.rear
  return both > 0 ? force.front / both : null
}

/**
 * Where a bar has to stand for a front share of the brakes, as long as no valve holds anything back.
 *
 * @param frontShare wanted, 0 to 1
 * @returns share of the push on the front cylinder, 0 to 1
 * @source both lines are linear in the push
 * @example barFor(system, 0.7896) // 0.515
 */
export function barFor(system: BrakeSystem, frontShare: number): number {
  const half = brakedBy({ ...system, valve: null, box: { ...system.box, frontShare: 0.5 } }, 100)
  const front = frontShare / half.force.front
  const rear = (1 - frontShare) / half.force.rear
  return front / (front + rear)
}

/** A foot that no leg has. */
const STRONGEST = 20_000

/**
 * Push on the pedal for a deceleration, while no wheel locks.
 *
 * @param deceleration m/s²
 * @returns N; `null` where no leg is enough
 * @example effortFor(system, 1100, 9.80665) // 418
 */
export function effortFor(system: BrakeSystem, mass: number, deceleration: number): number | null {
  const of = (effort: number) => {
    const { force } = brakedBy(system, effort)
    return force.front + force.rear
  }
  const wanted = mass * deceleration
  if (of(STRONGEST) < wanted) return null
  return bisect((effort) => of(effort) < wanted, 1e-6, STRONGEST).high
}

export interface LockedAt {
  /** Of the car, m/s². */
  readonly deceleration: number
  /** On the pedal, N. */
  readonly effort: number
  /** Front share of the brakes there. */
  readonly frontShare: number
}

/**
 * The push at which each axle locks, whatever valve is in the line.
 *
 * @param car `mass` and what loads its wheels
 * @param grip of the tyres at each axle
 * @returns `null` for an axle that no leg locks
 * @throws {RangeError} for a tyre without grip
 * @source equilibrium of each axle: brake force over load on the wheels; Limpert, Brake Design and Safety (from memory)
 * @example lockingOf(system, { mass: 1100, frontMassShare: 0.54, height: 0.48, wheelbase: 2.5 }, { front: 1.3, rear: 1.3 }).front.deceleration / 9.80665 // 1.292
 */
export function lockingOf(
  system: BrakeSystem,
  car: BrakingCar & { readonly mass: number },
  grip: { readonly front: number; readonly rear: number },
): { readonly front: LockedAt | null; readonly rear: LockedAt | null } {
  if (!(grip.front > 0 && grip.rear > 0)) throw new RangeError('a tyre has grip')
  const weight = car.mass * STANDARD_GRAVITY
  const air = car.downforce ?? { front: 0, rear: 0 }
  const lockOf = (axle: 'front' | 'rear'): LockedAt | null => {
    const isHeld = (effort: number) => {
      const { force } = brakedBy(system, effort)
      const moved = ((force.front + force.rear) * car.height) / car.wheelbase
      const load =
        axle === 'front'
          ? (car.frontMassShare + air.front) * weight + moved
          : (1 - car.frontMassShare + air.rear) * weight - moved
      return force[axle] < grip[axle] * load
    }
    if (isHeld(STRONGEST)) return null
    const effort = bisect(isHeld, 1e-6, STRONGEST).high
    const { force, frontShare } = brakedBy(system, effort)
    return { deceleration: (force.front + force.rear) / car.mass, effort, frontShare }
  }
  return { front: lockOf('front'), rear: lockOf('rear') }
}
