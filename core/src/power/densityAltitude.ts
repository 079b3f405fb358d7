import {
  GAS_CONSTANT_OF_AIR,
  STANDARD_DENSITY,
  STANDARD_GRAVITY,
  STANDARD_TEMPERATURE,
} from '../units/constants'
import { airDensity, type Ambient } from './humidAir'

const LAPSE = 0.0065

/**
 * Density altitude: the height in the standard atmosphere at which the air is as thin as it is here. One
 * figure for heat, weather, humidity and height together, and what an engine without boost feels.
 *
 * @param ambient the air
 * @returns metres above sea level of the standard atmosphere, negative for air denser than that
 * @throws {RangeError} when the air has no density
 * @source standard atmosphere, ISO 2533: ρ/ρ₀ = (1 − L·h/T₀)^(g/(R·L) − 1)
 * @example densityAltitude({ temperature: 308.15, pressure: 95000, humidity: 0.4 }) // about 1340
 */
export function densityAltitude(ambient: Ambient): number {
  const density = airDensity(ambient)
  if (!(density > 0)) throw new RangeError('the air needs a pressure and a temperature above zero')
  const exponent = STANDARD_GRAVITY / (GAS_CONSTANT_OF_AIR * LAPSE) - 1
  return (STANDARD_TEMPERATURE / LAPSE) * (1 - (density / STANDARD_DENSITY) ** (1 / exponent))
}
