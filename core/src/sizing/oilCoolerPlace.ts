/** Where an oil cooler stands: in air of its own, ahead of the radiator, or behind it. */
export const OIL_COOLER_PLACES = ['own', 'ahead', 'behind'] as const
export type OilCoolerPlace = (typeof OIL_COOLER_PLACES)[number]
