import {
  orWhy,
  stanceAtSpeed,
  USUAL_COMBINED,
  type Attitude,
  type CarriedBy,
  type CornerTravel,
  type StandingCar,
} from '@bold-ballast/core'
import type { Car } from './Car'

export interface Stance {
  readonly attitude: Attitude
  /** Where the wheel rates come from. */
  readonly rates: 'stated' | 'suspension' | 'springs' | 'assumed'
  /** Where pitch and roll come from: typed, worked out from the springs, or from nowhere. */
  readonly pitchFrom: 'stated' | 'springs' | 'nobody'
  /** How each axle stands there, braking included. */
  readonly axles: { readonly front: CornerTravel; readonly rear: CornerTravel }
}

/** What stops a wheel that goes down, from the softest to the hardest. */
export const STOPS: readonly CarriedBy[] = ['droop', 'spring', 'rubber', 'metal']

/** Springs as typed for the stance alone: no tyre, no rubber, nothing that stops them. */
function onTypedRates(
  car: StandingCar,
  rate: { readonly front: number; readonly rear: number },
): StandingCar {
  const axle = (end: 'front' | 'rear') => ({
    ...car[end],
    tyreRate: null,
    corner: {
      ...car[end].corner,
      spring: rate[end],
      helper: null,
      ratio: { atRest: 1, change: 0 },
      rubber: null,
      droop: null,
      bump: null,
    },
  })
  return { ...car, front: axle('front'), rear: axle('rear') }
}

/**
 * How a car stands at a dynamic pressure: sunk on its springs, rubbers and stops, pitched, rolled, over a kerb.
 *
 * Pitch and roll are what was typed; where nobody typed them, and springs are known, they are what these say at the stated
 * braking and cornering.
 *
 * @param pressure ½ρv², Pa
 * @example stanceAt(car, dynamicPressure(car.airDensity, 50)).attitude.sinkFront // 0.007016
 */
export function stanceAt(
  {
    attitude,
    aero,
    stance,
  }: Pick<Car, 'attitude' | 'stance'> & { readonly aero: Pick<Car['aero'], 'balance'> },
  pressure: number,
): Stance {
  const record = attitude?.value ?? null
  const standing = record?.wheelRate ? onTypedRates(stance.standing, record.wheelRate) : stance.standing
  const isSprung = stance.from !== 'assumed' || Boolean(record?.wheelRate)
  const air = { front: aero.balance.front * pressure, rear: aero.balance.rear * pressure }
  const still = stanceAtSpeed(standing, { ...air, braking: 0, cornering: 0 })
  const isWorkedOut = isSprung && (record === null || record.pitch === null || record.roll === null)
  const braked = record?.pitch === null || record === null
  const moved =
    (isWorkedOut &&
      // A stance that no spring holds, by figures that can't be right, is none.
      orWhy(
        () =>
          stanceAtSpeed(standing, {
            ...air,
            braking: braked ? (record?.braking ?? USUAL_COMBINED) : 0,
            cornering: record?.cornering ?? USUAL_COMBINED,
          }),
        () => null,
      )) ||
    still
  const dives = record?.pitch ?? null
  return {
    attitude: {
      // What was typed as pitch turns the body where the air alone has sunk it.
      sinkFront: dives === null ? moved.sinkFront : still.sinkFront,
      sinkRear: dives === null ? moved.sinkRear : still.sinkRear,
      pitch: dives ?? moved.pitch,
      roll: record?.roll ?? moved.roll,
      bump: record?.bump ?? 0,
    },
    rates: record?.wheelRate ? 'stated' : stance.from,
    pitchFrom: dives !== null ? 'stated' : moved === still ? 'nobody' : 'springs',
    axles: moved.axles,
  }
}
