import type { BuildDocument, Stage } from '@bold-ballast/contract'
import { stageSummaries, type StageSummary } from '@bold-ballast/core'
import { geometryOf, type GeometryOf } from '../car/geometryOf'
import { ledgerIndex, stageInputs, type LedgerIndex } from './stageInputs'

/** A document with its ledger in order and what each stage came to. */
export interface FoldedBuild {
  readonly document: BuildDocument
  readonly ledger: LedgerIndex
  /** In order. */
  readonly stages: readonly Stage[]
  /** What geometry and springs each stage has; null where all have the build's. */
  readonly geometry: GeometryOf | null
  /** One a stage, in the same order. */
  readonly summaries: readonly StageSummary[]
}

const kept = new WeakMap<BuildDocument, FoldedBuild>()

/**
 * Folds a document: once for each state of it, however many ask.
 *
 * @param document never changed afterwards: a change is another document
 * @example foldBuild(document).summaries.at(-1)?.mass.value // 1200
 */
export function foldBuild(document: BuildDocument): FoldedBuild {
  const before = kept.get(document)
  if (before) return before
  const ledger = ledgerIndex(document)
  const geometry = geometryOf(document, ledger.stages)
  const summaries = stageSummaries(stageInputs(document, ledger, geometry))
  const folded = { document, ledger, stages: ledger.stages, geometry, summaries }
  kept.set(document, folded)
  return folded
}
