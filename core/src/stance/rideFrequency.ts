/**
 * How often a corner of a car would swing a second on its springs.
 *
 * *Common practice*: a road car 1 to 1.5 Hz, a track car without aero 1.8 to 2.5, with aero 3 and more.
 *
 * @param rate at the wheel, with or without its tyre in series, N/m
 * @param sprungMass that the corner carries, kg
 * @returns Hz
 * @throws {RangeError} for a rate or a mass that is not above zero
 * @source √(k/m)/2π; any textbook of vibration
 * @example rideFrequency(60_000, 250) // 2.466
 */
export function rideFrequency(rate: number, sprungMass: number): number {
  if (!(rate > 0 && sprungMass > 0)) throw new RangeError('a corner that swings has a rate and a mass')
  return Math.sqrt(rate / sprungMass) / (2 * Math.PI)
}

/**
 * Damping from which a corner comes back without swinging.
 *
 * @param rate at the wheel, N/m
 * @param sprungMass that the corner carries, kg
 * @returns N·s/m, at the wheel
 * @throws {RangeError} for a rate or a mass that is not above zero
 * @source 2√(km); any textbook of vibration
 * @example criticalDamping(70_000, 290) // 9011
 */
export function criticalDamping(rate: number, sprungMass: number): number {
  if (!(rate > 0 && sprungMass > 0)) throw new RangeError('a corner that swings has a rate and a mass')
  return 2 * Math.sqrt(rate * sprungMass)
}

/**
 * A damper's share of that.
 *
 * @param damping of the damper itself, N·s/m
 * @param motionRatio damper travel over wheel travel
 * @returns 1 where it just doesn't swing
 * @example dampingRatio(5000, 1, 70_000, 290) // 0.555
 */
export const dampingRatio = (
  damping: number,
  motionRatio: number,
  rate: number,
  sprungMass: number,
): number => (damping * motionRatio ** 2) / criticalDamping(rate, sprungMass)
