/** The angles that a wing can be bolted at, rad: first, last, and from one to the next. */
export interface WingHoles {
  readonly from: number
  readonly to: number
  readonly step: number
}

/** More are not drawn: a stand has some ten. */
const MOST = 60
/** A last hole that is missed by rounding alone is there. */
const ROUNDING = 1e-3

/**
 * The angles of all holes, rad.
 *
 * @source definition
 * @example holesOf({ from: 0, to: 0.3, step: 0.1 }).length // 4
 */
export function holesOf({ from, to, step }: WingHoles): number[] {
  const count = Math.min(MOST, Math.floor((to - from) / step + ROUNDING) + 1)
  return Array.from({ length: count }, (_, i) => from + i * step)
}

/**
 * The hole that is nearest to an angle, rad.
 *
 * @source definition
 * @example nearestHole(0.17, { from: 0, to: 0.3, step: 0.1 }) // 0.2
 */
export const nearestHole = (angle: number, holes: WingHoles): number =>
  holesOf(holes).reduce((best, hole) => (Math.abs(hole - angle) < Math.abs(best - angle) ? hole : best))
