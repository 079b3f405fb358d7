import { movedMass } from '../driveline/movedMass'
import type { StraightLineCar } from '../driveline/straightLine'
import { torqueTable } from '../power/torqueTable'

export interface EnginePull {
  /** Force at the tyres in the best gear for a road speed, N. */
  readonly pull: (speed: number) => number
  /** What it has to speed up in that gear, with all that turns, kg. */
  readonly inert: (speed: number) => number
}

/** Steps of the table, m/s; a lap asks at thousands of speeds. */
const STEP = 0.25
const STEPS = 640

/**
 * What the engine does for a car at any road speed, in whichever gear pulls hardest; below the curve the clutch slips.
 *
 * @throws {RangeError} for a car without two points of a curve, gears, or a radius
 * @source F = T·overall/r; {@link movedMass}
 * @example enginePull(car).pull(30)
 */
export function enginePull(car: StraightLineCar): EnginePull {
  const { curve, ratios, finalDrive, rollingRadius: r, shiftSpeed } = car
  if (curve.length < 2) throw new RangeError('a pull needs a curve with two or more points')
  if (ratios.length === 0 || !(finalDrive > 0) || !(r > 0))
    throw new RangeError('a pull needs gears and tyres')
  const torque = torqueTable(curve)
  const slip = Math.max(car.launchSpeed, curve[0]!.speed)
  const overalls = ratios.map((ratio) => ratio * finalDrive)
  const { slipping, inGear } = movedMass(car)
  const slipTorque = Math.min(torque(slip), car.clutchTorque ?? Infinity)
  const best = Array.from({ length: STEPS + 1 }, (_, i) => {
    const turning = (i * STEP) / r
    let [force, moved] = [0, inGear.at(-1)!]
    overalls.forEach((overall, gear) => {
      const geared = turning * overall
      if (geared > shiftSpeed) return
      // Only the first gear is ever slipped.
      const isSlipping = gear === 0 && geared < slip
      if (!isSlipping && geared < curve[0]!.speed) return
      const pull = ((isSlipping ? slipTorque : torque(geared)) * overall) / r
      if (pull > force) [force, moved] = [pull, isSlipping ? slipping : inGear[gear]!]
    })
    return { force, moved }
  })
  const at = (speed: number) => {
    const place = Math.min(STEPS - 1e-9, Math.max(0, speed / STEP))
    const i = Math.floor(place)
    return { one: best[i]!, two: best[i + 1]!, part: place - i }
  }
  return {
    pull: (speed) => {
      const { one, two, part } = at(speed)
      return one.force + (two.force - one.force) * part
    },
    inert: (speed) => at(speed).one.moved,
  }
}
