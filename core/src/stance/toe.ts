/**
 * Toe as an angle, from what a string or plates show at the rim.
 *
 * @param difference between the rim's front and rear edge, m; in is positive
 * @param width over which it was measured, such as the rim's diameter, m
 * @returns rad
 * @throws {RangeError} for a width that is not above zero
 * @source geometry
 * @example toeAngle(0.001, 0.6) * (180 / Math.PI) // 0.0955
 */
export function toeAngle(difference: number, width: number): number {
  if (!(width > 0)) throw new RangeError('toe is measured over a width')
  return Math.asin(Math.max(-1, Math.min(1, difference / width)))
}

/** Toe of each wheel, in positive, rad. */
export interface Toes {
  readonly frontLeft: number
  readonly frontRight: number
  readonly rearLeft: number
  readonly rearRight: number
}

/**
 * Where four wheels lead a car: the rear ones push it along the thrust line, and the front ones are steered along it to go
 * straight.
 *
 * @returns `thrust`: of the rear axle to the car's middle, to the left positive; `steerAhead`: how far the front wheels have
 * to be turned to the left from where they were measured, so that the car goes straight; `front` and `rear`: toe of each
 * axle in all. rad
 * @source geometry; the half of what left and right differ by
 * @example thrustAngle({ frontLeft: 0, frontRight: 0, rearLeft: 0.002, rearRight: 0.004 }).thrust // 0.001
 */
export function thrustAngle({ frontLeft, frontRight, rearLeft, rearRight }: Toes): {
  readonly thrust: number
  readonly steerAhead: number
  readonly front: number
  readonly rear: number
} {
  const thrust = (rearRight - rearLeft) / 2
  return {
    thrust,
    steerAhead: thrust - (frontRight - frontLeft) / 2,
    front: frontLeft + frontRight,
    rear: rearLeft + rearRight,
  }
}
