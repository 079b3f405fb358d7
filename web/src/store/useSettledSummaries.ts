import { foldBuild } from '@bold-ballast/model'
import type { StageSummary } from '@bold-ballast/core'
import { useBuild } from './useBuild'

/** The summaries of all stages by what is saved, without what is being typed. */
export function useSettledSummaries(): readonly StageSummary[] {
  const { view } = useBuild()
  return foldBuild(view).summaries
}
