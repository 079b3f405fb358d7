import { runModel } from '@bold-ballast/model'
import { useBuild } from './useBuild'
import { settledSummaries } from './useSettledSummaries'

/** The share that worked-out runs and laps of this build are off by, beside what goes into them. */
export function useRunModel(): number {
  const { view, ledger } = useBuild()
  return runModel(view, ledger.stages, settledSummaries(view, ledger))
}
