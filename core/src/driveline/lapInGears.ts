import { overallsOf, radiusAt, type Gearing } from './gearing'

/** Speed over one lap. SI. */
export interface SpeedAt {
  readonly time: number
  readonly speed: number
}

export interface LapInGears {
  /** Up and down, over one lap. */
  readonly shifts: number
  /** Shares of the lap: between boost threshold and limiter, below it, and held at the limiter in the last gear. */
  readonly inBand: number
  readonly offBoil: number
  readonly onLimiter: number
  /** Share of the lap in each gear. */
  readonly inGear: readonly number[]
}

const SAMPLE = 0.05
/** Downshifting leaves this much of the limiter's speed in hand (common practice). */
const SAFE = 0.93

/**
 * How often a lap is shifted, and how much of it the engine is on the boil, for a gearing that follows the same speeds.
 *
 * The driver shifts up at the limiter, or where it is usually shifted, and down once the engine falls off the boil and
 * the next gear down leaves room. The lap runs round twice and the second is counted, so that it ends in the gear
 * that it starts in. That another gearing would change the speeds is left out.
 *
 * @param points one lap from 0 s, times rising
 * @param options threshold and shiftSpeed as engine speeds, rad/s
 * @throws {RangeError} for fewer than two points, or times that don't rise
 * @source kinematics; the driver's rule is common practice
 * @example lapInGears(gearing, { threshold: 450, shiftSpeed: 730 }, points).shifts
 */
export function lapInGears(
  gearing: Gearing,
  { threshold, shiftSpeed }: { readonly threshold: number; readonly shiftSpeed: number },
  points: readonly SpeedAt[],
): LapInGears {
  if (points.length < 2) throw new RangeError('a lap needs speeds at two or more times')
  if (points.some((p, i) => i > 0 && !(p.time > points[i - 1]!.time)))
    throw new RangeError('the times of a lap rise from point to point')
  const from = points[0]!.time
  const lap = points.at(-1)!.time - from
  const samples = Math.max(2, Math.round(lap / SAMPLE))
  const last = gearing.ratios.length - 1
  const shiftAt = Math.min(shiftSpeed, gearing.limiter)
  let at = 0
  const speeds = Array.from({ length: samples }, (_, i) => {
    const time = from + (lap * i) / samples
    while (at < points.length - 2 && points[at + 1]!.time <= time) at += 1
    const [a, b] = [points[at]!, points[at + 1]!]
    return a.speed + ((b.speed - a.speed) * (time - a.time)) / (b.time - a.time)
  })
  const overalls = overallsOf(gearing)
  let gear = 0
  let counted = { shifts: 0, inBand: 0, offBoil: 0, onLimiter: 0 }
  let inGear = gearing.ratios.map(() => 0)
  for (let round = 0; round < 2; round += 1) {
    counted = { shifts: 0, inBand: 0, offBoil: 0, onLimiter: 0 }
    inGear = gearing.ratios.map(() => 0)
    for (const speed of speeds) {
      const wheel = speed / radiusAt(gearing, speed)
      while (gear < last && wheel * overalls[gear]! >= shiftAt) {
        gear += 1
        counted.shifts += 1
      }
      while (
        gear > 0 &&
        wheel * overalls[gear]! < threshold &&
        wheel * overalls[gear - 1]! <= SAFE * shiftAt
      ) {
        gear -= 1
        counted.shifts += 1
      }
      const turning = wheel * overalls[gear]!
      inGear[gear]! += 1 / samples
      if (turning > gearing.limiter) counted.onLimiter += 1 / samples
      else if (turning < threshold) counted.offBoil += 1 / samples
      else counted.inBand += 1 / samples
    }
  }
  return { ...counted, inGear }
}
