import type { Drive, DynoDay } from '@bold-ballast/contract'
import { airAt, airDensity, STANDARD_DENSITY, type LapCar, type PullPoint } from '@bold-ballast/core'
import type { Car } from './Car'
import { carAir } from './carAir'
import { lapFacts, type LapCarOf } from './lapFacts'

/** Density of the air of a dyno day, kg/m³; the standard atmosphere's where nobody read it. */
export function densityOf(day: Pick<DynoDay, 'air'> | undefined): number {
  const reading = day ? airAt(day.air, null) : null
  return reading ? airDensity(reading) : STANDARD_DENSITY
}

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

/** What of a car its runs and laps are worked out from. */
export type RunningCarOf = LapCarOf & Pick<Car, 'withDriver' | 'aero'>

/**
 * A car with gears as runs, launches and laps want it, on a curve from a dyno: its own, or one that is tried.
 *
 * @param drive its gears
 * @param points torque at the wheels over engine speed, observed
 * @param day the dyno's kind says what the curve holds already, and its air sets the drag
 * @example runningCar(car, car.gears.value, side.curve, side.day)
 */
export function runningCar(
  car: RunningCarOf,
  drive: Drive,
  points: readonly PullPoint[],
  day: Pick<DynoDay, 'air' | 'kind' | 'gear'>,
): LapCar {
  const { build, withDriver, centre, aero } = car
  const { limiter, shiftSpeed, finalDrive, between } = drive
  const air = carAir(build, aero, drive)
  return {
    ...drive,
    curve: points,
    inertiaPulledIn: inertiaGear(day, drive.ratios),
    finalDrive: finalDrive * between,
    shiftSpeed: Math.min(shiftSpeed ?? limiter, points.at(-1)?.speed ?? limiter),
    mass: withDriver.value,
    driven: build.layout,
    frontShare: 1 - centre.x.value / build.wheelbase,
    wheelbase: build.wheelbase,
    massHeight: centre.z.value,
    airDensity: densityOf(day),
    dragArea: air.dragArea,
    downforceFront: air.front,
    downforceRear: air.rear,
    ...lapFacts(car, drive.grip),
  }
}
