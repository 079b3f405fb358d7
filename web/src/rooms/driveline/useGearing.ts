import { standingCurve } from '@bold-ballast/contract'
import {
  airAt,
  airDensity,
  type DrivenAxle,
  type Gearing,
  type PullPoint,
  type RoadLoad,
} from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../store/useBuild'

const STANDARD_AIR = 1.225

export interface GearedCar {
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
  return useMemo(() => {
    const { build } = view
    const { drivetrain } = build
    if (!drivetrain) return { car: null, missing: 'gears' as const }
    const at = ledger.stages.findIndex((s) => s.id === stage.id)
    const standing = standingCurve(view, summaries.slice(0, at + 1))
    if (!standing) return { car: null, missing: 'curve' as const }
    const air = airAt(standing.day.air, null)
    const density = air ? airDensity(air) : STANDARD_AIR
    const mass = summary.mass.value + Math.max(0, build.driverMass - build.reference.driver)
    const frontShare = 1 - summary.asFitted.centre.x.value / build.wheelbase
    const car: GearedCar = {
      gearing: drivetrain,
      load: {
        mass,
        dragArea: drivetrain.dragArea,
        rollingResistance: drivetrain.rollingResistance,
        airDensity: density,
      },
      axle: {
        ...{ mass, driven: build.layout, grip: drivetrain.grip, airDensity: density },
        share: build.layout === 'front' ? frontShare : 1 - frontShare,
        lever: summary.asFitted.centre.z.value / build.wheelbase,
        downforceArea: drivetrain.axleDownforce,
      },
      curve: standing.curve,
      curveOf: { stageId: standing.stageId, dyno: standing.day.dyno },
      threshold: drivetrain.boostThreshold ?? drivetrain.limiter / 2,
    }
    return { car, missing: null }
  }, [view, ledger, summaries, summary, stage.id])
}
