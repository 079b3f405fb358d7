import { STANDARD_GRAVITY } from '../units/constants'
import type { AxleCar } from '../lap/AxleCar'
import { gearPulls } from '../lap/gearPulls'
import { wheelForces } from '../lap/wheelForces'

/** What a car's tyres have at a speed, m/s²: in a corner without pulling or braking, and in a straight line on the brakes. */
export interface GripLimits {
  readonly sideways: (speed: number) => number
  readonly braking: (speed: number) => number
}

/** Speeds at which they are worked out, m/s: between them it is a straight line. */
const STEP = 4
const TO = 100
/** Radii that are tried, m: the tightest first. */
const TIGHTEST = 4
const WIDEST = 3000
const RADII = 48

/**
 * What the tyres of a car have by speed, as its lap is worked out with: grip, load and downforce.
 *
 * @throws {RangeError} as `wheelForces`
 * @source {@link wheelForces}
 * @example gripLimits(axleCar).sideways(20) // 12.38
 */
export function gripLimits(car: AxleCar): GripLimits {
  const level = { gradient: 0, banking: 0, grip: 1 }
  // All of the brakes, whoever is on them.
  const forces = wheelForces({ ...car, brakes: { ...car.brakes, used: 1 } }, gearPulls(car).undriven)
  const corners = Array.from({ length: RADII }, (_, i) => {
    const radius = TIGHTEST * (WIDEST / TIGHTEST) ** (i / (RADII - 1))
    const { speed } = forces.corner({ ...level, curvature: 1 / radius })
    return { speed, held: (speed * speed) / radius }
  })
  const sideways = (v: number): number => {
    const after = corners.findIndex((c) => c.speed >= v)
    if (after < 0) return corners[corners.length - 1]!.held
    if (after === 0) return corners[0]!.held
    const [a, b] = [corners[after - 1]!, corners[after]!]
    return a.held + ((b.held - a.held) * (v - a.speed)) / Math.max(1e-9, b.speed - a.speed)
  }
  const brakes = Array.from({ length: TO / STEP + 1 }, (_, i) =>
    forces.braking(Math.max(1, i * STEP), { ...level, curvature: 0 }),
  )
  const braking = (v: number): number => {
    const at = Math.min(brakes.length - 1.001, Math.max(0, v / STEP))
    const i = Math.floor(at)
    return brakes[i]! + (at - i) * (brakes[i + 1]! - brakes[i]!)
  }
  return { sideways, braking }
}

/**
 * What of the tyres' grip a driver uses at a moment, 0 to 1 and over: how far out on the ellipse of cornering and braking.
 * Pulling is left out of it: there the engine is the limit as often as the tyres are.
 *
 * @param sideways and forward: m/s²
 * @source the ellipse of an axle's forces: Milliken & Milliken, Race Car Vehicle Dynamics, chapter 9
 * @example gripUsed(gripLimits(axleCar), 20, 6, -6) // 0.7125
 */
export function gripUsed(limits: GripLimits, speed: number, sideways: number, forward: number): number {
  const across = sideways / Math.max(0.01 * STANDARD_GRAVITY, limits.sideways(speed))
  const along = Math.min(0, forward) / Math.max(0.01 * STANDARD_GRAVITY, limits.braking(speed))
  return Math.hypot(across, along)
}
