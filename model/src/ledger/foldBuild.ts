import type { BuildDocument, Stage } from '@bold-ballast/contract'
import { stageSummaries, type StageSummary } from '@bold-ballast/core'
import { ledgerIndex, stageInputs, type LedgerIndex } from './stageInputs'

/** A document with its ledger in order and what each stage came to. */
export interface FoldedBuild {
  readonly document: BuildDocument
  readonly ledger: LedgerIndex
  /** In order. */
  readonly stages: readonly Stage[]
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
  const summaries = stageSummaries(stageInputs(document, ledger))
  const folded = { document, ledger, stages: ledger.stages, summaries }
  kept.set(document, folded)
  return folded
}
