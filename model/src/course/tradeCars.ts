import {
  itemAt,
  aeroBalance,
  atAngle,
  placedAreas,
  withMassAt,
  withPower,
  type AxleCar,
} from '@bold-ballast/core'
import type { AeroElement } from '@bold-ballast/contract'
import { carAir } from '../car/carAir'
import type { Car } from '../car/Car'

/** Cars that differ in one thing only, each with how much of it. */
export interface TradeLine {
  readonly values: readonly number[]
  readonly cars: readonly AxleCar[]
}

const range = (from: number, to: number, count: number) =>
  Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1))

/** How far each is turned, and in how many steps: odd, so that the car as it is stands among them. */
const STEPS = 13
/** What steps with every shift more or less is shown finer: a curve, and not one difference. */
const FINE_STEPS = 41
const FINAL = 0.24
const SHARE = 0.3
/** s */
const LONG_SHIFT = 0.5
const POWER = 60_000
const MASS = 150

/** Wings that can be turned, and the car at each of their angles, rad. */
export function wingLines(
  car: Car,
  axles: AxleCar,
): (TradeLine & { readonly element: AeroElement; readonly now: number })[] {
  if (!car.geared) return []
  return car.aero.elements.flatMap((element) => {
    if (!element.wing) return []
    const now = element.wing.angle
    const values = range(Math.min(0, now), Math.max((16 * Math.PI) / 180, now), STEPS)
    return [{ element, now, values, cars: values.map((angle) => withWing(car, axles, element, angle)) }]
  })
}

/**
 * The car with a wing at another angle: what it presses, where, and what it drags.
 *
 * @throws {RangeError} for a car without gears
 */
export function withWing(car: Car, axles: AxleCar, element: AeroElement, angle: number): AxleCar {
  const elements = car.aero.elements.map((e) =>
    e.id === element.id ? (atAngle(e, angle) as AeroElement) : e,
  )
  const balance = aeroBalance(placedAreas(elements), car.build.wheelbase)
  if (!car.geared) throw new RangeError('A lap is of a car with gears and a curve.')
  const air = carAir(car.build, { ...car.aero, elements, balance }, car.geared.drive)
  return { ...axles, downforce: { front: air.front, rear: air.rear }, dragArea: air.dragArea }
}

/** Final drives from a quarter longer to a quarter shorter. */
export function finalDriveLine(axles: AxleCar, steps = FINE_STEPS): TradeLine | null {
  const { drive } = axles
  if (drive.kind === 'power') return null
  const values = range(1 - FINAL, 1 + FINAL, steps).map((times) => drive.finalDrive * times)
  return { values, cars: values.map((finalDrive) => ({ ...axles, drive: { ...drive, finalDrive } })) }
}

/** Times of a shift from hardly any to half a second, or twice what it takes. */
export function shiftTimeLine(axles: AxleCar): TradeLine | null {
  const { drive } = axles
  if (drive.kind === 'power') return null
  const values = range(0.02, Math.max(LONG_SHIFT, 2 * drive.shiftTime), FINE_STEPS)
  return { values, cars: values.map((shiftTime) => ({ ...axles, drive: { ...drive, shiftTime } })) }
}

/** All of its downforce, shared otherwise: front shares around the one it has. */
export function downforceShareLine(axles: AxleCar): TradeLine | null {
  const total = axles.downforce.front + axles.downforce.rear
  if (!(total > 0)) return null
  const now = axles.downforce.front / total
  const values = range(Math.max(0, now - SHARE), Math.min(1, now + SHARE), STEPS)
  return {
    values,
    cars: values.map((share) => ({
      ...axles,
      downforce: { front: share * total, rear: (1 - share) * total },
    })),
  }
}

/** More power, W, and less mass, kg, from nothing up. */
export function powerLine(axles: AxleCar): TradeLine {
  const values = range(0, POWER, STEPS)
  return { values, cars: values.map((watts) => withPower(axles, watts, 'peak')) }
}
export function massLine(axles: AxleCar): TradeLine {
  const values = range(0, Math.min(MASS, axles.mass * 0.2), STEPS)
  return { values, cars: values.map((kilos) => withMassAt(axles, -kilos, axles.centre)) }
}

/**
 * How many kilos are worth what some power is, by the laps of both.
 *
 * @param powerLaps and massLaps: laps along both lines, s
 * @returns kg for each power; `null` where the lightest car tried doesn't get there
 * @source both laps read off straight lines between the tried ones
 * @example kilosFor([100, 99], { values: [0, 50], laps: [100, 98] }) // [0, 25]
 */
export function kilosFor(
  powerLaps: readonly number[],
  { values, laps }: { readonly values: readonly number[]; readonly laps: readonly number[] },
): (number | null)[] {
  return powerLaps.map((lap) => {
    const after = laps.findIndex((l) => l <= lap)
    if (after < 0) return null
    if (after === 0) return itemAt(values, 0)
    const [a, b] = [itemAt(laps, after - 1), itemAt(laps, after)]
    return (
      itemAt(values, after - 1) + ((a - lap) / (a - b)) * (itemAt(values, after) - itemAt(values, after - 1))
    )
  })
}
