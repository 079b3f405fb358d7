import type { BuildDocument, Mark } from '@bold-ballast/contract'
import { MEASURES } from '@bold-ballast/core'

/** The marks of a stage, mass first, always in the same order. */
export const marksOf = (view: BuildDocument, stageId: string): Mark[] =>
  view.marks
    .filter((m) => m.stageId === stageId)
    .sort((a, b) => MEASURES.indexOf(a.measure) - MEASURES.indexOf(b.measure) || (a.id < b.id ? -1 : 1))
