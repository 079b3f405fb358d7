import { stageInputs } from '@bold-ballast/contract'
import { stageSummaries, type StageSummary } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from './useBuild'

/** The summaries of all stages by what is saved, without what is being typed. */
export function useSettledSummaries(): readonly StageSummary[] {
  const { view, ledger } = useBuild()
  return useMemo(() => stageSummaries(stageInputs(view, ledger)), [view, ledger])
}
