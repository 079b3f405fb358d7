import type { Cannot, Known, MarkFigures } from '@bold-ballast/core'

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

/** The same figure planned and reached, off a model: it points, and never shows. */
export const workedOut = (value: Known): MarkFigures => ({
  value,
  planned: value,
  evidence: false,
  workedOut: true,
})

/** Worked out when it is asked for first, and kept. */
export function once<T>(compute: () => T): () => T {
  let kept: { readonly value: T } | null = null
  return () => (kept ??= { value: compute() }).value
}
