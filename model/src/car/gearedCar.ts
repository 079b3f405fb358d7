import {
  drivenAxle,
  USUAL_SLIP,
  USUAL_SLIP_ANGLE,
  type DrivenAxle,
  type Gearing,
  type LapCar,
  type PullPoint,
  type RoadLoad,
  type StageSummary,
} from '@bold-ballast/core'
import type { BuildDocument, Drive, DynoDay, Stage } from '@bold-ballast/contract'
import { carriedAt } from './carriedAt'
import { massWithDriver } from './massWithDriver'
import { stageAir, type StageAir } from './stageAir'
import { standingCurve } from './standingCurve'
import { straightLineCar } from './straightLineCar'

/** Air where no dyno day says another, kg/m³ (ISO 2533 at sea level). */
export const STANDARD_AIR = 1.225

/** A car of a stage with its gears, its own dyno curve, and the driver in it. */
export interface GearedCar {
  readonly drive: Drive
  readonly gearing: Gearing
  readonly load: RoadLoad
  readonly axle: DrivenAxle
  readonly curve: readonly PullPoint[]
  readonly day: DynoDay
  /** From which stage the curve is, of which dyno, and the power it was brought to where a plan came after it. */
  readonly curveOf: { readonly stageId: string; readonly dyno: string; readonly planned: number | null }
  readonly threshold: number
  /** The same car as runs, launches and laps want it, and what the air does to it. */
  readonly run: LapCar
  readonly air: StageAir
  /** Slip angle of the rear axle in a slide, rad, with its standard uncertainty, and wheel speed over road speed. */
  readonly slide: {
    readonly value: number
    readonly sigma: number
    readonly slip: readonly [number, number]
  }
}

/** The wheel power that was planned for a stage, or on the way to it, after the one that was pulled; W. */
const planSince = (stages: readonly Stage[], pulledId: string, at: number): number | null =>
  stages
    .slice(stages.findIndex((s) => s.id === pulledId) + 1, at + 1)
    .findLast((s) => s.plannedWheelPower !== null)?.plannedWheelPower ?? null

/**
 * The car of a stage as gears, grip and drag want it.
 *
 * Where a later stage plans another power than was pulled, the curve keeps its shape and is brought to that power: a
 * plan is read as what it would be.
 *
 * @param stages in order
 * @param summaries of all stages, in the same order
 * @returns what is missing, where something is
 * @example gearedCar(document, ledger.stages, summaries, 2).car?.gearing
 */
export function gearedCar(
  document: Pick<BuildDocument, 'build' | 'loads' | 'pulls' | 'dynoDays' | 'drivetrains' | 'aeroElements'>,
  stages: readonly Stage[],
  summaries: readonly StageSummary[],
  at: number,
): { readonly car: GearedCar | null; readonly missing: 'gears' | 'curve' | 'mass' | null } {
  const summary = summaries[at]!
  const drive = carriedAt(document.drivetrains, stages, stages[at]!.id)?.drive
  if (!drive) return { car: null, missing: 'gears' }
  const standing = standingCurve(document, summaries.slice(0, at + 1))
  if (!standing) return { car: null, missing: 'curve' }
  const plan = planSince(stages, standing.stageId, at)
  const pulled = summaries.find((s) => s.stageId === standing.stageId)?.measuredPower?.power.value
  const times = plan !== null && pulled ? plan / pulled : 1
  const curve = standing.curve.map((p) => ({ ...p, torque: p.torque * times }))
  // A line that takes too much off leaves no car to run.
  if (!(massWithDriver(document.build, summary.mass).value > 0)) return { car: null, missing: 'mass' }
  const air = stageAir(document, stages, summary.stageId, drive)
  const run = straightLineCar(document, stages, drive, summary, curve, standing.day, air)
  const car: GearedCar = {
    drive,
    gearing: drive,
    load: {
      mass: run.mass,
      dragArea: run.dragArea,
      rollingResistance: drive.rollingResistance,
      airDensity: run.airDensity,
    },
    axle: drivenAxle(run),
    curve,
    day: standing.day,
    curveOf: { stageId: standing.stageId, dyno: standing.day.dyno, planned: times === 1 ? null : plan },
    threshold: drive.boostThreshold ?? drive.limiter / 2,
    run,
    air,
    slide: drive.slide
      ? {
          value: drive.slide.angle,
          sigma: drive.slide.doubt,
          slip: [drive.slide.least, drive.slide.most],
        }
      : { ...USUAL_SLIP_ANGLE, slip: USUAL_SLIP },
  }
  return { car, missing: null }
}
