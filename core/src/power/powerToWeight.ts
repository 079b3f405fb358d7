import { ratioKnown, type Known } from '../evidence/known'

/**
 * Power to weight, W/kg (the same figure as kW/t), with both uncertainties carried.
 *
 * @param power W; say whether wheel or crank, this function can't know
 * @param mass kg, in the condition that is stated beside the result
 * @throws {RangeError} when the mass is not positive
 * @example powerToWeight(known(264500, 'proven', 1800), known(1236, 'measured', 5.1)).value // 214.0
 */
export function powerToWeight(power: Known, mass: Known): Known {
  if (!(mass.value > 0)) throw new RangeError('power to weight needs a mass above zero')
  return ratioKnown(power, mass)
}
