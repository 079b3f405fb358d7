import { wheelRate, type CornerSprings } from './cornerSprings'

/** What a build says of the springs of one axle. */
export interface AxleSprings {
  /** N/m */
  readonly springRate: number
  /** Spring travel over wheel travel. */
  readonly motionRatio: number
  /** N/m; `null` leaves the tyre out. */
  readonly tyreRate: number | null
  /** m a turn */
  readonly threadPitch: number
}
export interface SprungCar {
  readonly wheelbase: number
  readonly trackFront: number
  readonly trackRear: number
  readonly springs: { readonly front: AxleSprings; readonly rear: AxleSprings } | null
}

/** Bounce of a car set up for the track, Hz, where nobody has typed spring rates. */
const USUAL_BOUNCE = 2

/**
 * The corner springs of a car standing with its centre of mass somewhere.
 *
 * Where no rates are stated, each corner gets the rate at which its load would bounce at 2 Hz; the caller says so.
 *
 * @param centreX metres behind the front axle line
 * @param mass kg
 * @source common practice: 1.8 to 2.5 Hz for a track car without aero
 * @example springsOf(build, 1.15, 880).rates.frontLeft // 36 189, assumed as nobody typed any
 */
export function springsOf(car: SprungCar, centreX: number, mass: number): CornerSprings {
  const assumed = (share: number) => ((mass * share) / 2) * (2 * Math.PI * USUAL_BOUNCE) ** 2
  const frontShare = 1 - centreX / car.wheelbase
  const rate = (axle: AxleSprings | undefined, share: number) =>
    axle ? wheelRate(axle.springRate, axle.motionRatio, axle.tyreRate) : assumed(share)
  const front = rate(car.springs?.front, frontShare)
  const rear = rate(car.springs?.rear, 1 - frontShare)
  return {
    rates: { frontLeft: front, frontRight: front, rearLeft: rear, rearRight: rear },
    halfTrackFront: car.trackFront / 2,
    halfTrackRear: car.trackRear / 2,
    toFront: centreX,
    toRear: car.wheelbase - centreX,
  }
}
