import {
  airAt,
  airDensity,
  type PullPoint,
  type StageSummary,
  type StraightLineCar,
} from '@bold-ballast/core'
import type { Build, Drive, DynoDay } from '../records/kinds'
import { STANDARD_AIR } from './gearedCar'

/**
 * A build at a stage as the straight-line run wants it, with a curve from the dyno.
 *
 * @param drivetrain the stage's own
 * @param curve torque at the wheels over engine speed, observed
 * @param day its air sets the drag; without a reading the standard atmosphere does
 */
export function straightLineCar(
  build: Build,
  drivetrain: Drive,
  summary: Pick<StageSummary, 'mass' | 'asFitted'>,
  curve: readonly PullPoint[],
  day: Pick<DynoDay, 'air'> | null,
): StraightLineCar {
  const { limiter, shiftSpeed, finalDrive, between } = drivetrain
  const air = day && airAt(day.air, null)
  const { x, z } = summary.asFitted.centre
  return {
    ...drivetrain,
    curve,
    finalDrive: finalDrive * between,
    shiftSpeed: Math.min(shiftSpeed ?? limiter, curve.at(-1)?.speed ?? limiter),
    // Nobody runs it without somebody in it.
    mass: summary.mass.value + Math.max(0, build.driverMass - build.reference.driver),
    driven: build.layout,
    frontShare: 1 - x.value / build.wheelbase,
    wheelbase: build.wheelbase,
    massHeight: z.value,
    airDensity: air ? airDensity(air) : STANDARD_AIR,
  }
}
