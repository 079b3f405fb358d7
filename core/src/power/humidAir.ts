import { MOLAR_GAS_CONSTANT } from '../units/constants'
/** What the air was like when the car was on the dyno. */
export interface Ambient {
  /** Dry-bulb temperature, K. */
  readonly temperature: number
  /** Barometric pressure at the dyno (not reduced to sea level), Pa. */
  readonly pressure: number
  /** Relative humidity, 0 to 1. */
  readonly humidity: number
}

/**
 * Saturation pressure of water vapour over liquid water, Pa.
 *
 * @param temperature K, from 273.15 to 473.15; below freezing the value over supercooled water is given
 * @source ASHRAE Handbook: Fundamentals, Psychrometrics, equation for liquid water (Hyland and Wexler)
 * @example saturationPressure(298.15) // 3169.2
 */
export function saturationPressure(temperature: number): number {
  const t = temperature
  return Math.exp(
    -5.8002206e3 / t +
      1.3914993 -
      4.8640239e-2 * t +
      4.1764768e-5 * t ** 2 -
      1.4452093e-8 * t ** 3 +
      6.5459673 * Math.log(t),
  )
}

/** Partial pressure of the water vapour in the air, Pa. */
export const vapourPressure = ({ temperature, humidity }: Ambient): number =>
  humidity * saturationPressure(temperature)

/** Pressure of the air without its water vapour, Pa: what the engine can burn with. */
export const dryPressure = (ambient: Ambient): number => ambient.pressure - vapourPressure(ambient)

const MOLAR_MASS_DRY = 0.028966
const MOLAR_MASS_WATER = 0.01801528

/**
 * Density of humid air, kg/m³: dry air and vapour, each at its partial pressure.
 *
 * @source ideal gas mixture as in ASHRAE Handbook: Fundamentals, Psychrometrics
 * @example airDensity({ temperature: 303.15, pressure: 98000, humidity: 0.5 }) // 1.1170
 */
export function airDensity(ambient: Ambient): number {
  const vapour = vapourPressure(ambient)
  return (
    ((ambient.pressure - vapour) * MOLAR_MASS_DRY + vapour * MOLAR_MASS_WATER) /
    (MOLAR_GAS_CONSTANT * ambient.temperature)
  )
}
