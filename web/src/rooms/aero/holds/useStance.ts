import { stanceAt, type Stance } from '@bold-ballast/model'
import type { AeroBalance } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'

/** How the car of this stage stands at a dynamic pressure. */
export function useStance(balance: AeroBalance, q: number): Stance {
  const { view } = useBuild()
  const { summary } = useLiveBuild()
  const { record } = useCarried('attitude')
  const { build } = view
  return useMemo(() => stanceAt(build, summary, record, balance, q), [build, summary, record, balance, q])
}
