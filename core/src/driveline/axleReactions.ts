import { STANDARD_GRAVITY } from '../units/constants'
import { axleGrip, type DrivenAxle } from './axleGrip'
import type { AxleEnd } from './weakLinks'

/**
 * The force that the tyres of each driven axle can react at a road speed, N, with the car pulling as hard as it can.
 *
 * @param axle as {@link axleGrip} wants it; for all-wheel drive its share is the rear's, and downforce presses in
 *   proportion to the standing weight
 * @source as {@link axleGrip}; with all wheels driven a = μg moves μ·m·g·h/L from front to rear
 * @example axleReactions(axle, 20).rear
 */
export function axleReactions(axle: DrivenAxle, speed: number): Partial<Record<AxleEnd, number>> {
  const { mass, share, lever, driven, grip, downforceArea, airDensity } = axle
  if (driven !== 'all') return { [driven]: axleGrip(axle, speed) }
  const weight = mass * STANDARD_GRAVITY
  const pressed = 0.5 * airDensity * downforceArea * speed ** 2
  const moved = Math.min(weight * (1 - share), grip * weight * lever)
  return {
    front: grip * (weight * (1 - share) - moved + pressed * (1 - share)),
    rear: grip * (weight * share + moved + pressed * share),
  }
}
