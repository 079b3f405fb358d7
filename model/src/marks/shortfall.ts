import type { Mark } from '@bold-ballast/contract'
import type { MarkReading } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import type { Shortfall } from '../measures/MeasureOfCar'
import { MEASURES_OF_CAR } from '../measures/measuresOfCar'
import { askedAtLeast } from '../measures/shortBy'

/**
 * What a mark lacks in kilos or in power, by the plan as it stands; null for marks that neither helps.
 *
 * Kilos are counted on the car that the mark is about: a mass on the car in the mark's condition when the stage is
 * finished, a run on the car with its driver aboard.
 *
 * @source definition for mass and power; for 402 m see its measure
 * @example shortfall(mark, reading, car)?.kilograms // 12.4
 */
export const shortfall = (
  mark: Pick<Mark, 'measure' | 'comparator' | 'value' | 'tolerance'>,
  reading: Pick<MarkReading, 'value'>,
  car: Pick<Car, 'summary' | 'build'>,
): Shortfall | null =>
  mark.comparator === 'within' || askedAtLeast(mark) <= 0
    ? null
    : (MEASURES_OF_CAR[mark.measure].shortfall?.(mark, reading, car) ?? null)
