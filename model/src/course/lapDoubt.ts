import type { Course } from '@bold-ballast/contract'
import { axleCarOf, lapSpread } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { COARSE_STEP, courseDrawn } from './courseDrawn'
import { lapDoubts } from './lapDoubts'

/**
 * How far off a worked-out lap may be by what the car's figures are known to, s, as one standard uncertainty. How near
 * laps of this kind come to driven ones is not in it.
 *
 * @throws {RangeError} for a line or a car that is none
 * @example lapDoubt(car, course) // 0.859
 */
export function lapDoubt(car: Car, course: Omit<Course, 'version'>): number {
  if (!car.geared) throw new RangeError('A lap is of a car with gears and a curve.')
  const { coarse } = courseDrawn(course)
  return lapSpread(axleCarOf(car.geared.run), coarse, lapDoubts(car), { step: COARSE_STEP })
}
