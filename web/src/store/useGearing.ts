import { standingCurve, straightLineCar, type CourseSpeeds, type Drive } from '@bold-ballast/contract'
import {
  airAt,
  airDensity,
  type DrivenAxle,
  type Gearing,
  type GearingTrial,
  type PullPoint,
  type RoadLoad,
} from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from './useBuild'
import { useDrive } from './useDrive'

const STANDARD_AIR = 1.225

export interface GearedCar {
  readonly drive: Drive
  readonly gearing: Gearing
  readonly load: RoadLoad
  readonly axle: DrivenAxle
  readonly curve: readonly PullPoint[]
  /** From which stage the curve is, and of which dyno. */
  readonly curveOf: { readonly stageId: string; readonly dyno: string }
  readonly threshold: number
}

/** The car of this stage with its gears, its own dyno curve, and the driver in it; null while something is missing. */
export function useGearing(): { car: GearedCar | null; missing: 'gears' | 'curve' | null } {
  const { view, stage, ledger } = useBuild()
  const { summaries, summary } = useLiveBuild()
  const drive = useDrive()
  return useMemo(() => {
    const { build } = view
    if (!drive) return { car: null, missing: 'gears' as const }
    const at = ledger.stages.findIndex((s) => s.id === stage.id)
    const standing = standingCurve(view, summaries.slice(0, at + 1))
    if (!standing) return { car: null, missing: 'curve' as const }
    const air = airAt(standing.day.air, null)
    const density = air ? airDensity(air) : STANDARD_AIR
    const mass = summary.mass.value + Math.max(0, build.driverMass - build.reference.driver)
    const frontShare = 1 - summary.asFitted.centre.x.value / build.wheelbase
    const car: GearedCar = {
      drive,
      gearing: drive,
      load: {
        mass,
        dragArea: drive.dragArea,
        rollingResistance: drive.rollingResistance,
        airDensity: density,
      },
      axle: {
        ...{ mass, driven: build.layout, grip: drive.grip, airDensity: density },
        share: build.layout === 'front' ? frontShare : 1 - frontShare,
        lever: summary.asFitted.centre.z.value / build.wheelbase,
        downforceArea: drive.axleDownforce,
      },
      curve: standing.curve,
      curveOf: { stageId: standing.stageId, dyno: standing.day.dyno },
      threshold: drive.boostThreshold ?? drive.limiter / 2,
    }
    return { car, missing: null }
  }, [view, ledger, summaries, summary, stage.id, drive])
}

/** What gearings are tried in: this car over 402 m, and on a course where its speeds are known. */
export function useTrial(car: GearedCar, course: CourseSpeeds | null): GearingTrial {
  const { view } = useBuild()
  const { summary } = useLiveBuild()
  return useMemo(() => {
    const runs = straightLineCar(view.build, car.drive, summary, car.curve, null)
    return {
      car: { ...runs, airDensity: car.load.airDensity },
      ...{ load: car.load, axle: car.axle, curve: car.curve, threshold: car.threshold },
      lap: course?.points ?? null,
    }
  }, [view.build, summary, car, course])
}
