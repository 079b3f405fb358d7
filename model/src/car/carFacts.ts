import type { BuildFacts } from '@bold-ballast/core'
import type { BuildDocument } from '@bold-ballast/contract'

/** The car of a document as core wants it: the build with what may be aboard. */
export const carFacts = (document: Pick<BuildDocument, 'build' | 'loads'>): BuildFacts => ({
  ...document.build,
  loads: document.loads,
})
