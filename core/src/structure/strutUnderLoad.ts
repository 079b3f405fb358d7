/** A round tube; a rod has no bore. m and Pa. */
export interface Tube {
  readonly outside: number
  readonly wall: number
  readonly length: number
  readonly stiffness: number
  readonly strength: number
}

/** Steel of a plain structural grade: usual figures (common practice). */
export const PLAIN_STEEL = { stiffness: 205e9, strength: 250e6 } as const

export interface StrutLimits {
  /** Pull at which it yields, N. */
  readonly tension: number
  /** Push at which it buckles or yields, N. */
  readonly compression: number
}

/**
 * What a strut with pinned ends bears.
 *
 * @throws {RangeError} for sizes that are not above zero, or a wall beyond the middle
 * @source σ·A; Euler π²·E·I/L², never above what yields it
 * @example strutLimits({ outside: 0.008, wall: 0.001, length: 0.3, ...PLAIN_STEEL }).tension // 5498
 */
export function strutLimits({ outside, wall, length, stiffness, strength }: Tube): StrutLimits {
  if (!(outside > 0 && wall > 0 && length > 0)) throw new RangeError('a strut has sizes above zero')
  if (wall > outside / 2) throw new RangeError('a wall is no thicker than half of the tube')
  const bore = outside - 2 * wall
  const area = (Math.PI / 4) * (outside ** 2 - bore ** 2)
  const second = (Math.PI / 64) * (outside ** 4 - bore ** 4)
  const tension = strength * area
  return { tension, compression: Math.min(tension, (Math.PI ** 2 * stiffness * second) / length ** 2) }
}

/**
 * The pull in each of several struts that hold a load at an angle.
 *
 * @param load straight down, N
 * @param angle of the struts from the vertical, rad
 * @throws {RangeError} for no strut, or an angle outside 0 to 85°
 * @source statics: N = F / (n·cos φ)
 * @example pullInStruts(1200, 2, 0.6) // 727
 */
export function pullInStruts(load: number, count: number, angle: number): number {
  if (!(count >= 1)) throw new RangeError('one strut is the least')
  if (!(angle >= 0 && angle < 1.484)) throw new RangeError('struts stand between upright and 85°')
  return load / (count * Math.cos(angle))
}
