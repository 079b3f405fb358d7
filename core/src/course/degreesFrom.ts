import { EARTH, type Degrees } from './metresFrom'

const DEGREE = (EARTH * Math.PI) / 180

/**
 * Metres east and north as places on the earth, about an invented origin at sea: where the equator and the meridian of
 * nought cross. A line that has no place gets one that nobody takes for real; read back by `metresFrom` it is the same.
 *
 * @source the equirectangular projection about the equator
 * @example degreesFrom([{ x: 111195, y: 0 }])[0].longitude // 1
 */
export const degreesFrom = (points: readonly { readonly x: number; readonly y: number }[]): Degrees[] =>
  points.map(({ x, y }) => ({ latitude: y / DEGREE, longitude: x / DEGREE }))
