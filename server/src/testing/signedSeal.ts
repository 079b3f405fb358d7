import type { BuildDocument, Seal } from '@bold-ballast/contract'
import { sampleSeal } from '@bold-ballast/contract/sampleBuild'
import { sealedFiguresOf } from '@bold-ballast/words'
import { randomUUID } from 'node:crypto'

/** For tests: a stage signed with what its records say. */
export const signedSeal = (document: BuildDocument, stageId: string): Omit<Seal, 'version'> => ({
  ...sampleSeal(stageId, randomUUID()),
  figures: sealedFiguresOf(document, stageId),
})
