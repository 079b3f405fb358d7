import { sinkUnder, springsOf, type AeroBalance, type Attitude } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'

export interface Stance {
  readonly attitude: Attitude
  /** Where the wheel rates come from. */
  readonly rates: 'stated' | 'springs' | 'assumed'
  /** False while nobody said how it pitches and rolls. */
  readonly isStated: boolean
}

/** How the car stands at a dynamic pressure: sunk on its springs, pitched, rolled, over a kerb. */
export function useStance(balance: AeroBalance, q: number): Stance {
  const { view } = useBuild()
  const { summary } = useLiveBuild()
  const { record } = useCarried('attitude')
  const { build } = view
  const { mass, asFitted } = summary
  const centre = asFitted.centre.x.value
  return useMemo(() => {
    const { rates } = springsOf(build, centre, mass.value)
    const rate = record?.wheelRate ?? { front: rates.frontLeft, rear: rates.rearLeft }
    return {
      attitude: {
        sinkFront: sinkUnder(balance.front * q, rate.front),
        sinkRear: sinkUnder(balance.rear * q, rate.rear),
        ...{ pitch: record?.pitch ?? 0, roll: record?.roll ?? 0, bump: record?.bump ?? 0 },
      },
      rates: record?.wheelRate ? 'stated' : build.springs ? 'springs' : 'assumed',
      isStated: record !== null,
    }
  }, [build, centre, mass.value, record, balance, q])
}
