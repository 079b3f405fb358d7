import { mean } from '../numeric/mean'
import { sampleVariance } from '../numeric/sampleVariance'
import { known, type Known } from '../evidence/known'

/**
 * What several readings of one angle come to.
 *
 * @param readings rad, one at least
 * @param step of the gauge, rad
 * @returns their mean, and its standard uncertainty: what they scatter by, and never less than the gauge can tell
 * @throws {RangeError} for no reading
 * @source JCGM 100:2008 (GUM), 4.2.3 and 4.3.7
 * @example meanReading([0.0044, 0.0052], 0.0009).value // 0.0048
 */
export function meanReading(readings: readonly number[], step: number): Known {
  if (readings.length === 0) throw new RangeError('one reading at least')
  const gauge = step / Math.sqrt(12)
  const scatter =
    readings.length > 1 ? Math.sqrt(sampleVariance(readings) / readings.length) : step / Math.sqrt(3)
  return known(mean(readings), 'measured', Math.max(gauge, scatter))
}

/** A wheel on a turning plate, turned in and out by the same angle. */
export interface CasterSweep {
  /** rad */
  readonly angle: number
  /** Camber with the wheel's front turned in, and turned out, rad. */
  readonly turnedIn: number
  readonly turnedOut: number
}

/**
 * Caster by turning plates: a wheel that leans as it is turned has its steering axis leant back.
 *
 * @returns rad; positive where the axis leans back
 * @throws {RangeError} for a wheel that was not turned
 * @source Milliken & Milliken, Race Car Vehicle Dynamics, chapter on steering systems (from memory): Δγ/(2 sin δ)
 * @example casterOf({ angle: 0.349, turnedIn: -0.087, turnedOut: 0.0262 }) // 0.1655
 */
export function casterOf({ angle, turnedIn, turnedOut }: CasterSweep): number {
  if (!(angle > 0)) throw new RangeError('caster shows where a wheel is turned')
  return (turnedOut - turnedIn) / (2 * Math.sin(angle))
}

/**
 * Toe over a width, as a string or a plate shows it.
 *
 * @param angle rad
 * @param width m
 * @returns m, in positive
 * @source geometry
 * @example toeDifference(0.001667, 0.6) // 0.001
 */
export const toeDifference = (angle: number, width: number): number => Math.sin(angle) * width
