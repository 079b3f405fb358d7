import type { PullPoint } from '../power/pull'
import { torqueTable } from '../power/torqueTable'
import { STANDARD_GRAVITY } from '../units/constants'
import { axleGripOf, type DrivenAxle } from './axleGrip'
import { overallsOf, radiusAt, type Gearing } from './gearing'
import { slidePull } from './slidePull'

export interface DriftWindow {
  /** Counted from 0. */
  readonly gear: number
  /** Road speeds between which the gear holds the slide, m/s; `null` when nowhere. */
  readonly window: readonly [number, number] | null
  /** Greatest pull in the gear over what holding the slide takes, with the engine on the boil. */
  readonly margin: number
  /** Greatest pull in the gear over the grip of the driven tyres with the car still straight. */
  readonly breaksLoose: number
  /** What ends the window below and above: the pull is too small there, or the engine is off its boil, or at its limiter. */
  readonly lower: 'pull' | 'boost'
  readonly upper: 'pull' | 'limiter'
}

export interface DriftDemands {
  /** Engine speed from which boost, or enough torque, is there, rad/s. */
  readonly threshold: number
  /** Wheel speed over road speed, least and most. */
  readonly slip: readonly [number, number]
  /** Of the rear axle in the slide, rad; left out for what is usual. */
  readonly slipAngle?: number | undefined
}

/** Wheel speed over road speed that a slide is driven with (common practice). */
export const USUAL_SLIP: readonly [number, number] = [1.1, 1.6]

/** Slip angle of the rear axle in a slide, rad, and how far it may be off, where a layout says no other (common practice). */
export const USUAL_SLIP_ANGLE = { value: (35 * Math.PI) / 180, sigma: (7 * Math.PI) / 180 } as const

/** Windows are looked for in steps of road speed, m/s, and their ends found between two of them. */
const SPEED_STEP = 0.5
const HALVINGS = 8
/** The margin is looked for at every fourth of them. */
const MARGIN_EVERY = 4
/** So near to where boost or limiter end it, m/s, they do. */
const NEAR = 0.2
const SPIN_STEPS = 24

/**
 * For each gear the two things that a drift car's gearing is asked: does it break the driven tyres loose on power, and
 * between which road speeds does it hold a slide?
 *
 * A slide is held where some wheel speed within the slip that is wanted puts the engine between boost threshold and
 * limiter with at least the pull that the sliding tyres take. In a steady slide the car hardly speeds up, so its weight
 * stays where it stands; breaking loose is asked with the weight that accelerating moves.
 *
 * It explains why one gear won't hold a slide while the next one down is over at once.
 *
 * @param curve torque at the wheels over engine speed
 * @throws {RangeError} when the slip doesn't run from 1 upwards, or the slip angle is not between 0 and 90°
 * @source {@link slidePull} and {@link axleGrip}; slip 1.1 to 1.6 is common practice
 * @example driftWindows(gearing, curve, axle, { threshold: 460, slip: [1.1, 1.6], slipAngle: 0.61 })[2].window
 */
export function driftWindows(
  gearing: Gearing,
  curve: readonly PullPoint[],
  axle: DrivenAxle,
  { threshold, slip: [least, most], slipAngle = USUAL_SLIP_ANGLE.value }: DriftDemands,
): DriftWindow[] {
  if (!(least >= 1 && most > least)) throw new RangeError('slip runs from 1 upwards, least before most')
  if (!(slipAngle >= 0 && slipAngle < Math.PI / 2))
    throw new RangeError('a slip angle lies between 0 and 90°')
  const top = Math.min(gearing.limiter, curve.at(-1)?.speed ?? 0)
  const low = Math.max(threshold, curve[0]?.speed ?? Infinity)
  // Each road speed asks for many engine speeds: a table answers without searching the curve.
  const torque = torqueTable(curve)
  const spins = Array.from({ length: SPIN_STEPS + 1 }, (_, i) => {
    const spin = least + ((most - least) * i) / SPIN_STEPS
    return { spin, share: slidePull(slipAngle, spin) }
  })
  const standing = axle.mass * STANDARD_GRAVITY * (axle.driven === 'all' ? 1 : axle.share)
  const friction = (v: number) =>
    axle.grip * Math.max(0, standing + 0.5 * axle.airDensity * axle.downforceArea * v * v)
  const gripAt = axleGripOf(axle)
  return overallsOf(gearing).map((overall, gear): DriftWindow => {
    let [margin, breaksLoose] = [0, 0]
    const pullAt = (wheel: number): number | null => {
      const radius = radiusAt(gearing, wheel)
      const turning = (wheel / radius) * overall
      return turning < low || turning > top ? null : (torque(turning) * overall) / radius
    }
    /** Whether some wheel speed in the range holds the slide at a road speed; `whole` looks at them all. */
    const held = (v: number, whole = false): boolean => {
      const loaded = friction(v)
      let found = false
      for (const { spin, share } of spins) {
        const pull = pullAt(v * spin)
        if (pull === null) continue
        const ratio = share > 0 ? pull / (loaded * share) : Infinity
        margin = Math.max(margin, ratio)
        if (ratio < 1) continue
        found = true
        if (!whole) break
      }
      return found
    }
    const slowest = ((low / overall) * gearing.rollingRadius) / most
    const fastest = ((top / overall) * gearing.rollingRadius) / least
    /** Where it stops holding, or begins to, between a speed that holds and one that doesn't. */
    const edge = (holding: number, not: number): number => {
      for (let i = 0; i < HALVINGS; i += 1) {
        const middle = (holding + not) / 2
        if (held(middle)) holding = middle
        else not = middle
      }
      return holding
    }
    let best: [number, number] | null = null
    let from: number | null = null
    const close = (end: number) => {
      if (from !== null && (!best || end - from > best[1] - best[0])) best = [from, end]
      from = null
    }
    const steps = Math.max(0, Math.ceil((fastest - slowest) / SPEED_STEP))
    let before = slowest
    for (let i = 0; i <= steps; i += 1) {
      const v = Math.min(fastest, slowest + i * SPEED_STEP)
      const holds = fastest >= slowest && held(v, i % MARGIN_EVERY === 0)
      if (holds) from ??= i === 0 ? v : edge(v, before)
      else if (from !== null) close(edge(before, v))
      before = v
    }
    close(before)
    for (let v = slowest * most; v <= fastest * least; v += SPEED_STEP) {
      const pull = pullAt(v)
      if (pull !== null) breaksLoose = Math.max(breaksLoose, pull / gripAt(v, 0))
    }
    return {
      gear,
      window: best,
      margin,
      breaksLoose,
      lower: best && best[0] <= slowest + NEAR ? 'boost' : 'pull',
      upper: best && best[1] >= fastest - NEAR ? 'limiter' : 'pull',
    }
  })
}
