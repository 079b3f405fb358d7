import { ICE_POINT, STANDARD_PRESSURE } from '../units/constants'

/**
 * What a tyre's pressure becomes at another temperature: air that is shut in.
 *
 * @param pressure over the air around it (gauge), Pa
 * @param from temperature of the air in the tyre when that was read, °C
 * @param to the other, °C
 * @param around pressure of the air around it, Pa
 * @returns gauge, Pa; from hot to cold the same way
 * @throws {RangeError} for temperatures at which there is no gas
 * @source gas law at one volume; how far the tyre grows is left out
 * @example hotPressure(180_000, 20, 80) // 237580
 */
export function hotPressure(pressure: number, from: number, to: number, around = STANDARD_PRESSURE): number {
  if (!(from > -ICE_POINT && to > -ICE_POINT)) throw new RangeError('a gas is warmer than absolute zero')
  return ((pressure + around) * (to + ICE_POINT)) / (from + ICE_POINT) - around
}

/**
 * How hot the air in a tyre must have been, from its pressure cold and hot.
 *
 * @param cold gauge, Pa
 * @param from temperature of the air in the tyre when that was read, °C
 * @param hot gauge, Pa
 * @returns °C
 * @source gas law at one volume
 * @example tyreAirTemperature(180_000, 20, 237_580) // 80
 */
export function tyreAirTemperature(
  cold: number,
  from: number,
  hot: number,
  around = STANDARD_PRESSURE,
): number {
  if (!(cold + around > 0)) throw new RangeError('a tyre that holds nothing')
  return ((hot + around) * (from + ICE_POINT)) / (cold + around) - ICE_POINT
}
