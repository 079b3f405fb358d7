import { valueOnLine } from '../numeric/valueOnLine'

/** A line of a damper's sheet: N·s/m at so many clicks. */
export interface DamperPoint {
  readonly clicks: number
  readonly bump: number
  readonly rebound: number
}

/**
 * A damper's rate at a number of clicks: a line between the lines of its sheet, and as at the last beyond them.
 *
 * @param points by rising clicks
 * @throws {RangeError} for a sheet without a line
 * @example dampingAt([{ clicks: 0, bump: 3000, rebound: 5000 }, { clicks: 10, bump: 5000, rebound: 9000 }], 'bump', 4) // 3800
 */
export const dampingAt = (points: readonly DamperPoint[], way: 'bump' | 'rebound', clicks: number): number =>
  valueOnLine(
    points.map((p) => p.clicks),
    points.map((p) => p[way]),
    clicks,
  )
