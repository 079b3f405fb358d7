import {
  orWhy,
  rollBalance,
  STANDARD_GRAVITY,
  STATED_LOAD,
  type Differential,
  type LapCar,
} from '@bold-ballast/core'
import type { Car } from './Car'

/** What a lap of a car has to take for granted, because nobody said it. */
export type LapAssumes = 'sensitivity' | 'springs' | 'brakes' | 'differential' | 'driver'

type AxleFacts = Pick<
  LapCar,
  | 'trackFront'
  | 'trackRear'
  | 'transferShare'
  | 'frontOverRear'
  | 'driveFront'
  | 'differential'
  | 'brakeFront'
  | 'brakeUsed'
  | 'tyreSensitivity'
  | 'tyreLoad'
  | 'fittedGrip'
  | 'fittedPower'
>
/** What of a car a lap is worked out from, beside gears, curve, mass and air. */
export type LapCarOf = Pick<Car, 'build' | 'centre' | 'stance' | 'braking' | 'setup' | 'lapBasis'>

/** What a racing tyre loses where its load doubles, while nobody says another (common practice, 5 to 15 %). */
export const USUAL_SENSITIVITY = 0.1
/** How far off that may be. */
export const SENSITIVITY_DOUBT = 0.04

/** What of a car’s lap is taken for granted. */
export function lapAssumes({ lapBasis, stance, braking }: LapCarOf): LapAssumes[] {
  const said = lapBasis?.value
  return [
    ...(said ? [] : (['sensitivity', 'differential', 'driver'] as const)),
    ...(stance.from === 'suspension' ? [] : (['springs'] as const)),
    ...(braking || typeof said?.brakeFront === 'number' ? [] : (['brakes'] as const)),
  ]
}

/**
 * What a lap asks of a car’s axles: from its springs, brakes, set-up sheet and lap basis, or the usual where nobody said.
 *
 * @param grip of the driven tyres
 * @example lapFacts(car, 1.35).transferShare // 0.494
 */
export function lapFacts(car: LapCarOf, grip: number): AxleFacts {
  const { build, stance, braking, setup, lapBasis } = car
  const said = lapBasis?.value
  const frontShare = 1 - car.centre.x.value / build.wheelbase
  const { front, rear } = setup?.value.tyres ?? {}
  // Where nobody typed brakes they are shared so that both axles would lock at once, on the tyres’ grip.
  const ideal = frontShare + (grip * car.centre.z.value) / build.wheelbase
  return {
    trackFront: build.trackFront,
    trackRear: build.trackRear,
    transferShare: shareOf(stance, frontShare),
    frontOverRear: front?.grip && rear?.grip ? front.grip / rear.grip : 1,
    driveFront: build.layout === 'all' ? (said?.driveFront ?? null) : null,
    differential: differentialOf(said),
    brakeFront: Math.min(0.95, Math.max(0.05, said?.brakeFront ?? braking?.share ?? ideal)),
    brakeUsed: said?.brakingUsed ?? 1,
    tyreSensitivity: said?.sensitivity ?? USUAL_SENSITIVITY,
    tyreLoad: said?.tyreLoad ?? STATED_LOAD,
    fittedGrip: said?.gripFactor?.value ?? 1,
    fittedPower: said?.powerFactor?.value ?? 1,
  }
}

function differentialOf(
  said: { differential: Differential['kind']; lock: number | null } | undefined,
): Differential {
  if (!said || said.differential === 'locked') return { kind: 'locked' }
  return said.differential === 'open' ? { kind: 'open' } : { kind: 'limited', lock: said.lock ?? 0 }
}

/** Front share of the transfer at 1 g; that of the mass where no spring holds the body. */
function shareOf({ rollCar }: Car['stance'], frontShare: number): number {
  const share = orWhy(
    () => {
      const { transfer } = rollBalance(rollCar, STANDARD_GRAVITY)
      // Of the moment, not of the loads: tracks differ.
      const [front, rear] = [transfer.front * rollCar.front.track, transfer.rear * rollCar.rear.track]
      return front / (front + rear)
    },
    () => frontShare,
  )
  return Math.min(1, Math.max(0, share))
}
