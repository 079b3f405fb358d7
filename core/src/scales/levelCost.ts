import { STANDARD_GRAVITY } from '../units/constants'
import { settle, type CornerSprings } from './cornerSprings'

/**
 * What a floor out of level can be worth, in kg of cross weight: a pad that stands δ too high loads its corner
 * as a perch raised by δ would.
 *
 * @param car the corner springs
 * @param level how far one pad may stand off the others' plane, m
 * @returns kg by which the front-right and rear-left together may be wrong
 * @source statics: a pad out of level by δ changes the corners like a perch change of δ
 * @example levelCost(car, 0.001) // 1.88 kg for wheel rates of 35 to 40 N/mm
 */
export function levelCost(car: CornerSprings, level: number): number {
  const { loads } = settle(car, { frontLeft: level, frontRight: 0, rearLeft: 0, rearRight: 0 })
  return Math.abs(loads.frontRight + loads.rearLeft) / STANDARD_GRAVITY
}
