import { drivelineLoad, ladderOf, type Rung } from '@bold-ballast/model'
import type { DrivelineLoad } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../store/useBuild'
import { useCarried } from '../../store/useCarried'
import type { GearedCar } from '../../store/useGearing'
import { useFitted } from './useFitted'

export type { Rung }

/** The ladder of links of a stage, weakest first, with what loads them. */
export function useLadder(car: GearedCar): {
  readonly rungs: readonly Rung[]
  readonly load: DrivelineLoad
  /** Ethanol in what is burnt, and where that is known from; null where nobody said. */
  readonly ethanol: number | null
} {
  const { view } = useBuild()
  const { summary } = useLiveBuild()
  const { record: sizing } = useCarried('sizing')
  const fitted = useFitted()
  const ethanol = sizing?.engine?.ethanol ?? car.day.ethanol ?? null
  const load = useMemo(
    () => drivelineLoad(view.build, car, summary.plannedPower),
    [view.build, car, summary.plannedPower],
  )
  const rungs = useMemo(() => ladderOf(fitted, load, ethanol), [fitted, load, ethanol])
  return { rungs, load, ethanol }
}
