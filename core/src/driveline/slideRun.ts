import { STANDARD_GRAVITY } from '../units/constants'
import type { DrivenAxle } from './axleGrip'
import type { DriftWindow } from './driftWindow'

/** A run through a layout in one slide. SI. */
export interface SlideRun {
  /** s */
  readonly time: number
  /** Speeds along it, m/s, evenly from entry to exit. */
  readonly speeds: readonly number[]
  /** The gear that holds the slide over the most of it, and what of its length that is; `null` where none does. */
  readonly gear: { readonly gear: number; readonly share: number } | null
  /** Wheel speeds at entry and exit, least and most of the slip that is wanted, m/s. */
  readonly wheel: { readonly entry: readonly [number, number]; readonly exit: readonly [number, number] }
  /** Worked into each driven tyre by sliding, J, at the middle of that slip. */
  readonly intoTyre: number
}

/** Places along it that are looked at. */
const STEPS = 80

/**
 * A run through a drift layout: how long it takes in one slide from its entry to its exit speed, which gear holds the
 * slide over it, how fast the wheels turn, and what that works into the tyres.
 *
 * The speed falls evenly along the way, as a slide that is driven through does. What a sliding tyre turns into heat is its
 * friction times how fast it slips over the road, sideways and along.
 *
 * @param windows of the gears, as `driftWindows` gives them
 * @param layout length in m; speeds in m/s
 * @param slide slip angle of the rear axle, rad; wheel speed over road speed, least and most
 * @throws {RangeError} for a length or a speed that isn't above zero
 * @source slip of the contact patch v·√((k − cos α)² + sin² α) (Pacejka, Tire and Vehicle Dynamics, 3.2.3); heat is friction
 *   times slip speed (energy)
 * @example slideRun(windows, axle, { length: 400, entry: 25, exit: 15 }, { angle: 0.6, slip: [1.1, 1.6] }).time // 20.4
 */
export function slideRun(
  windows: readonly DriftWindow[],
  axle: DrivenAxle,
  layout: { readonly length: number; readonly entry: number; readonly exit: number },
  slide: { readonly angle: number; readonly slip: readonly [number, number] },
): SlideRun {
  const { length, entry, exit } = layout
  if (!(length > 0 && entry > 0 && exit > 0)) throw new RangeError('a run has a length and speeds above zero')
  const speeds = Array.from({ length: STEPS + 1 }, (_, i) => entry + ((exit - entry) * i) / STEPS)
  const step = length / STEPS
  const [least, most] = slide.slip
  const spin = (least + most) / 2
  const slipPerSpeed = Math.hypot(spin - Math.cos(slide.angle), Math.sin(slide.angle))
  const standing = axle.mass * STANDARD_GRAVITY * (axle.driven === 'all' ? 1 : axle.share)
  const tyres = axle.driven === 'all' ? 4 : 2
  let [time, heat] = [0, 0]
  for (let i = 0; i < STEPS; i += 1) {
    const v = (speeds[i]! + speeds[i + 1]!) / 2
    time += step / v
    // Friction times the way that the contact patch slips while the car covers a step.
    heat += axle.grip * (standing + 0.5 * axle.airDensity * axle.downforceArea * v * v) * slipPerSpeed * step
  }
  const shares = windows.map(({ gear, window }) => ({
    gear,
    share: window ? speeds.filter((v) => v >= window[0] && v <= window[1]).length / speeds.length : 0,
  }))
  const best = shares.reduce<{ gear: number; share: number } | null>(
    (a, b) => (b.share > (a?.share ?? 0) ? b : a),
    null,
  )
  return {
    time,
    speeds,
    gear: best,
    wheel: { entry: [least * entry, most * entry], exit: [least * exit, most * exit] },
    intoTyre: heat / tyres,
  }
}
