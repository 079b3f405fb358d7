import { STANDARD_GRAVITY } from '../units/constants'
import { cornerTravel, type CornerSuspension, type CornerTravel } from './cornerTravel'
import type { Attitude } from './groundGap'
import { rollBalance, type RollAxle, type RollCar } from './rollBalance'

/** One axle on its springs: what rolls, and what carries each of its two wheels. */
export interface StandingAxle {
  readonly corner: CornerSuspension
  /** Of one tyre, N/m; `null` leaves it out. */
  readonly tyreRate: number | null
  /** For its roll; its wheel rate is taken where it has sunk to. */
  readonly roll: RollAxle
}
export interface StandingCar extends Pick<RollCar, 'mass' | 'wheelbase' | 'centre'> {
  readonly front: StandingAxle
  readonly rear: StandingAxle
}

/** What pushes and turns a car at a speed: downforce of each axle, N, and accelerations, m/s². */
export interface Pushed {
  readonly front: number
  readonly rear: number
  readonly braking: number
  readonly cornering: number
}

export interface SunkCar extends Omit<Attitude, 'bump'> {
  /** Each axle as it stands there, braking included. */
  readonly axles: { readonly front: CornerTravel; readonly rear: CornerTravel }
}

/** How far an axle's body goes down under a load on both its wheels: suspension and tyre one after the other. */
function sinkOf({ corner, tyreRate }: StandingAxle, load: number) {
  const at = cornerTravel(corner, load / 2)
  return { at, sink: at.travel + (tyreRate === null ? 0 : load / 2 / tyreRate) }
}

/** Braking and cornering at once where nobody said how hard, m/s²: seven tenths each of a tyre that does 1 g (common practice). */
export const USUAL_COMBINED = 0.7 * STANDARD_GRAVITY

/** No axle rolls as if its rubbers were a rock. */
const STIFFEST = 2e6

/**
 * How a car stands at a speed: sunk under the air, nose down under braking, to the side in a corner, each on the springs,
 * rubbers and stops that carry it there.
 *
 * Anti-dive is left out, so it is the most that it dives. In roll each axle is as stiff as where it has sunk to.
 *
 * @throws {RangeError} as {@link cornerTravel} and {@link rollBalance} do
 * @source equilibrium of forces and moments
 * @example stanceAtSpeed(car, { front: 1500, rear: 2500, braking: 9.81, cornering: 9.81 }).sinkFront
 */
export function stanceAtSpeed(car: StandingCar, { front, rear, braking, cornering }: Pushed): SunkCar {
  const { mass, wheelbase, centre } = car
  const moved = (mass * braking * centre.z) / wheelbase
  const byAir = { front: sinkOf(car.front, front).sink, rear: sinkOf(car.rear, rear).sink }
  const inAll = { front: sinkOf(car.front, front + moved), rear: sinkOf(car.rear, rear - moved) }
  const dives = inAll.front.sink - byAir.front
  const lifts = inAll.rear.sink - byAir.rear
  // What both go down by is sink; the rest turns the car about the middle of its wheelbase.
  const both = (dives + lifts) / 2
  const rolling = (axle: StandingAxle, at: CornerTravel): RollAxle => ({
    ...axle.roll,
    wheelRate: Math.min(STIFFEST, Math.max(1, at.rate)),
  })
  const roll =
    cornering === 0
      ? 0
      : rollBalance(
          {
            mass,
            wheelbase,
            centre,
            front: rolling(car.front, inAll.front.at),
            rear: rolling(car.rear, inAll.rear.at),
          },
          cornering,
        ).angle
  return {
    sinkFront: byAir.front + both,
    sinkRear: byAir.rear + both,
    pitch: (dives - lifts) / wheelbase,
    roll,
    axles: { front: inAll.front.at, rear: inAll.rear.at },
  }
}

/** What one wheel of an axle carries of the body where the car stands, N. */
export const standingLoad = (mass: number, share: number, unsprung: number): number =>
  ((mass * share - unsprung) * STANDARD_GRAVITY) / 2
