import { unitsOf, type Quantity, type Unit } from './quantities'

/** The unit symbol a person wants to see for each quantity. */
export type UnitPreferences = { [Q in Quantity]?: string | undefined }

export const METRIC: UnitPreferences = {
  mass: 'kg',
  length: 'mm',
  power: 'kW',
  torque: 'N·m',
  pressure: 'bar',
  temperature: '°C',
  volume: 'l',
  powerToWeight: 'kW/t',
  stiffness: 'N/mm',
  rollStiffness: 'N·m/°',
  damping: 'N·s/m',
  velocity: 'km/h',
  massFlow: 'kg/s',
  fuelUse: 'g/kWh',
}

export const US: UnitPreferences = {
  mass: 'lb',
  length: 'in',
  power: 'hp',
  torque: 'lb·ft',
  pressure: 'psi',
  temperature: '°F',
  volume: 'US gal',
  powerToWeight: 'lb/hp',
  stiffness: 'lb/in',
  rollStiffness: 'lb·ft/°',
  damping: 'lb·s/in',
  velocity: 'mph',
  massFlow: 'lb/min',
  fuelUse: 'lb/hp·h',
}

/**
 * The unit to show a quantity in: the preference where it names a unit of that quantity, else the first.
 *
 * @example preferredUnit('mass', { mass: 'lb' }).symbol // 'lb'
 */
export function preferredUnit(quantity: Quantity, preferences: UnitPreferences): Unit {
  const units = unitsOf(quantity)
  return units.find((u) => u.symbol === preferences[quantity]) ?? units[0]!
}
