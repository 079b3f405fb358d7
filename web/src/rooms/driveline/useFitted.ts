import { type Component } from '@bold-ballast/contract'
import { fittedAt } from '@bold-ballast/model'
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
