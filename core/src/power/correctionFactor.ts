import { ICE_POINT } from '../units/constants'
import { dryPressure, type Ambient } from './humidAir'

export const CORRECTIONS = ['observed', 'j1349', 'iso1585', 'din70020', 'j607'] as const
/** The rule a power figure was brought to standard air by; `observed` is what the dyno saw. */
export type Correction = (typeof CORRECTIONS)[number]

export const CORRECTION_NAMES: Record<Correction, string> = {
  observed: 'observed',
  j1349: 'SAE J1349',
  iso1585: 'ISO 1585',
  din70020: 'DIN 70020',
  j607: 'SAE J607 (STD)',
}

/** The factors a rule was written for; outside them it overstates or understates. */
const RANGE: Partial<Record<Correction, readonly [number, number]>> = {
  j1349: [0.93, 1.07],
  iso1585: [0.93, 1.07],
}

/**
 * The factor that brings observed power to a rule's standard air.
 *
 * - SAE J1349 (2004): 1.180·(99 kPa/p_dry)·√(T/298) − 0.18
 * - ISO 1585 / ECE R85, spark ignition: (99 kPa/p_dry)^1.2·(T/298)^0.6
 * - DIN 70020 (withdrawn): (101.3 kPa/p)·√(T/293), with the barometer as read
 * - SAE J607: (29.92 inHg/p_dry)·√(T_°R/520)
 *
 * @param correction the rule
 * @param ambient the air at the dyno
 * @returns the factor, and whether it lies in the range the rule was meant for
 * @throws {RangeError} when the dry pressure or the temperature is not positive
 * @source the standards named, as given in the project's formula list
 * @example correctionFactor('j1349', { temperature: 308.15, pressure: 95000, humidity: 0 }).factor // 1.0701
 */
export function correctionFactor(
  correction: Correction,
  ambient: Ambient,
): { factor: number; inRange: boolean } {
  const dry = dryPressure(ambient)
  const kelvin = ambient.temperature
  if (!(dry > 0) || !(kelvin > 0)) throw new RangeError('pressure and temperature must be above zero')
  const factor = factorOf(correction, dry, ambient.pressure, kelvin)
  const range = RANGE[correction]
  return { factor, inRange: !range || (factor >= range[0] && factor <= range[1]) }
}

function factorOf(correction: Correction, dry: number, barometer: number, kelvin: number): number {
  // The standards round 0 °C to 273 K, and 0 °F to 460 °R; their own constants are kept.
  const celsius = kelvin - ICE_POINT
  switch (correction) {
    case 'observed':
      return 1
    case 'j1349':
      return 1.18 * (99_000 / dry) * Math.sqrt((celsius + 273) / 298) - 0.18
    case 'iso1585':
      return (99_000 / dry) ** 1.2 * (kelvin / 298) ** 0.6
    case 'din70020':
      return (101_300 / barometer) * Math.sqrt(kelvin / 293)
    case 'j607':
      return ((29.92 * 3386.389) / dry) * Math.sqrt((celsius * 1.8 + 32 + 460) / 520)
  }
}
