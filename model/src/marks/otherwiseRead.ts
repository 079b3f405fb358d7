import type { BuildDocument, Mark, Stage } from '@bold-ballast/contract'
import type { MarkReading } from '@bold-ballast/core'
import { carAt } from '../car/carAt'
import { foldBuild } from '../ledger/foldBuild'
import { marksOf } from './marksOf'
import { readMark } from './markFigures'

/** A mark of a stage that was met or missed as long as a guess or a claim could meet it. */
export interface OtherwiseRead {
  readonly stage: Stage
  readonly mark: Mark
  readonly was: 'met' | 'missed'
  readonly reading: MarkReading
}

/**
 * Marks that rest on what somebody guessed or claims, and would have a verdict if that were enough: it was, before only
 * what is measured counted. Of the others what was said before stands nowhere but on a signed sheet.
 *
 * @example otherwiseRead(document).map(({ mark }) => mark.measure) // []
 */
export const otherwiseRead = (document: BuildDocument): OtherwiseRead[] =>
  foldBuild(document).stages.flatMap((stage) =>
    marksOf(document, stage.id).flatMap((mark) => {
      const reading = readMark(carAt(document, stage.id), mark)
      const was = reading.judgement?.verdict
      return reading.because === 'unmeasured' && was && was !== 'cantTell'
        ? [{ stage, mark, was, reading }]
        : []
    }),
  )
