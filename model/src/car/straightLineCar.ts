import { airAt, airDensity, type LapCar, type PullPoint, type StageSummary } from '@bold-ballast/core'
import type { BuildDocument, Drive, DynoDay, Stage } from '@bold-ballast/contract'
import { STANDARD_AIR } from './gearedCar'
import { massWithDriver, placeWithDriver } from './massWithDriver'
import { stageAir, type StageAir } from './stageAir'

/** The gear that a roller which measures by inertia pulled in, counted from 0; the one nearest 1:1 where nobody noted it. */
function inertiaGear(
  { kind, gear }: Pick<DynoDay, 'kind' | 'gear'>,
  ratios: readonly number[],
): number | null {
  if (kind !== 'rollerInertia') return null
  if (gear !== null && ratios[gear - 1] !== undefined) return gear - 1
  const offs = ratios.map((ratio) => Math.abs(ratio - 1))
  return offs.indexOf(Math.min(...offs))
}

/**
 * A build at a stage as runs, launches and laps want it, with a curve from the dyno.
 *
 * @param stages in order
 * @param drivetrain the stage's own
 * @param curve torque at the wheels over engine speed, observed
 * @param day the dyno's kind says what the curve holds already, and its air sets the drag; without a reading the
 *   standard atmosphere does
 * @param air the stage's, where it is known already
 */
export function straightLineCar(
  document: Pick<BuildDocument, 'build' | 'loads' | 'aeroElements'>,
  stages: readonly Stage[],
  drivetrain: Drive,
  summary: Pick<StageSummary, 'stageId' | 'mass' | 'fitted'>,
  curve: readonly PullPoint[],
  day: Pick<DynoDay, 'air' | 'kind' | 'gear'>,
  air: StageAir = stageAir(document, stages, summary.stageId, drivetrain),
): LapCar {
  const { build } = document
  const { limiter, shiftSpeed, finalDrive, between } = drivetrain
  const reading = airAt(day.air, null)
  const { x, z } = placeWithDriver(document, summary)
  return {
    ...drivetrain,
    curve,
    inertiaPulledIn: inertiaGear(day, drivetrain.ratios),
    finalDrive: finalDrive * between,
    shiftSpeed: Math.min(shiftSpeed ?? limiter, curve.at(-1)?.speed ?? limiter),
    mass: massWithDriver(build, summary.mass).value,
    driven: build.layout,
    frontShare: 1 - x.value / build.wheelbase,
    wheelbase: build.wheelbase,
    massHeight: z.value,
    airDensity: reading ? airDensity(reading) : STANDARD_AIR,
    dragArea: air.dragArea,
    downforceFront: air.front,
    downforceRear: air.rear,
  }
}
