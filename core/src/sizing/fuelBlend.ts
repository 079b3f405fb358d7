export interface FuelBlend {
  /** Ethanol by mass, from the share by volume. */
  readonly ethanolByMass: number
  /** kg/m³ */
  readonly density: number
  /** Mass of air for each mass of fuel that burns completely. */
  readonly stoichiometric: number
  /** Lower heating value, J/kg. */
  readonly heatingValue: number
}

const PETROL = { density: 745, stoichiometric: 14.7, heatingValue: 43.4e6 }
const ETHANOL = { density: 789, stoichiometric: 9, heatingValue: 26.8e6 }

/**
 * Petrol with ethanol in it: what the blend weighs, how much air it needs, and what it burns to.
 *
 * @param ethanol share by volume, 0 to 1; the measured one, not the pump's label
 * @throws {RangeError} for a share outside 0 to 1
 * @source mass-weighted mixing; properties after Heywood, Internal Combustion Engine Fundamentals, table D.4
 * @example fuelBlend(0.85).stoichiometric // 9.81
 */
export function fuelBlend(ethanol: number): FuelBlend {
  if (!(ethanol >= 0 && ethanol <= 1)) throw new RangeError('an ethanol share lies between 0 and 100 %')
  const ethanolMass = ethanol * ETHANOL.density
  const density = ethanolMass + (1 - ethanol) * PETROL.density
  const ethanolByMass = ethanolMass / density
  const mixed = (of: 'stoichiometric' | 'heatingValue') =>
    ethanolByMass * ETHANOL[of] + (1 - ethanolByMass) * PETROL[of]
  return {
    ethanolByMass,
    density,
    stoichiometric: mixed('stoichiometric'),
    heatingValue: mixed('heatingValue'),
  }
}

/**
 * Brake specific fuel consumption on a blend, from the same engine's on petrol: the same heat for the same work.
 *
 * @param onPetrol kg/J
 * @source equal brake thermal efficiency; engines gain a little more on ethanol (common practice)
 * @example bsfcOn(0.85, 84.5e-9) // 125.7e-9
 */
export const bsfcOn = (ethanol: number, onPetrol: number): number =>
  (onPetrol * PETROL.heatingValue) / fuelBlend(ethanol).heatingValue
