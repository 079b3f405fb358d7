import type { Drive } from '@bold-ballast/contract'
import { curveFigures, usedBand, type Correction } from '@bold-ballast/core'
import { coveredBy, curvesOf, type Side } from './compareSides'

/** rad/s by which a band may be cut short without a word. */
const NEAR = 5

export interface ComparedBand {
  /** rad/s, from and to */
  readonly band: readonly [number, number]
  /** The gears decide what is used, or the curve's own 90 % band where there are none. */
  readonly from: 'gears' | 'curve'
  /** Cut where one of the curves ends: nobody knows what an engine makes beyond where it was run. */
  readonly isCut: boolean
}

/** The engine speeds that two sides are compared over; null where they share none. */
export function comparedBand(
  before: Side,
  after: Side,
  basis: Correction,
  drive: Drive | null,
): ComparedBand | null {
  const covered = coveredBy([before, after], basis)
  const [first] = [...curvesOf(before, basis), ...curvesOf(after, basis)]
  if (!covered || !first) return null
  const gears = drive && drive.ratios.length > 1 ? drive : null
  const wanted = gears
    ? usedBand(gears.ratios, gears.shiftSpeed ?? gears.limiter).band
    : curveFigures(first).band90
  const band = [Math.max(wanted[0], covered[0]), Math.min(wanted[1], covered[1])] as const
  if (band[1] <= band[0]) return null
  return { band, from: gears ? 'gears' : 'curve', isCut: band[1] < wanted[1] - NEAR }
}
