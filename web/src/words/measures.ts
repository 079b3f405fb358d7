import { MEASURE, type Mark } from '@bold-ballast/contract'
import {
  formatQuantity,
  MEASURE_KINDS,
  preferredUnit,
  unitNamed,
  type Measure,
  type Unit,
  type UnitPreferences,
} from '@bold-ballast/core'

const bare = (symbol: string, decimals: number): Unit => ({ symbol, factor: 1, decimals, aliases: [] })
const SECONDS = unitNamed('time', 's')!

/** The unit that a measure is shown in: the person's own, seconds for times on the road, and none for a count. */
export function unitOfMeasure(measure: Measure, units: UnitPreferences, currency: string): Unit {
  if (measure === 'quarterMile' || measure === 'lapTime') return SECONDS
  const { quantity } = MEASURE_KINDS[measure]
  if (quantity) return preferredUnit(quantity, units)
  return measure === 'noise' ? bare('dB', 1) : measure === 'price' ? bare(currency, 0) : bare('', 0)
}

/** A measure with what it is for: “Top speed in gear 4”, “Downforce at 200 km/h”. */
export function nameOfMark(
  mark: Pick<Mark, 'measure' | 'gear' | 'speed' | 'place' | 'conditionId'>,
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
  return mark.measure === 'lapTime' && mark.place ? `${name}, ${mark.place}` : name
}

/** What is missing while a measure has no figure at all, and where it is put in. */
export const NEEDS: Record<Measure, { readonly says: string; readonly room: string }> = {
  mass: { says: 'Weigh the car.', room: 'scales' },
  frontShare: { says: 'Weigh the car, axle by axle at least.', room: 'scales' },
  crossShare: { says: 'Weigh the car on four pads.', room: 'scales' },
  wheelPower: { says: 'Log a pull, or plan a wheel power for the stage.', room: 'dyno' },
  meanPower: { says: 'Log a pull with a curve, and type the gears.', room: 'dyno' },
  powerToWeight: { says: 'Log a pull, or plan a wheel power for the stage.', room: 'dyno' },
  quarterMile: { says: 'Log a pull with a curve, and type gears and grip.', room: 'driveline' },
  topSpeed: { says: 'Log a pull with a curve, and type the gears.', room: 'driveline' },
  driftWindow: { says: 'Log a pull with a curve, and type gears and grip.', room: 'driveline?view=drift' },
  weakestLink: { says: 'Add components with their ratings.', room: 'driveline?view=links' },
  downforce: { says: 'Put elements on the aero sheet.', room: 'aero' },
  aeroBalance: { says: 'Put elements on the aero sheet.', room: 'aero' },
  groundGap: { says: 'Say how a splitter or floor is built.', room: 'aero?view=holds' },
  classFails: { says: 'Choose the class and type its rules.', room: 'aero?view=class' },
  price: { says: 'Type what swaps cost.', room: 'swaps' },
  hours: { says: 'Type how long swaps take.', room: 'swaps' },
  noise: { says: 'Measure the noise and type it.', room: 'aero?view=class' },
  lapTime: {
    says: 'Log a day with its best lap, or type the line of the course.',
    room: 'driveline?view=life',
  },
}

/** Why a figure that is there proves nothing yet; for measures that no summary explains. */
export const UNPROVEN: Partial<Record<Measure, string>> = {
  frontShare: 'nobody has weighed the axles at this stage',
  crossShare: 'nobody has weighed the corners at this stage',
  meanPower: 'the curve is from an earlier stage',
  quarterMile: 'nobody has pulled and weighed it at this stage',
  topSpeed: 'nobody has pulled and weighed it at this stage',
  driftWindow: 'nobody has pulled and weighed it at this stage',
  downforce: 'coefficients are guesses until the car is measured',
  aeroBalance: 'coefficients are guesses until the car is measured',
  groundGap: 'nobody has said how it pitches and rolls',
  classFails: 'some of its rules can’t be told yet',
  lapTime: 'nobody has timed a lap at this stage',
  price: 'not everything is fitted yet',
  hours: 'not everything is fitted yet',
}
