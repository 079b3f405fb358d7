import { strictestLimit, type Rule } from './classReport'

/** Outline of the car that a class's limits hang from, m. */
export interface CarOutline {
  readonly wheelbase: number
  readonly roofHeight: number | null
  /** Ahead of the front axle, and behind the rear one. */
  readonly bumperFront: number | null
  readonly bumperRear: number | null
}
/** Lines that nothing may cross, m; `null` where the class has none or its outline isn't known. */
export interface ClassEnvelope {
  /** Above the ground. */
  readonly top: number | null
  readonly bottom: number | null
  /** Behind the front axle. */
  readonly front: number | null
  readonly rear: number | null
  /** Over everything. */
  readonly width: number | null
}

/**
 * The box that a class leaves for what hangs on a car.
 *
 * @source limits are counted from the roof line, the bumpers' outline and the ground
 * @example classEnvelope(rules, outline).top // 1.45
 */
export function classEnvelope(rules: readonly Rule[], car: CarOutline): ClassEnvelope {
  const most = (measure: Rule['measure']) => strictestLimit(rules, measure, 'atMost')
  const beyond = (from: number | null, by: number | null) => (from === null || by === null ? null : from + by)
  const front = beyond(car.bumperFront, most('frontBeyondBumper'))
  const rear = beyond(car.bumperRear, most('rearBeyondBumper'))
  return {
    top: beyond(car.roofHeight, most('wingAboveRoof')),
    bottom: strictestLimit(rules, 'groundClearance', 'atLeast'),
    front: front === null ? null : -front,
    rear: rear === null ? null : car.wheelbase + rear,
    width: most('overallWidth'),
  }
}
