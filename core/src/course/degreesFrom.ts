import { EARTH, type Degrees } from './metresFrom'

const DEGREE = (EARTH * Math.PI) / 180

/**
 * Metres east and north as places on the earth, about an invented origin at sea: where the equator and the meridian of
 * nought cross. A line that has no place gets one that nobody takes for real; read back by `metresFrom` it is the same.
 *
 * @param origin where x and y are nought, where somebody knows
 * @source the equirectangular projection about the origin's parallel
 * @example degreesFrom([{ x: 111195, y: 0 }])[0].longitude // 1
 */
export function degreesFrom(
  points: readonly { readonly x: number; readonly y: number }[],
  origin: Degrees = { latitude: 0, longitude: 0 },
): Degrees[] {
  const east = DEGREE * Math.cos((origin.latitude * Math.PI) / 180)
  return points.map(({ x, y }) => ({
    latitude: origin.latitude + y / DEGREE,
    longitude: origin.longitude + x / east,
  }))
}
