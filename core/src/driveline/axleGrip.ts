import { STANDARD_GRAVITY } from '../units/constants'

export interface DrivenAxle {
  readonly mass: number
  /** Share of the weight on the driven axle, standing. */
  readonly share: number
  /** Height of the centre of mass over the wheelbase. */
  readonly lever: number
  readonly driven: 'front' | 'rear' | 'all'
  readonly grip: number
  /** What of its grip a tyre loses where its load doubles; left out for none. */
  readonly sensitivity?: number
  /** The load on one tyre that its grip is stated at, N; needed where it is sensitive to it. */
  readonly tyreLoad?: number
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
 * @throws {RangeError} for tyres that are sensitive to a load that nobody stated
 * @source μ·N with N = m·g·share ± m·a·h/L and a = (F − R)/(m + undriven) (Milliken & Milliken, Race Car Vehicle
 * Dynamics, chapter 18, Wheel Loads), solved for the force that it allows; μ falls with load as in {@link axleCapacity}
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
  sensitivity = 0,
  tyreLoad,
  downforceArea,
  airDensity,
  undriven = 0,
}: DrivenAxle): (speed: number, resisting: number, left?: number) => number {
  if (sensitivity > 0 && !(tyreLoad && tyreLoad > 0))
    throw new RangeError('a tyre that minds its load has its grip stated at one')
  const pressing = 0.5 * airDensity * downforceArea
  const weight = mass * STANDARD_GRAVITY
  // Two tyres that carry the same hold rises·F − falls·F², each a times the grip.
  const rises = 1 + sensitivity
  const falls = sensitivity === 0 ? 0 : sensitivity / (2 * tyreLoad!)
  const moved = mass / (mass + undriven)
  if (driven === 'all')
    return (speed, resisting, left = grip) => {
      const all = Math.max(0, weight + pressing * speed * speed)
      if (falls === 0) return left * all
      let force = left * all
      for (let round = 0; round < ROUNDS; round += 1) {
        const rear = Math.min(all, Math.max(0, share * all + lever * moved * (force - resisting)))
        force = left * (rises * all - falls * (rear * rear + (all - rear) ** 2))
      }
      return force
    }
  // Load that each newton of surplus force moves onto the driven axle, or off it.
  const moves = (driven === 'rear' ? lever : -lever) * moved
  const standing = weight * share
  return (speed, resisting, left = grip) => {
    const pressed = pressing * speed * speed
    const still = standing + pressed - moves * resisting
    const straight = Math.max(LEAST_LEFT, 1 - left * rises * moves)
    const bent = Math.max(0, straight * straight + 4 * left * falls * moves * still)
    // Of left·falls·moves·F² + straight·F = still, in the form that a tyre without sensitivity has, too.
    const load = (2 * still) / (straight + Math.sqrt(bent))
    // Never more than the whole car's weight stands on the axle.
    const stands = Math.min(Math.max(0, weight + pressed), Math.max(0, load))
    return left * (rises * stands - falls * stands * stands)
  }
}

/** Grip times lever: a car whose pull moved all of its weight would pull without end. */
const LEAST_LEFT = 0.05
/** The load that the pull of all four moves changes what they hold by little: that often it is asked again. */
const ROUNDS = 3
