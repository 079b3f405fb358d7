import type { CourseSpeeds } from '@bold-ballast/contract'
import type { GearingTrial } from '@bold-ballast/core'
import type { GearedCar } from '@bold-ballast/model'
import { useMemo } from 'react'

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
