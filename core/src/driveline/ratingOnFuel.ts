import { fuelBlend } from '../sizing/fuelBlend'

/** What limits a power rating: the fuel that goes through a pump or an injector, or the air through a turbo. */
export const RATING_FLOWS = ['fuel', 'air'] as const
export type RatingFlow = (typeof RATING_FLOWS)[number]

/**
 * A power rating stated for one fuel, on another.
 *
 * An injector passes so many litres, whatever is in them: with less heat in a litre it feeds less power. A turbo
 * passes so much air: what counts is the heat that a kilogram of air burns.
 *
 * @param rating W on the fuel that it was stated for
 * @param ethanol shares by volume that it was stated for, and that is burnt
 * @throws {RangeError} for a share outside 0 to 1
 * @source the same thermal efficiency and mixture relative to stoichiometric; blends as {@link fuelBlend}
 * @example ratingOnFuel(300e3, 'fuel', { stated: 0, burnt: 0.85 }) // 211.8e3
 */
export function ratingOnFuel(
  rating: number,
  flow: RatingFlow,
  { stated, burnt }: { readonly stated: number; readonly burnt: number },
): number {
  const heatIn = (ethanol: number) => {
    const { density, heatingValue, stoichiometric } = fuelBlend(ethanol)
    return flow === 'fuel' ? density * heatingValue : heatingValue / stoichiometric
  }
  return (rating * heatIn(burnt)) / heatIn(stated)
}
