import { CORNERS } from './fourPadWeighIn'
import { perCorner, solveBody, type CornerSprings, type PerCorner } from './cornerSprings'

/**
 * Shares of a small mass that each tyre carries when it is put somewhere on the car: the body sinks and leans on
 * its four springs until they carry it.
 *
 * @param car the corner springs; distances from the centre of mass
 * @param at where it is put: left of and forward of the centre of mass, m
 * @returns shares that add up to 1; one is negative for a mass outside the wheels' outline
 * @source statics of a rigid body on four springs
 * @example carriedBy(car, { left: 0, forward: 0 }).frontLeft // 0.26
 */
export function carriedBy(car: CornerSprings, at: { left: number; forward: number }): PerCorner {
  const { motion, arms } = solveBody(car, [1, at.left, at.forward])
  const [heave, roll, pitch] = motion
  const share = perCorner((c) => car.rates[c] * (heave + roll * arms[c][0] + pitch * arms[c][1]))
  const sum = CORNERS.reduce((total, c) => total + share[c], 0)
  return perCorner((c) => share[c] / sum)
}
