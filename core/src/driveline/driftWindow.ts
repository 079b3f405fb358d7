import { torqueTable } from '../power/torqueTable'
import type { PullPoint } from '../power/pull'
import { STANDARD_GRAVITY } from '../units/quantities'
import { overallsOf, radiusAt, type Gearing } from './gearing'

export interface DrivenAxle {
  readonly mass: number
  /** Share of the weight on the driven axle, standing. */
  readonly share: number
  /** Height of the centre of mass over the wheelbase. */
  readonly lever: number
  readonly driven: 'front' | 'rear' | 'all'
  readonly grip: number
  /** Downforce area C_L·A that presses on the driven axle, m². */
  readonly downforceArea: number
  readonly airDensity: number
}

/**
 * The force that the driven tyres can take, N: weight on them, what accelerating moves onto or off them, and
 * downforce.
 *
 * @param resisting what holds the car back, N: that part of the pull moves no weight
 * @source μ·N with N = m·g·share ± m·a·h/L (Milliken & Milliken, from memory), solved for the a that it allows
 * @example axleGrip(axle, 20)
 */
export function axleGrip(
  { mass, share, lever, driven, grip, downforceArea, airDensity }: DrivenAxle,
  speed: number,
  resisting = 0,
): number {
  const pressed = 0.5 * airDensity * downforceArea * speed ** 2
  const standing = driven === 'all' ? mass * STANDARD_GRAVITY : mass * STANDARD_GRAVITY * share
  const moved = driven === 'all' ? 0 : driven === 'rear' ? grip * lever : -grip * lever
  // Never more than the whole car's weight stands on the axle.
  const most = mass * STANDARD_GRAVITY + pressed
  const load = (standing + pressed - (moved / grip) * resisting) / Math.max(0.05, 1 - moved)
  return grip * Math.min(most, Math.max(0, load))
}

export interface DriftWindow {
  /** Counted from 0. */
  readonly gear: number
  /** Road speeds between which the tyres can be kept spinning, m/s; `null` when nowhere. */
  readonly window: readonly [number, number] | null
  /** Greatest spin margin in the gear: tractive force over grip. */
  readonly margin: number
  /** What ends the window above and below, or why there is none. */
  readonly lower: 'grip' | 'boost' | 'slip'
  readonly upper: 'limiter' | 'grip' | 'slip'
}

export interface DriftDemands {
  /** Engine speed from which boost, or enough torque, is there, rad/s. */
  readonly threshold: number
  /** Wheel speed over road speed, least and most. */
  readonly slip: readonly [number, number]
}

const SPEED_STEP = 0.1
const SLIP_STEPS = 24

/**
 * For each gear, the road speeds at which the driven tyres can be kept spinning with the engine on the boil: a
 * spin margin above 1, wheel speed within the slip wanted, engine between boost threshold and limiter.
 *
 * It explains why one gear won't break the tyres loose while the next one down is over at once.
 *
 * @throws {RangeError} when the slip doesn't run from above 1 upwards
 * @source tractive force against grip; slip 1.1 to 1.6 is common practice
 * @example driftWindows(gearing, curve, axle, { threshold: 460, slip: [1.1, 1.6] })[2].window
 */
export function driftWindows(
  gearing: Gearing,
  curve: readonly PullPoint[],
  axle: DrivenAxle,
  { threshold, slip: [least, most] }: DriftDemands,
): DriftWindow[] {
  if (!(least >= 1 && most > least)) throw new RangeError('slip runs from 1 upwards, least before most')
  const top = Math.min(gearing.limiter, curve.at(-1)?.speed ?? 0)
  const low = Math.max(threshold, curve[0]?.speed ?? Infinity)
  // Each road speed asks for many engine speeds: a table answers without searching the curve.
  const torque = torqueTable(curve)
  return overallsOf(gearing).map((overall, gear): DriftWindow => {
    let margin = 0
    /** Whether some wheel speed in the range spins the tyres at a road speed. */
    const spins = (v: number): boolean => {
      const grip = axleGrip(axle, v)
      let found = false
      for (let i = 0; i <= SLIP_STEPS; i += 1) {
        const wheel = v * (least + ((most - least) * i) / SLIP_STEPS)
        const turning = (wheel / radiusAt(gearing, wheel)) * overall
        if (turning < low || turning > top) continue
        const ratio = (torque(turning) * overall) / radiusAt(gearing, wheel) / grip
        margin = Math.max(margin, ratio)
        if (ratio > 1) found = true
      }
      return found
    }
    // Any road speed at which some slip within the range puts the engine between threshold and limiter.
    const slowest = ((low / overall) * gearing.rollingRadius) / most
    const fastest = ((top / overall) * gearing.rollingRadius) / least
    let best: [number, number] | null = null
    let from: number | null = null
    for (let v = slowest; v <= fastest + SPEED_STEP; v += SPEED_STEP) {
      if (v <= fastest && spins(v)) from ??= v
      else if (from !== null) {
        const end = v - SPEED_STEP
        if (!best || end - from > best[1] - best[0]) best = [from, end]
        from = null
      }
    }
    if (!best) return { gear, window: null, margin, lower: 'grip', upper: 'grip' }
    return {
      ...{ gear, window: best, margin },
      lower: best[0] <= slowest + 2 * SPEED_STEP ? 'boost' : 'grip',
      upper: best[1] >= fastest - 2 * SPEED_STEP ? 'limiter' : 'grip',
    }
  })
}
