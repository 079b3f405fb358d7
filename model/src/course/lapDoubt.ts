import type { Course } from '@bold-ballast/contract'
import { axleCarOf, lapSpread } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { COARSE_STEP, courseDrawn } from './courseDrawn'
import { lapDoubts } from './lapDoubts'

const kept = new WeakMap<Car, WeakMap<object, number>>()

/**
 * How far off a worked-out lap may be by what the car's figures are known to, s, as one standard uncertainty. How near
 * laps of this kind come to driven ones is not in it.
 *
 * @returns the same for the same question
 * @throws {RangeError} for a line or a car that is none
 * @example lapDoubt(car, course) // 0.878
 */
export function lapDoubt(car: Car, course: Omit<Course, 'version'>): number {
  if (!car.geared) throw new RangeError('A lap is of a car with gears and a curve.')
  const ofCar = kept.get(car) ?? new WeakMap<object, number>()
  kept.set(car, ofCar)
  const before = ofCar.get(course)
  if (before !== undefined) return before
  const { coarse } = courseDrawn(course)
  const doubt = lapSpread(axleCarOf(car.geared.run), coarse, lapDoubts(car), { step: COARSE_STEP })
  ofCar.set(course, doubt)
  return doubt
}
