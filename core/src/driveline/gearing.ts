import { bisect } from '../numeric/bisect'
import { torqueAt } from '../power/curveFigures'
import type { PullPoint } from '../power/pull'
import { STANDARD_GRAVITY } from '../units/constants'

/** What turns between the engine and the road. SI. */
export interface Gearing {
  /** First to last, falling. */
  readonly ratios: readonly number[]
  readonly finalDrive: number
  /** Drop gears, a quick-change set or a transfer box: multiplied into every gear; 1 without. */
  readonly between: number
  readonly rollingRadius: number
  /** Share that the tyre's radius has grown by at 200 km/h. */
  readonly growth: number
  readonly limiter: number
}

export interface RoadLoad {
  readonly mass: number
  readonly dragArea: number
  readonly rollingResistance: number
  readonly airDensity: number
  /** Rise over run; 0 on the flat. */
  readonly slope?: number
}

const GROWTH_SPEED = 200 / 3.6

/** Engine turns for one turn of the wheel, in each gear. */
export const overallsOf = ({ ratios, finalDrive, between }: Gearing): number[] =>
  ratios.map((ratio) => ratio * finalDrive * between)

/** The tyre's rolling radius at a road speed: rubber grows with the square of it. */
export const radiusAt = ({ rollingRadius, growth }: Gearing, speed: number): number =>
  rollingRadius * (1 + growth * (speed / GROWTH_SPEED) ** 2)

/**
 * Engine speed at a road speed in a gear, without slip.
 *
 * @source kinematics: ω = v / r · overall
 * @example engineSpeedAt(gearing, 0, 20)
 */
export const engineSpeedAt = (gearing: Gearing, gear: number, speed: number): number =>
  (speed / radiusAt(gearing, speed)) * overallsOf(gearing)[gear]!

/**
 * Road speed at an engine speed in a gear, without slip.
 *
 * @source kinematics, found by going round because the tyre grows with the answer
 * @example roadSpeedAt(gearing, 3, (7000 * Math.PI) / 30) * 3.6 // 206.8 on 642.7 mm unloaded, 1.00 and 4.10
 */
export function roadSpeedAt(gearing: Gearing, gear: number, engineSpeed: number): number {
  const turns = engineSpeed / overallsOf(gearing)[gear]!
  let speed = turns * gearing.rollingRadius
  for (let i = 0; i < 20 && gearing.growth !== 0; i += 1) speed = turns * radiusAt(gearing, speed)
  return speed
}

/**
 * Tractive force at the tyres in a gear at a road speed, without slip.
 *
 * @param curve torque as it arrives at the wheels, over engine speed
 * @returns N; `null` below the curve, above it or above the limiter
 * @source F = T · overall / r
 * @example tractiveForce(gearing, curve, 1, 25)
 */
export function tractiveForce(
  gearing: Gearing,
  curve: readonly PullPoint[],
  gear: number,
  speed: number,
): number | null {
  const turning = engineSpeedAt(gearing, gear, speed)
  if (turning > gearing.limiter * 1.0001) return null
  const torque = torqueAt(curve, turning)
  return torque === null ? null : (torque * overallsOf(gearing)[gear]!) / radiusAt(gearing, speed)
}

/**
 * What holds the car back at a steady speed, N.
 *
 * @source ½ρC_DA·v² + C_rr·m·g + m·g·sin θ
 * @example roadLoad({ mass: 1200, dragArea: 0.7, rollingResistance: 0.012, airDensity: 1.225 }, 76.1)
 */
export function roadLoad(
  { mass, dragArea, rollingResistance, airDensity, slope = 0 }: RoadLoad,
  speed: number,
): number {
  const weight = mass * STANDARD_GRAVITY
  return (
    0.5 * airDensity * dragArea * speed ** 2 + (rollingResistance + slope) * (weight / Math.hypot(1, slope))
  )
}

export interface TopSpeed {
  readonly speed: number
  readonly gear: number
  /** The limiter ends it, or the power does. */
  readonly limit: 'gearing' | 'power'
}

/**
 * Top speed: the fastest that any gear's force still carries the road load, or the limiter allows.
 *
 * @returns `null` when no gear moves the car
 * @source force against road load, by halving
 * @example topSpeed(gearing, curve, load)!.speed * 3.6
 */
export function topSpeed(gearing: Gearing, curve: readonly PullPoint[], load: RoadLoad): TopSpeed | null {
  const last = curve.at(-1)
  if (!last) return null
  let best: TopSpeed | null = null
  gearing.ratios.forEach((_, gear) => {
    const fastest = roadSpeedAt(gearing, gear, Math.min(gearing.limiter, last.speed) * 0.99999)
    const slowest = roadSpeedAt(gearing, gear, curve[0]!.speed * 1.00001)
    const spare = (v: number) => (tractiveForce(gearing, curve, gear, v) ?? 0) - roadLoad(load, v)
    let found: TopSpeed | null = null
    if (spare(fastest) >= 0) found = { speed: fastest, gear, limit: 'gearing' }
    else {
      // From the top down to where the force first carries the load again.
      const STEPS = 200
      for (let i = STEPS - 1; i >= 0 && !found; i -= 1) {
        const from = slowest + ((fastest - slowest) * i) / STEPS
        if (spare(from) < 0) continue
        const to = slowest + ((fastest - slowest) * (i + 1)) / STEPS
        found = { speed: bisect((v) => spare(v) >= 0, from, to, 50).low, gear, limit: 'power' }
      }
    }
    if (found && (!best || found.speed > best.speed + 1e-9)) best = found
  })
  return best
}
