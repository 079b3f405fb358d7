import type { Drive, DynoDay } from '@bold-ballast/contract'
import {
  drivenAxle,
  USUAL_SLIP,
  USUAL_SLIP_ANGLE,
  type DrivenAxle,
  type Gearing,
  type LapCar,
  type PullPoint,
  type RoadLoad,
} from '@bold-ballast/core'
import { carAir, type CarAir } from './carAir'
import type { CurveAt } from './curveAt'
import { runningCar, type RunningCarOf } from './runningCar'

/** A car with its gears, its own dyno curve, and the driver in it. */
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
  readonly air: CarAir
  /** Slip angle of the rear axle in a slide, rad, with its standard uncertainty, and wheel speed over road speed. */
  readonly slide: {
    readonly value: number
    readonly sigma: number
    readonly slip: readonly [number, number]
  }
}

/**
 * A car as gears, grip and drag want it.
 *
 * @param drive its gears
 * @param curve that stands
 * @example gearedCar(car, drive, curve).gearing
 */
export function gearedCar(
  car: RunningCarOf,
  drive: Drive,
  { points, day, stageId, planned }: CurveAt,
): GearedCar {
  const run = runningCar(car, drive, points, day)
  return {
    drive,
    gearing: drive,
    load: {
      mass: run.mass,
      dragArea: run.dragArea,
      rollingResistance: drive.rollingResistance,
      airDensity: run.airDensity,
    },
    axle: drivenAxle(run),
    curve: points,
    day,
    curveOf: { stageId, dyno: day.dyno, planned },
    threshold: drive.boostThreshold ?? drive.limiter / 2,
    run,
    air: carAir(car.build, car.aero, drive),
    slide: drive.slide
      ? {
          value: drive.slide.angle,
          sigma: drive.slide.doubt,
          slip: [drive.slide.least, drive.slide.most],
        }
      : { ...USUAL_SLIP_ANGLE, slip: USUAL_SLIP },
  }
}
