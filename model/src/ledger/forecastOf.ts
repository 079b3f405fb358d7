import type { BuildDocument } from '@bold-ballast/contract'
import {
  forecastMass,
  orWhy,
  USUAL_GROWTH,
  type ForecastInputs,
  type GrowthAllowance,
  type MassForecast,
} from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { forecastParts } from './forecastParts'
import type { LedgerIndex } from './stageInputs'

/** What a car's forecast is drawn from, by what its build reckons with. */
export function forecastInputs(
  document: BuildDocument,
  { stage, build, summary }: Pick<Car, 'stage' | 'build' | 'summary'>,
  index?: LedgerIndex,
): ForecastInputs & { readonly growth: GrowthAllowance } {
  const { growth, lean } = document.build
  return {
    parts: forecastParts(document, stage.id, index),
    growth: { ...USUAL_GROWTH, ...growth },
    ...(lean && { lean }),
    wheelbase: build.wheelbase,
    // Of the finished car, as its power to weight is: what was pulled before it is finished is another car's.
    power: summary.finished.power,
  }
}

/**
 * What a stage's car will weigh once all that is open is fitted.
 *
 * @returns null where nothing would be left of the car
 * @example forecastOf(document, car)?.mass.p50
 */
export const forecastOf = (
  document: BuildDocument,
  car: Pick<Car, 'stage' | 'build' | 'summary'>,
  index?: LedgerIndex,
): MassForecast | null =>
  orWhy(
    () => forecastMass(forecastInputs(document, car, index)),
    () => null,
  )
