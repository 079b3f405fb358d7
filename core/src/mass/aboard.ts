import { known } from '../evidence/known'
import type { Position } from './ledger'
import type { MassPoint } from './massFold'

/** What is aboard besides the car: the condition a mass is stated for. */
export interface Condition {
  /** Fuel in the tank, m³. */
  readonly fuel: number
  /** Driver in the seat with gear, kg; 0 for none. */
  readonly driver: number
  /** How full or whether aboard, 0 to 1, by the load's id; what isn't named stays as it was as bought. */
  readonly amounts?: Readonly<Record<string, number>>
}

/** Something else that is aboard or not: a fluid in its vessel, a person, a thing. */
export interface LoadFacts {
  readonly id: string
  readonly kind: 'fluid' | 'person' | 'thing'
  /** kg/m³ and m³, of a fluid. */
  readonly density: number | null
  readonly capacity: number | null
  /** kg, of a person or a thing. */
  readonly mass: number | null
  readonly position: Position
  /** How full, or whether aboard, as bought: 0 to 1. */
  readonly base: number
}

/** What a build says of its tank and seat, and of whatever else may be aboard. */
export interface Carriers {
  /** Fuel that was in the tank when the car was weighed as bought, m³. */
  readonly baseFuel: number
  /** kg/m³ */
  readonly fuelDensity: number
  readonly tank: Position
  readonly seat: Position
  readonly loads?: readonly LoadFacts[]
}

/** A vessel is filled to about a twentieth; a person or a thing is known to a hundredth. */
const FILL_SIGMA = 0.05
const LOAD_SIGMA = 0.01

/** What a load weighs when full, or aboard, kg. */
export const fullMass = (load: Pick<LoadFacts, 'kind' | 'density' | 'capacity' | 'mass'>): number =>
  load.kind === 'fluid' ? (load.density ?? 0) * (load.capacity ?? 0) : (load.mass ?? 0)

/** Gauge and dipstick are good to about a litre. */
const FUEL_SIGMA = 0.001

/**
 * The contributions that take the car, as the ledger books it, to a condition: the fuel above or below
 * what was aboard as bought, and the driver.
 *
 * @param condition what is aboard
 * @param carriers the build's tank and seat
 * @source common practice; densities after Heywood, Internal Combustion Engine Fundamentals, table D.4
 * @example aboard({ fuel: 0.02, driver: 0 }, { ...carriers, baseFuel: 0.04, fuelDensity: 745 })[0].mass.value // 14.9, taken off at the tank
 */
export const aboard = (condition: Condition, carriers: Carriers): MassPoint[] =>
  aboardByWhat(condition, carriers).map(({ point }) => point)

/** What is aboard, by what it is. */
export interface AboardPoint {
  /** The fuel, whoever sits in it, or a load's id. */
  readonly what: typeof FUEL | typeof SEAT | (string & {})
  readonly point: MassPoint
}
export const FUEL = 'fuel'
export const SEAT = 'seat'

/**
 * The same, each with what it is.
 *
 * @example aboardByWhat({ fuel: 0.02, driver: 0 }, { ...carriers, baseFuel: 0.04, fuelDensity: 745 })[0].what // 'fuel'
 */
export function aboardByWhat(condition: Condition, carriers: Carriers): AboardPoint[] {
  const fuel = (condition.fuel - carriers.baseFuel) * carriers.fuelDensity
  const points: AboardPoint[] = []
  const push = (what: string, point: MassPoint) => points.push({ what, point })
  if (fuel !== 0) {
    push(FUEL, {
      mass: known(Math.abs(fuel), 'measured', FUEL_SIGMA * carriers.fuelDensity),
      sign: fuel > 0 ? 1 : -1,
      position: carriers.tank,
    })
  }
  if (condition.driver > 0) {
    push(SEAT, { mass: known(condition.driver, 'measured', 0.5), sign: 1, position: carriers.seat })
  }
  for (const load of carriers.loads ?? []) {
    const change = (condition.amounts?.[load.id] ?? load.base) - load.base
    const mass = Math.abs(change) * fullMass(load)
    if (mass === 0) continue
    push(load.id, {
      mass: known(mass, 'measured', load.kind === 'fluid' ? FILL_SIGMA * fullMass(load) : LOAD_SIGMA * mass),
      sign: change > 0 ? 1 : -1,
      position: load.position,
    })
  }
  return points
}

/**
 * What takes a car from one condition to another: of each thing aboard what it differs by. Who sat in the car on the
 * scales and sits in it still is in doubt by nothing; a gauge that was read is, also where it stays.
 *
 * @param from as it was weighed
 * @param to as it is stated
 * @example aboardBetween({ fuel: 0.02, driver: 80 }, { fuel: 0.02, driver: 0 }, { ...carriers, fuelDensity: 745 })[1].point.sign // -1
 */
export function aboardBetween(from: Condition, to: Condition, carriers: Carriers): AboardPoint[] {
  const gauge: AboardPoint[] =
    from.fuel > 0 || to.fuel > 0
      ? [
          {
            what: FUEL,
            point: {
              mass: known(
                Math.abs(to.fuel - from.fuel) * carriers.fuelDensity,
                'measured',
                FUEL_SIGMA * carriers.fuelDensity,
              ),
              sign: to.fuel < from.fuel ? -1 : 1,
              position: carriers.tank,
            },
          },
        ]
      : []
  const [off, on] = [aboardByWhat(from, carriers), aboardByWhat(to, carriers)]
  const others = [...new Set([...off, ...on].map(({ what }) => what))].filter((what) => what !== FUEL)
  return [
    ...gauge,
    ...others.flatMap((what): AboardPoint[] => {
      const [before, after] = [off, on].map((list) => list.find((one) => one.what === what)?.point)
      const signed = (point: MassPoint | undefined, of: 'value' | 'sigma') =>
        point ? point.sign * point.mass[of] : 0
      const mass = signed(after, 'value') - signed(before, 'value')
      const sigma = Math.abs(signed(after, 'sigma') - signed(before, 'sigma'))
      const position = (after ?? before)?.position ?? null
      return mass === 0 && sigma === 0
        ? []
        : [
            {
              what,
              point: { mass: known(Math.abs(mass), 'measured', sigma), sign: mass < 0 ? -1 : 1, position },
            },
          ]
    }),
  ]
}

/**
 * What a condition puts on the car that the ledger books, kg; below zero where it takes something off.
 *
 * @example massAboard({ fuel: 0.02, driver: 84 }, { ...carriers, baseFuel: 0.04, fuelDensity: 745 }) // 69.1
 */
export const massAboard = (condition: Condition, carriers: Carriers): number =>
  aboard(condition, carriers).reduce((sum, point) => sum + point.sign * point.mass.value, 0)
