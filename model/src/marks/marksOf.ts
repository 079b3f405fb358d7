import type { BuildDocument, Mark } from '@bold-ballast/contract'
import { MEASURES, type HeadlineMeasure } from '@bold-ballast/core'

/** The marks of a stage, mass first, always in the same order. */
export const marksOf = (view: BuildDocument, stageId: string): Mark[] =>
  view.marks
    .filter((m) => m.stageId === stageId)
    .sort((a, b) => MEASURES.indexOf(a.measure) - MEASURES.indexOf(b.measure) || (a.id < b.id ? -1 : 1))

/** A mark on mass, power or power to weight: what comparisons of parts are judged by. */
export type HeadlineMark = Mark & { readonly measure: HeadlineMeasure }
export const isHeadline = (mark: Mark): mark is HeadlineMark =>
  (mark.measure === 'mass' && mark.conditionId === null) ||
  mark.measure === 'wheelPower' ||
  mark.measure === 'powerToWeight'
