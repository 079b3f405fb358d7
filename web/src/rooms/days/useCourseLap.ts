import type { Outing } from '@bold-ballast/contract'
import { fuelOfLap, orWhy } from '@bold-ballast/core'
import { lapOf } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../store/useBuild'
import { useLiveCar } from '../../store/useCar'

/** A lap of a day's course by the car as it stands: s, and the fuel that it takes, m³. */
export interface CourseLap {
  readonly time: number
  readonly fuel: number
}

/** The lap of a day's course; null where the day names none, or figures for a lap are missing. */
export function useCourseLap(day: Pick<Outing, 'courseId'> | null): CourseLap | null {
  const { view } = useBuild()
  const car = useLiveCar()
  const course = view.courses.find((c) => c.id === day?.courseId)
  return useMemo(() => {
    const run = car.geared?.run
    if (!run || !course) return null
    return orWhy(
      () => {
        const { time, energy } = lapOf(run, course, true)
        return { time, fuel: fuelOfLap(energy.driven, car.ethanol ?? 0) }
      },
      () => null,
    )
  }, [car, course])
}
