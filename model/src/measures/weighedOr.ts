import type { Known, MarkFigures } from '@bold-ballast/core'

/** A share as it was weighed, or as it is planned where nobody weighed it. */
export const weighedOr = (share: Known | null | undefined, planned: Known | null): MarkFigures => ({
  value: share ?? planned,
  planned,
  evidence: Boolean(share),
})
