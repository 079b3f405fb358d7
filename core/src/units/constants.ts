/** m/s², by definition: what turns a pad's kilograms into newtons (ISO 80000-3). */
export const STANDARD_GRAVITY = 9.80665
/** The international avoirdupois pound, kg, by definition (NIST SP 811). */
export const POUND = 0.45359237
/** Kelvin at 0 °C, by definition. */
export const ICE_POINT = 273.15
/** The standard atmosphere at sea level: Pa, K and kg/m³ (ISO 2533). */
export const STANDARD_PRESSURE = 101_325
export const STANDARD_TEMPERATURE = 288.15
export const STANDARD_DENSITY = 1.225
/** Of dry air, J/(kg·K) (ISO 2533). */
export const GAS_CONSTANT_OF_AIR = 287.05287
/** J/(mol·K), by definition (CODATA 2018). */
export const MOLAR_GAS_CONSTANT = 8.314462618
/** A turn a minute, rad/s. */
export const RPM = Math.PI / 30
/** A kilometre an hour, m/s. */
export const KMH = 1 / 3.6
