import { bisect } from '../numeric/bisect'
/**
 * Ackermann percentage of two lock angles: 100 when the axes of both front wheels meet on the line of the rear axle,
 * 0 when they are parallel, below 0 when the outer wheel turns further.
 *
 * @param inside lock of the wheel on the inside of the turn, rad
 * @param outside lock of the other, rad
 * @param car track of the steered axle (kingpins would be exact, the track is near) and wheelbase, m
 * @returns share, 1 for 100 %
 * @throws {RangeError} for angles outside 0 to 90°, or lengths that are not above zero
 * @source geometry: cot δ_outside − cot δ_inside = track / wheelbase at 100 %
 * @example ackermann(0.61, 0.5, { track: 1.5, wheelbase: 2.5 }) // 0.666
 */
export function ackermann(
  inside: number,
  outside: number,
  { track, wheelbase }: { readonly track: number; readonly wheelbase: number },
): number {
  for (const angle of [inside, outside])
    if (!(angle > 0 && angle < Math.PI / 2)) throw new RangeError('a lock angle lies between 0 and 90°')
  if (!(track > 0 && wheelbase > 0)) throw new RangeError('track and wheelbase are above zero')
  return ((1 / Math.tan(outside) - 1 / Math.tan(inside)) * wheelbase) / track
}

/**
 * The largest slide that a steering lock holds: the angle between nose and path at the centre of mass at which the
 * front wheels, on full opposite lock, still point along their own path.
 *
 * @param lock mean of both front wheels, rad
 * @param radius of the path, m
 * @param toFront from the centre of mass forward to the front axle, m
 * @returns rad
 * @throws {RangeError} for a lock outside 0 to 90°, or a radius not above the distance to the front axle
 * @source rigid-body kinematics: tan(lock) = tan β − toFront / (radius · cos β), by halving; front slip angle left out
 * @example slideHeld(0.9, 25, 1.3)
 */
export function slideHeld(lock: number, radius: number, toFront: number): number {
  if (!(lock > 0 && lock < Math.PI / 2)) throw new RangeError('a lock angle lies between 0 and 90°')
  if (!(radius > toFront && toFront >= 0)) throw new RangeError('the radius is larger than the car')
  const needs = (slide: number) => Math.atan(Math.tan(slide) - toFront / (radius * Math.cos(slide)))
  return bisect((slide) => needs(slide) <= lock, 0, Math.PI / 2 - 1e-6).low
}
