import { fittedAt, type Component } from '@bold-ballast/contract'
import { useMemo } from 'react'
import { useBuild } from '../../store/useBuild'

/** The components on the car at this stage, in their order. */
export function useFitted(): readonly Component[] {
  const { view, ledger, stage } = useBuild()
  return useMemo(
    () => fittedAt(view.components, ledger.stages, stage.id),
    [view.components, ledger.stages, stage.id],
  )
}
