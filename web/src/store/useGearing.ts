import { type CourseSpeeds } from '@bold-ballast/contract'
import { gearedCar, type GearedCar } from '@bold-ballast/model'
import type { GearingTrial } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from './useBuild'

export type { GearedCar }

/** The car of this stage with its gears, its own dyno curve, and the driver in it; null while something is missing. */
export function useGearing(): ReturnType<typeof gearedCar> {
  const { view, stage, ledger } = useBuild()
  const { summaries } = useLiveBuild()
  return useMemo(() => {
    const at = ledger.stages.findIndex((s) => s.id === stage.id)
    return gearedCar(view, ledger.stages, summaries, at)
  }, [view, ledger, summaries, stage.id])
}

/** What gearings are tried in: this car over 402 m, and on a course where its speeds are known. */
export function useTrial(car: GearedCar, course: CourseSpeeds | null): GearingTrial {
  return useMemo(
    () => ({
      car: car.run,
      load: car.load,
      axle: car.axle,
      curve: car.curve,
      threshold: car.threshold,
      slipAngle: car.slide.value,
      slip: car.slide.slip,
      lap: course?.points ?? null,
    }),
    [car, course],
  )
}
