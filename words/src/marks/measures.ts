import { MEASURE, type Mark } from '@bold-ballast/contract'
import {
  formatQuantity,
  LAP_MEASURES,
  MEASURE_KINDS,
  PLACE_MEASURES,
  preferredUnit,
  unitOf,
  type Measure,
  type Unit,
  type UnitPreferences,
} from '@bold-ballast/core'

const bare = (symbol: string, decimals: number): Unit => ({ symbol, factor: 1, decimals, aliases: [] })
const SECONDS = unitOf('time', 's')

/** The unit that a measure is shown in: the person's own, seconds for times on the road, and none for a count. */
export function unitOfMeasure(measure: Measure, units: UnitPreferences, currency: string): Unit {
  if (measure === 'quarterMile' || LAP_MEASURES.has(measure)) return SECONDS
  const { quantity } = MEASURE_KINDS[measure]
  if (quantity) return preferredUnit(quantity, units)
  return measure === 'noise' ? bare('dB', 1) : measure === 'price' ? bare(currency, 0) : bare('', 0)
}

/** “Sector 2”, “Least speed at Pump House”, “Oil temperature”: what is named says what it is. */
function partOf({ measure, part }: Pick<Mark, 'measure' | 'part'>): string {
  if (measure === 'sectorTime') return `Sector ${part}`
  return measure === 'cornerSpeed' ? `Least speed at ${part}` : part
}

/** A measure with what it is for: “Top speed in gear 4”, “Downforce at 200 km/h”. */
export function nameOfMark(
  mark: Pick<Mark, 'measure' | 'gear' | 'speed' | 'place' | 'part' | 'conditionId'>,
  units: UnitPreferences,
  conditions: readonly { readonly id: string; readonly name: string }[],
): string {
  const name = MEASURE[mark.measure]
  const { need } = MEASURE_KINDS[mark.measure]
  if (need === 'gear') return mark.gear === null ? name : `${name} in gear ${mark.gear}`
  if (need === 'speed' && mark.speed !== null)
    return `${name} at ${formatQuantity(mark.speed, preferredUnit('velocity', units), 0)}`
  const condition = conditions.find((c) => c.id === mark.conditionId)
  if (need === 'condition' && condition) return `${name}, ${condition.name}`
  const which = need !== 'part' || mark.part === '' ? name : partOf(mark)
  return PLACE_MEASURES.has(mark.measure) && mark.place ? `${which}, ${mark.place}` : which
}
