import type { Kind } from '@bold-ballast/contract'
import {
  formatPlace,
  MEASURE_KINDS,
  formatQuantity,
  preferredUnit,
  type Measure,
  type Position,
  type Quantity,
  type UnitPreferences,
} from '@bold-ballast/core'
import {
  COMPARATOR,
  DISCIPLINE,
  DYNO_KIND,
  INSTRUMENT_KIND,
  LAYOUT,
  LINE_KIND,
  MEASURE,
  SYSTEM,
} from './names'

const CHOICES: Record<string, Record<string, string>> = {
  discipline: DISCIPLINE,
  layout: LAYOUT,
  system: SYSTEM,
  measure: MEASURE,
  comparator: COMPARATOR,
}
const QUANTITY_OF: Record<string, Quantity> = {
  mass: 'mass',
  sigma: 'mass',
  baseMass: 'mass',
  baseSigma: 'mass',
  driverMass: 'mass',
  driver: 'mass',
  resolution: 'mass',
  wheelbase: 'length',
  trackFront: 'length',
  trackRear: 'length',
  fuelDensity: 'density',
  baseFuel: 'volume',
  plannedWheelPower: 'power',
  peakPower: 'power',
  peakTorque: 'torque',
  peakPowerSpeed: 'engineSpeed',
  peakTorqueSpeed: 'engineSpeed',
  accuracy: 'share',
  repeatability: 'share',
  ownError: 'share',
  betweenDays: 'share',
  ethanol: 'share',
  humidity: 'share',
  temperature: 'temperature',
  pressure: 'pressure',
}
const WORDS: Record<string, string> = {
  sigma: '± one standard uncertainty',
  movedTo: 'moved to',
  fitted: 'done',
  changedOn: 'off or on since',
  ownError: 'its own error',
  checkedOn: 'checked on',
  quantity: 'pieces',
  grade: 'known by',
  baseSigma: '± of the mass as bought',
  baseCentre: 'centre of mass as bought',
}

/** A record's field in the builder's words: `plannedWheelPower` is "planned wheel power". */
export const sayField = (field: string): string =>
  WORDS[field] ?? field.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)

const isPlace = (value: object): value is Position => 'x' in value && 'y' in value && 'z' in value

/**
 * A field's value as a person would say it, in the units they chose.
 *
 * @example sayValue('line', 'mass', 19.05, { mass: 'lb' }, {}) // '42.0 lb'
 */
export function sayValue(
  kind: Kind,
  field: string,
  value: unknown,
  units: UnitPreferences,
  record: Record<string, unknown>,
): string {
  if (value === null || value === undefined || value === '') return 'nothing'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (field === 'kind')
    return (
      { ...LINE_KIND, ...DYNO_KIND, ...INSTRUMENT_KIND }[value as keyof typeof LINE_KIND] ?? String(value)
    )
  if (typeof value === 'string') return CHOICES[field]?.[value] ?? value
  if (typeof value === 'number') {
    const quantity =
      kind === 'mark'
        ? (MEASURE_KINDS[record['measure'] as Measure]?.quantity ?? undefined)
        : QUANTITY_OF[field]
    return quantity ? formatQuantity(value, preferredUnit(quantity, units)) : String(value)
  }
  if (Array.isArray(value)) return `${value.length} points`
  const parts = value as Record<string, unknown>
  if (isPlace(value)) {
    const unit = preferredUnit('length', units)
    return `${formatPlace(value, unit)} ${unit.symbol}`
  }
  const quantity = { corners: 'mass', tyrePressures: 'pressure' }[field] as Quantity | undefined
  const inner = Object.entries(parts).map(([name, part]) => {
    const said =
      name === 'fuel' && typeof part === 'number'
        ? formatQuantity(part, preferredUnit('volume', units))
        : quantity && typeof part === 'number'
          ? formatQuantity(part, preferredUnit(quantity, units))
          : sayValue(kind, name, part, units, record)
    return `${sayField(name)} ${said}`
  })
  return inner.join(', ')
}
