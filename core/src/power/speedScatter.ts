import { curveFigures, torqueAt } from './curveFigures'
import type { PullPoint } from './pull'

/** Engine speeds as far as a curve can say them, rad/s, as one standard deviation from pull to pull. */
export interface SpeedScatter {
  readonly bandWidth: number
  readonly arrival: number
  /** Of a speed that stands at one of the curve's points. */
  readonly spacing: number
}

/** Half the stretch over which a slope is taken, rad/s. */
const REACH = 10

/**
 * How far the engine speeds of a curve lie apart from pull to pull, by how far its powers do: where it is flat, a small
 * error of power moves the place at which it crosses a height far, which no repeatability in shares of a speed knows.
 *
 * What a pull is strong or weak by as a whole moves no such place; half of the variance is taken for local (common
 * practice). The width's ends are read between points, the arrival stands at one.
 *
 * @param curve in rising order of speed, two points or more
 * @param scatter of its powers from pull to pull, a share
 * @source a root's error is the function's error over its slope (first order); the height itself, a share of the peak, is
 *   off by as much as the curve there
 * @example speedScatter(points, 0.01).arrival // 11.32
 */
export function speedScatter(curve: readonly PullPoint[], scatter: number): SpeedScatter {
  const [first, last] = [curve[0]!.speed, curve[curve.length - 1]!.speed]
  const spacing = (last - first) / Math.max(1, curve.length - 1) / Math.sqrt(12)
  const { band90, arrival } = curveFigures(curve)
  /** Of a place where the curve crosses a height; where it ends is known to one of its points. */
  const at = (speed: number, of: (torque: number, at: number) => number): number => {
    const [from, to] = [Math.max(first, speed - REACH), Math.min(last, speed + REACH)]
    const [low, here, high] = [from, speed, to].map((s) => of(torqueAt(curve, s) ?? 0, s))
    const slope = Math.abs(high! - low!) / Math.max(1e-9, to - from)
    // √2 for the height beside the place, and 1/√2 for the half of it that is local.
    if (speed <= first || speed >= last) return spacing
    return Math.min(slope === 0 ? Infinity : (scatter * here!) / slope, (last - first) / 2)
  }
  const power = (torque: number, s: number) => torque * s
  return {
    bandWidth: Math.hypot(at(band90[0], power), at(band90[1], power)),
    arrival: Math.hypot(
      spacing,
      at(arrival, (torque) => torque),
    ),
    spacing,
  }
}
