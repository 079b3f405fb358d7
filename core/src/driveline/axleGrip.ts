import { STANDARD_GRAVITY } from '../units/constants'

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
  /** What the wheels that are not driven are felt as, kg; left out for none. */
  readonly undriven?: number
}

/**
 * The force that the driven tyres can take, N: weight on them, what accelerating moves onto or off them, and
 * downforce.
 *
 * @param resisting what holds the car back, N: that part of the pull moves no weight
 * @source μ·N with N = m·g·share ± m·a·h/L and a = (F − R)/(m + undriven) (Milliken & Milliken, Race Car Vehicle
 * Dynamics, chapter 18, Wheel Loads), solved for the force that it allows
 * @example axleGrip({ mass: 1200, share: 0.5, lever: 0.2, driven: 'rear', grip: 1, downforceArea: 0, airDensity: 1.225 }, 20) // 7354.99
 */
export const axleGrip = (axle: DrivenAxle, speed: number, resisting = 0): number =>
  axleGripOf(axle)(speed, resisting)

/**
 * The same for an axle that is asked often: what doesn't change is worked out once.
 *
 * @returns of speed, what holds the car back, and a grip in place of the axle's own
 */
export function axleGripOf({
  mass,
  share,
  lever,
  driven,
  grip,
  downforceArea,
  airDensity,
  undriven = 0,
}: DrivenAxle): (speed: number, resisting: number, left?: number) => number {
  const pressing = 0.5 * airDensity * downforceArea
  const weight = mass * STANDARD_GRAVITY
  if (driven === 'all')
    return (speed, _, left = grip) => left * Math.max(0, weight + pressing * speed * speed)
  // Load that each newton of surplus force moves onto the driven axle, or off it.
  const moves = ((driven === 'rear' ? lever : -lever) * mass) / (mass + undriven)
  const standing = weight * share
  return (speed, resisting, left = grip) => {
    const pressed = pressing * speed * speed
    const load = (standing + pressed - moves * resisting) / Math.max(0.05, 1 - left * moves)
    // Never more than the whole car's weight stands on the axle.
    return left * Math.min(Math.max(0, weight + pressed), Math.max(0, load))
  }
}
