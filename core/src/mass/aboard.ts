import { known } from '../evidence/known'
import type { Position } from './ledger'
import type { MassPoint } from './massFold'

/** What is aboard besides the car: the condition a mass is stated for. */
export interface Condition {
  /** Fuel in the tank, m³. */
  readonly fuel: number
  /** Driver in the seat with gear, kg; 0 for none. */
  readonly driver: number
}

/** What a build says about its tank and seat. */
export interface Carriers {
  /** Fuel that was in the tank when the car was weighed as bought, m³. */
  readonly baseFuel: number
  /** kg/m³ */
  readonly fuelDensity: number
  readonly tank: Position
  readonly seat: Position
}

/** Gauge and dipstick are good to about a litre. */
const FUEL_SIGMA = 0.001

/**
 * The contributions that take the car, as the ledger books it, to a condition: the fuel above or below
 * what was aboard as bought, and the driver.
 *
 * @param condition what is aboard
 * @param carriers the build's tank and seat
 * @source common practice; densities after Heywood, from memory
 * @example aboard({ fuel: 0.02, driver: 0 }, { baseFuel: 0.04, fuelDensity: 745, … }) // −14.9 kg at the tank
 */
export function aboard(condition: Condition, carriers: Carriers): MassPoint[] {
  const fuel = (condition.fuel - carriers.baseFuel) * carriers.fuelDensity
  const points: MassPoint[] = []
  if (fuel !== 0) {
    points.push({
      mass: known(Math.abs(fuel), 'measured', FUEL_SIGMA * carriers.fuelDensity),
      sign: fuel > 0 ? 1 : -1,
      position: carriers.tank,
    })
  }
  if (condition.driver > 0) {
    points.push({ mass: known(condition.driver, 'measured', 0.5), sign: 1, position: carriers.seat })
  }
  return points
}
