import type { Run } from '@bold-ballast/contract'
import { axleCarOf, gripLimits, orWhy, type GripLimits, type LapCar } from '@bold-ballast/core'
import { carAt, carOnSheet } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'

/** The car that a run was driven with, as laps want it; null while figures for a lap are missing. */
export function useRunCar(run: Run): LapCar | null {
  const { view } = useBuild()
  return useMemo(() => {
    const stageId = view.outings.find((day) => day.id === run.outingId)?.stageId
    if (!stageId) return null
    const car = run.setupId ? carOnSheet(view, stageId, run.setupId) : carAt(view, stageId)
    return car.geared?.run ?? null
  }, [view, run])
}

/** What the tyres of the car have that a run was driven with; null while figures for a lap are missing. */
export function useGripLimits(run: Run): GripLimits | null {
  const car = useRunCar(run)
  return useMemo(
    () =>
      car &&
      orWhy(
        () => gripLimits(axleCarOf(car)),
        () => null,
      ),
    [car],
  )
}
