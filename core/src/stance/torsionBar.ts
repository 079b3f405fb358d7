/** Shear modulus of steel, Pa. */
export const STEEL_SHEAR_MODULUS = 79.3e9

/**
 * How stiffly a round bar resists being twisted.
 *
 * @param diameter m
 * @param length of what is twisted, m
 * @param bore of a tube, m; 0 for a solid bar
 * @returns N·m/rad
 * @throws {RangeError} for a bar that is none: no length, or a bore as wide as the bar
 * @source Milliken & Milliken, Race Car Vehicle Dynamics, chapter on ride and roll rates (from memory): πG(d⁴ − b⁴)/(32L)
 * @example torsionRate(0.025, 0.9) // 3379
 */
export function torsionRate(
  diameter: number,
  length: number,
  bore = 0,
  shearModulus = STEEL_SHEAR_MODULUS,
): number {
  if (!(length > 0)) throw new RangeError('a bar has a length')
  if (!(diameter > bore && bore >= 0)) throw new RangeError('a bore is narrower than its bar')
  return (Math.PI * shearModulus * (diameter ** 4 - bore ** 4)) / (32 * length)
}

/**
 * What an anti-roll bar adds to the roll stiffness of its axle.
 *
 * @param rate of the bar, N·m/rad
 * @param arm from the bar's axis to its link, m: a hole further in makes it stiffer
 * @param motionRatio travel of the link over travel of the wheel
 * @param track m
 * @returns N·m/rad at the axle
 * @throws {RangeError} for an arm or a track that is not above zero
 * @source Milliken & Milliken, Race Car Vehicle Dynamics, chapter on ride and roll rates (from memory): k(MR·t/a)²
 * @example barAtAxle(3379, 0.25, 0.6, 1.52) // 44967
 */
export function barAtAxle(rate: number, arm: number, motionRatio: number, track: number): number {
  if (!(arm > 0)) throw new RangeError('an arm has a length')
  if (!(track > 0)) throw new RangeError('a track is above zero')
  return rate * ((motionRatio * track) / arm) ** 2
}
