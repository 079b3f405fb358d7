import { gainChanges, type GainChanges } from '@bold-ballast/contract'
import { useMemo } from 'react'
import { useBuild } from '../../store/useBuild'
import { useSettledSummaries } from '../../store/useSettledSummaries'

/** What leads from one stage to a later one; null where there is nothing to split. */
export function useGainChanges(from: number, to: number): GainChanges | null {
  const { view, ledger } = useBuild()
  const summaries = useSettledSummaries()
  return useMemo(
    () => (from >= 0 && from < to ? gainChanges(view, ledger, summaries, from, to) : null),
    [view, ledger, summaries, from, to],
  )
}
