import type { AeroElement } from '@bold-ballast/contract'
import {
  aeroBalance,
  bisect,
  dynamicPressure,
  givesWay,
  groundGap,
  placedAreas,
  plateOf,
  type AxleEnd,
  type GroundGap,
} from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { sheetMaterialOf } from '../car/sheetMaterialOf'
import { stanceAt, type Stance } from '../car/stanceAt'

type Panelled = AeroElement & { panel: NonNullable<AeroElement['panel']> }
type SunkCar = Pick<Car, 'aero' | 'airDensity' | 'attitude' | 'build' | 'sheets' | 'stance'>

/** The least gap of a car at a speed: which panel, what is left under it, and how the car stands there. */
export interface LeastGap extends GroundGap {
  readonly element: Panelled
  /** Of it where the car stands still, m. */
  readonly height: number
  readonly stance: Stance
}

/**
 * The gap under one panel, in a stance.
 *
 * @param pressure ½ρv², Pa
 * @example gapUnder(car, car.aero.elements[0], 1853, stanceAt(car, 1853)).x // -0.75
 */
export function gapUnder(car: SunkCar, element: Panelled, pressure: number, stance: Stance): LeastGap {
  const { panel, span, chord } = element
  const plate = plateOf(sheetMaterialOf(panel, car.sheets), panel.thickness, panel.lay)
  const { total } = aeroBalance(placedAreas([element]), car.build.wheelbase)
  const even = (Math.abs(total) * pressure) / (span * chord)
  const { gives } = givesWay(plate, panel, even)
  const found = groundGap({ ...element, gives }, car.build.wheelbase, stance.attitude)
  return { ...found, element, height: element.z, stance }
}

/**
 * The least gap that a car leaves to the ground at a speed.
 *
 * @param speed m/s
 * @returns `null` for a car whose aero sheet has nothing low
 * @example leastGap(car, 55)?.gap // -0.01278
 */
export function leastGap(car: SunkCar, speed: number): LeastGap | null {
  const low = car.aero.elements.filter((e): e is Panelled => e.panel !== null)
  if (low.length === 0) return null
  const pressure = dynamicPressure(car.airDensity, speed)
  const stance = stanceAt(car, pressure)
  return low
    .map((element) => gapUnder(car, element, pressure, stance))
    .reduce((a, b) => (b.gap < a.gap ? b : a))
}

/** Faster than any of these cars, m/s. */
const FASTEST = 150

/**
 * The speed from which a panel touches the ground, on springs, rubbers and stops as they carry it there.
 *
 * @returns m/s; 0 where it touches standing still in that pitch and roll; `null` where no speed makes it
 * @example touchesFrom(car, car.aero.elements[0]) // 31.03
 */
export function touchesFrom(car: SunkCar, element: Panelled): number | null {
  const gapAt = (speed: number) => {
    const pressure = dynamicPressure(car.airDensity, speed)
    return gapUnder(car, element, pressure, stanceAt(car, pressure)).gap
  }
  if (gapAt(0) <= 0) return 0
  if (gapAt(FASTEST) > 0) return null
  return bisect((speed) => gapAt(speed) > 0, 0, FASTEST, 20).high
}

/** The gap at each of several speeds, m/s. */
export const gapsAlong = (
  car: SunkCar,
  speeds: readonly number[],
): (LeastGap & { readonly speed: number })[] =>
  speeds.flatMap((speed) => {
    const least = leastGap(car, speed)
    return least ? [{ ...least, speed }] : []
  })

/** What would keep a gap: packers, or stiffer springs, of one axle. */
export interface KeptGap {
  readonly end: AxleEnd
  /** Packed at the damper beyond what is there, m; `null` where no rubber is, or packing doesn't help enough. */
  readonly packer: number | null
  /** Spring rate that does it, N/m; `null` where none does. */
  readonly spring: number | null
  /** Of that axle in a slow corner, Hz: now, and with that spring. Packers leave it where the rubber isn't reached. */
  readonly ride: { readonly now: number; readonly withSpring: number | null }
}

/** No spring is taken for stiffer than that many times the one that is fitted. */
const MOST_TIMES = 8

/** A car with one axle packed by more, or on another spring. */
function withAxle(car: SunkCar, end: AxleEnd, change: { packer?: number; spring?: number }): SunkCar {
  const axle = car.stance.standing[end]
  const { rubber } = axle.corner
  const corner = {
    ...axle.corner,
    spring: change.spring ?? axle.corner.spring,
    rubber: rubber && { ...rubber, gap: Math.max(0, rubber.gap - (change.packer ?? 0)) },
  }
  return {
    ...car,
    stance: { ...car.stance, standing: { ...car.stance.standing, [end]: { ...axle, corner } } },
  }
}

/**
 * The packer, or the spring, of an axle that keeps a wanted gap at a speed with the least stiffness, and what it costs in a
 * slow corner.
 *
 * @param wanted m
 * @param speed m/s
 * @example keepGap(car, 'front', 0.02, 60).packer
 */
export function keepGap(car: SunkCar, end: AxleEnd, wanted: number, speed: number): KeptGap {
  const gapOf = (change: { packer?: number; spring?: number }) =>
    leastGap(withAxle(car, end, change), speed)?.gap ?? Infinity
  const now = car.stance[end]
  const ride = { now: now.ride.value, withSpring: null }
  const free = now.corner.rubber?.gap ?? 0
  const packer =
    gapOf({}) >= wanted
      ? 0
      : free > 0 && gapOf({ packer: free }) >= wanted
        ? bisect((packed) => gapOf({ packer: packed }) < wanted, 0, free, 30).high
        : null
  const fitted = now.corner.spring
  const spring =
    gapOf({}) >= wanted
      ? fitted
      : gapOf({ spring: fitted * MOST_TIMES }) >= wanted
        ? bisect((rate) => gapOf({ spring: rate }) < wanted, fitted, fitted * MOST_TIMES, 30).high
        : null
  // At one ratio a ride frequency goes by the square root of the spring.
  const withSpring = spring === null ? null : now.ride.value * Math.sqrt(spring / fitted)
  return { end, packer, spring, ride: { ...ride, withSpring } }
}

/** The lowest of some speeds at which an axle stands on something other than its springs; `null` where it never does. */
export const stopsFrom = (
  gaps: readonly { readonly speed: number; readonly stance: Stance }[],
  end: AxleEnd,
): { readonly speed: number; readonly on: Stance['axles']['front']['carriedBy'] } | null => {
  const first = gaps.find(({ stance }) => stance.axles[end].carriedBy !== 'spring')
  return first ? { speed: first.speed, on: first.stance.axles[end].carriedBy } : null
}
