import { lifeAt, type CarLife } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useCar } from '../../../store/useCar'

/** What has been used up of everything that wears, as of this stage, and what the next event will take. */
export function useLife(): CarLife {
  const { view, ledger, stage } = useBuild()
  const { components } = useCar()
  return useMemo(
    () => lifeAt(view, ledger.stages, stage, components),
    [view, ledger.stages, stage, components],
  )
}
