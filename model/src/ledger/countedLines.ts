import { drawDown, lineSign, mean, sharedByScale, USUAL_LEAN, type LedgerLine } from '@bold-ballast/core'
import type { Build, Instrument, Line } from '@bold-ballast/contract'
import { instrumentNamed } from './instrumentNamed'

type Sharing = NonNullable<LedgerLine['sharing']> | null

export type CountedLine = Line & { readonly sharing: Sharing }

/** What a build says of its figures' errors; each part in place of what is usual. */
export interface LineErrors {
  readonly doubts?: Build['doubts']
  readonly lean?: Build['lean']
  readonly instruments?: readonly Instrument[]
}

/**
 * The lines of a swap as they count: allowances drawn down, what lines of one scale or one weighing share said, what
 * guesses and claims lean by together, and as doubtful as the build takes them. In the order given, one for each.
 *
 * @param errors the build's own in place of the usual ones
 */
export const countedLines = (
  lines: readonly Line[],
  { doubts = null, lean = null, instruments = [] }: LineErrors = {},
): readonly CountedLine[] =>
  drawDown(
    lines.map((line): CountedLine => ({
      ...line,
      sigma: line.sigma ?? ownDoubt(line, doubts),
      sharing: sharingOf(line, lean ?? USUAL_LEAN, instruments),
    })),
  )

const ownDoubt = ({ grade, mass }: Line, doubts: Build['doubts']): number | null =>
  doubts && (grade === 'guess' || grade === 'claim') ? doubts[grade] * mass : null

/**
 * The error a line shares: with everything from one weighing that was shared out, or else with everything from one
 * scale, whose own error no repeat shows; a guess with all guesses, and a claim with all claims, which lean the same way:
 * what goes on is heavier than thought, and what comes off lighter.
 */
function sharingOf(
  line: Line,
  lean: NonNullable<Build['lean']>,
  instruments: readonly Instrument[],
): Sharing {
  const { weighing, mass, grade } = line
  if (grade === 'guess' || grade === 'claim') {
    const relative = lineSign(line) < 0 ? -lean[grade] : lean[grade]
    return mass > 0 && relative !== 0 ? { with: `all that is a ${grade}`, relative } : null
  }
  if (!weighing) return null
  const bias =
    instrumentNamed(instruments, weighing.scale, ['partScale', 'pads', 'weighbridge'])?.ownError ??
    weighing.bias
  if (weighing.together !== null) {
    const net = mean(weighing.readings) - weighing.tare
    const sigma = Math.hypot(weighing.resolution / Math.sqrt(12), bias * net)
    return { with: `together ${weighing.together}`, relative: net > 0 ? sigma / net : 0 }
  }
  return mass > 0 && weighing.scale && bias > 0
    ? { with: sharedByScale(weighing.scale), relative: bias }
    : null
}
