import { springsInSeries } from '../stance/springsInSeries'
import { invertMatrix, timesColumn } from '../numeric/invertMatrix'
import { CORNERS, type Corner } from './fourPadWeighIn'

/** Four figures, one a corner. */
export type PerCorner = Readonly<Record<Corner, number>>

/** Where the wheels stand round the centre of mass, and how stiff each corner is at the wheel. */
export interface CornerSprings {
  /** Wheel rate of each corner, tyre in series, N/m. */
  readonly rates: PerCorner
  /** Half the track, m. */
  readonly halfTrackFront: number
  readonly halfTrackRear: number
  /** Distance of each axle from the centre of mass, m. */
  readonly toFront: number
  readonly toRear: number
}

/**
 * Wheel rate of a corner with its tyre in series: k = k_w·k_t/(k_w + k_t).
 *
 * @param springRate N/m
 * @param motionRatio spring travel over wheel travel
 * @param tyreRate N/m; `null` leaves the tyre out
 * @source Milliken & Milliken, Race Car Vehicle Dynamics, chapter 18, Wheel Loads
 * @example wheelRate(253_900, 0.7, null) // 124 411
 */
export function wheelRate(springRate: number, motionRatio: number, tyreRate: number | null): number {
  const atWheel = springRate * motionRatio ** 2
  return tyreRate === null ? atWheel : springsInSeries(atWheel, tyreRate)
}

/** Lever arms of each corner: left and forward of the centre of mass, m. */
const arms = (car: CornerSprings): Record<Corner, readonly [left: number, forward: number]> => ({
  frontLeft: [car.halfTrackFront, car.toFront],
  frontRight: [-car.halfTrackFront, car.toFront],
  rearLeft: [car.halfTrackRear, -car.toRear],
  rearRight: [-car.halfTrackRear, -car.toRear],
})

export interface Settled {
  /** Change of each corner's load, N. They add up to nothing, and so do their moments. */
  readonly loads: PerCorner
  /** How the body moves: up, and its lean, m and rad. */
  readonly heave: number
  readonly roll: number
  readonly pitch: number
}

/**
 * How the corner loads change when wheels are raised by δ, at the perches or by an uneven floor.
 *
 * The body is rigid and stands on four springs with three free motions; it moves until the loads balance:
 * ΔF = K(δ − B·h), with h from BᵀΔF = 0.
 *
 * @param raised δ at each wheel, m, up positive
 * @source statics; check values computed independently of this project
 * @example settle(car, { frontLeft: 0.001, frontRight: 0, rearLeft: 0, rearRight: 0 }).loads.frontLeft / 9.80665 // 0.943
 */
export function settle(car: CornerSprings, raised: PerCorner): Settled {
  const push = (i: number) =>
    CORNERS.reduce((sum, c) => sum + rowOf(car, c)[i]! * car.rates[c] * raised[c], 0)
  const { motion, arms: at } = solveBody(car, [push(0), push(1), push(2)])
  const [heave, roll, pitch] = motion
  const load = (c: Corner) => car.rates[c] * (raised[c] - (heave + roll * at[c][0] + pitch * at[c][1]))
  return { loads: perCorner(load), heave, roll, pitch }
}

const rowOf = (car: CornerSprings, c: Corner) => [1, ...arms(car)[c]]

/** How the body moves on its springs under a force and two moments: up, left side up, nose up. */
export function solveBody(
  car: CornerSprings,
  push: readonly [number, number, number],
): { motion: readonly [number, number, number]; arms: ReturnType<typeof arms> } {
  const stiffness = [0, 1, 2].map((i) =>
    [0, 1, 2].map((j) =>
      CORNERS.reduce((sum, c) => sum + rowOf(car, c)[i]! * car.rates[c] * rowOf(car, c)[j]!, 0),
    ),
  )
  const inverse = invertMatrix(stiffness)
  if (!inverse) throw new RangeError('the corners don’t hold the car up: check rates and tracks')
  const motion = timesColumn(inverse, push) as [number, number, number]
  return { motion, arms: arms(car) }
}

/** One of each corner, as `of` makes it. */
export const perCorner = <T>(of: (corner: Corner) => T): Record<Corner, T> => ({
  frontLeft: of('frontLeft'),
  frontRight: of('frontRight'),
  rearLeft: of('rearLeft'),
  rearRight: of('rearRight'),
})

/**
 * The one pattern in which loads can change without moving the centre of mass: the diagonals trade. Its front
 * wheels carry ±1; the rear ones as much as keeps the moment about the length axis.
 */
export function warpPattern(car: CornerSprings): PerCorner {
  const rear = car.halfTrackFront / car.halfTrackRear
  return { frontLeft: 1, frontRight: -1, rearLeft: -rear, rearRight: rear }
}
