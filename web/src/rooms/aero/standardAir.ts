/** Air where no dyno day or place says another, kg/m³ (ISO 2533 at sea level). */
export const STANDARD_AIR = 1.225
