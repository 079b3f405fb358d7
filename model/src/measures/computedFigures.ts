import {
  doubtName,
  known,
  named,
  type Cannot,
  type Doubts,
  type Known,
  type MarkFigures,
} from '@bold-ballast/core'

/** Of what nobody knows anything. */
export const NOTHING: MarkFigures = { value: null, planned: null, evidence: false }

/** Of what can't be worked out although everything for it is there. */
export const cannotTell = (cannot: Cannot): MarkFigures => ({ ...NOTHING, cannot })

/** The same figure planned and shown: computed from what there is. */
export const computed = (value: Known, evidence: boolean): MarkFigures => ({
  value,
  planned: value,
  evidence,
})

/** A figure that is counted up from what was written down, and is so once all of it is. */
export const countedUp = (value: number, isWhole: boolean): MarkFigures => ({
  ...computed(known(value, 'claim', 0), isWhole),
  asItStands: true,
})

/** The same figure planned and reached, off a model: it points, and never shows. */
export const workedOut = (value: Known): MarkFigures => ({
  value,
  planned: value,
  evidence: false,
  workedOut: true,
})

/** The same of a run or a lap, off by what its car is known to and by a share of itself that is the model's. */
export const runWorkedOut = (value: number, doubts: Doubts, modelDoubt: number): MarkFigures =>
  workedOut(named(value, 'claim', { ...doubts, [doubtName.model('run')]: modelDoubt * value }))

/** What a clock, a scale or a logger read beside what was worked out: the reading shows, the other stays as the plan. */
export const readOr = (measured: Known | null, otherwise: MarkFigures): MarkFigures =>
  measured ? { value: measured, planned: otherwise.planned ?? measured, evidence: true } : otherwise
