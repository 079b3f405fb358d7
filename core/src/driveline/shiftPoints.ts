import { bisect } from '../numeric/bisect'
import type { PullPoint } from '../power/pull'
import { engineSpeedAt, roadLoad, roadSpeedAt, tractiveForce, type Gearing, type RoadLoad } from './gearing'

export interface ShiftPoint {
  /** Counted from 0: out of this gear into the next. */
  readonly gear: number
  /** Engine speed at which shifting is best, rad/s. */
  readonly best: number
  /** Where the next gear picks up, rad/s. */
  readonly lands: number
  readonly roadSpeed: number
  /** True where the limiter comes before the forces are equal. */
  readonly atLimiter: boolean
  /** The curve ends there, below the limiter: it may be later, and nobody has pulled that far. */
  readonly atCurveEnd: boolean
  /** Time lost by shifting early by each of the stated amounts, s. */
  readonly early: readonly { readonly by: number; readonly costs: number }[]
}

/** A curve that ends so near the limiter, as a share of it, ends at it. */
const WITHIN = 0.9999
const STEPS = 400

/**
 * The best engine speed to leave each gear at: where the next gear pulls as hard as this one, or the limiter.
 *
 * Shifting early costs the time that the weaker gear takes over the speeds in between; it is given for each
 * amount, so that a driver knows what sparing the engine is worth.
 *
 * @param earlier amounts of engine speed, rad/s
 * @returns one for each gear but the last
 * @source equal tractive forces; Δt = ∫ m (1/(F_next − R) − 1/(F − R)) dv (Newton)
 * @example shiftPoints(gearing, curve, load, [26, 52])[0].best * 30 / Math.PI
 */
export function shiftPoints(
  gearing: Gearing,
  curve: readonly PullPoint[],
  load: RoadLoad,
  earlier: readonly number[],
): ShiftPoint[] {
  const top = Math.min(gearing.limiter, curve.at(-1)?.speed ?? gearing.limiter)
  return gearing.ratios.slice(0, -1).map((_, gear) => {
    const force = (which: number, v: number) => tractiveForce(gearing, curve, which, v)
    const fastest = roadSpeedAt(gearing, gear, top * 0.99999)
    const slowest = roadSpeedAt(gearing, gear, curve[0]!.speed * 1.00001)
    // From the limiter down: the lowest speed above which the next gear is never the weaker one.
    let roadSpeed = fastest
    for (let i = STEPS; i >= 0; i -= 1) {
      const v = slowest + ((fastest - slowest) * i) / STEPS
      const next = force(gear + 1, v)
      const own = force(gear, v)
      if (next === null || own === null || next < own) break
      roadSpeed = v
    }
    const isAtEnd = roadSpeed >= fastest - (fastest - slowest) / STEPS
    if (!isAtEnd) {
      const isEarly = (v: number) => (force(gear + 1, v) ?? 0) < (force(gear, v) ?? 0)
      roadSpeed = bisect(isEarly, roadSpeed - (fastest - slowest) / STEPS, roadSpeed, 40).high
    }
    const best = isAtEnd ? top : engineSpeedAt(gearing, gear, roadSpeed)
    const early = earlier.map((by) => {
      const from = roadSpeedAt(gearing, gear, Math.max(curve[0]!.speed, best - by))
      let costs = 0
      for (let i = 0; i < STEPS; i += 1) {
        const v = from + ((roadSpeed - from) * (i + 0.5)) / STEPS
        const next = (force(gear + 1, v) ?? 0) - roadLoad(load, v)
        const own = (force(gear, v) ?? 0) - roadLoad(load, v)
        if (next > 0 && own > 0) costs += (load.mass * (1 / next - 1 / own) * (roadSpeed - from)) / STEPS
      }
      return { by, costs }
    })
    const lands = engineSpeedAt(gearing, gear + 1, roadSpeed)
    const atLimiter = isAtEnd && top >= gearing.limiter * WITHIN
    return { gear, best, lands, roadSpeed, atLimiter, atCurveEnd: isAtEnd && !atLimiter, early }
  })
}
