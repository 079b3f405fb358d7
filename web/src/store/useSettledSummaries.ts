import { type BuildDocument } from '@bold-ballast/contract'
import { stageInputs, type LedgerIndex } from '@bold-ballast/model'
import { stageSummaries, type StageSummary } from '@bold-ballast/core'
import { useBuild } from './useBuild'

/** Once for each state of a build, however many parts of the page ask. */
const kept = new WeakMap<BuildDocument, readonly StageSummary[]>()

export function settledSummaries(view: BuildDocument, ledger: LedgerIndex): readonly StageSummary[] {
  const before = kept.get(view)
  if (before) return before
  const summaries = stageSummaries(stageInputs(view, ledger))
  kept.set(view, summaries)
  return summaries
}

/** The summaries of all stages by what is saved, without what is being typed. */
export function useSettledSummaries(): readonly StageSummary[] {
  const { view, ledger } = useBuild()
  return settledSummaries(view, ledger)
}
