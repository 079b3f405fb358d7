import type { Course } from '@bold-ballast/contract'
import { axleCarOf, lapSpread, type Doubts } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { byWhatIsKnown, knownFigures } from '../car/runDoubt'
import { COARSE_STEP, courseDrawn } from './courseDrawn'
import { lapDoubts } from './lapDoubts'

const kept = new WeakMap<Car, WeakMap<object, Doubts>>()

/**
 * How far off a worked-out lap may be by what the car's figures are known to, s, by name. How near
 * laps of this kind come to driven ones is not in it.
 *
 * @returns the same for the same question
 * @throws {RangeError} for a line or a car that is none
 * @example sigmaOf(lapDoubt(car, course)) // 0.878
 */
export function lapDoubt(car: Car, course: Omit<Course, 'version'>): Doubts {
  if (!car.geared) throw new RangeError('A lap is of a car with gears and a curve.')
  const ofCar = kept.get(car) ?? new WeakMap<object, Doubts>()
  kept.set(car, ofCar)
  const before = ofCar.get(course)
  if (before !== undefined) return before
  const { coarse } = courseDrawn(course)
  const byFigure = lapSpread(axleCarOf(car.geared.run), coarse, lapDoubts(car), { step: COARSE_STEP })
  const { summary, lapBasis } = car
  // A power that was fitted to driven laps is known by them, and by no dyno.
  const { power, mass, drag } = knownFigures(car.geared.air, summary)
  const isFitted = Boolean(lapBasis?.value.powerFactor)
  const doubt = byWhatIsKnown(byFigure, {
    mass,
    drag,
    ...(power && !isFitted && { power }),
  })
  ofCar.set(course, doubt)
  return doubt
}
