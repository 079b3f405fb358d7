import { drawDown, type LedgerLine } from '@bold-ballast/core'
import type { Build, Line } from '../records/kinds'

type Sharing = NonNullable<LedgerLine['sharing']> | null

export type CountedLine = Line & { readonly sharing: Sharing }

/**
 * The lines of a swap as they count: allowances drawn down, what lines of one scale or one weighing share said, and
 * guesses and claims as doubtful as the build takes them. In the order given, one for each.
 *
 * @param doubts the build's own in place of the usual ones
 */
export const countedLines = (
  lines: readonly Line[],
  doubts: Build['doubts'] = null,
): readonly CountedLine[] =>
  drawDown(
    lines.map((line): CountedLine => ({
      ...line,
      sigma: line.sigma ?? ownDoubt(line, doubts),
      sharing: sharingOf(line),
    })),
  )

const ownDoubt = ({ grade, mass }: Line, doubts: Build['doubts']): number | null =>
  doubts && (grade === 'guess' || grade === 'claim') ? doubts[grade] * mass : null

/**
 * The error a line shares: with everything from one weighing that was shared out, or else with everything from one
 * scale, whose own error no repeat shows.
 */
function sharingOf({ weighing, mass }: Line): Sharing {
  if (!weighing) return null
  if (weighing.together !== null) {
    const net = weighing.readings.reduce((a, b) => a + b, 0) / weighing.readings.length - weighing.tare
    const sigma = Math.hypot(weighing.resolution / Math.sqrt(12), weighing.bias * net)
    return { with: `together ${weighing.together}`, relative: net > 0 ? sigma / net : 0 }
  }
  return mass > 0 && weighing.scale && weighing.bias > 0
    ? { with: `scale ${weighing.scale.toLowerCase()}`, relative: weighing.bias }
    : null
}
