import type { Mark } from '@bold-ballast/contract'
import {
  judgeFigures,
  MEASURE_KINDS,
  orWhy,
  PLACE_MEASURES,
  type MarkFigures,
  type MarkReading,
  WINDOW_MEASURES,
} from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { cannotTell } from '../measures/computedFigures'
import type { Asked } from '../measures/MeasureOfCar'
import { MEASURES_OF_CAR } from '../measures/measuresOfCar'

/** What can't be worked out says so as that figure, and takes no other down with it. */
function workOut(car: Car, asked: Asked): MarkFigures {
  const { workOut: work, needsMass } = MEASURES_OF_CAR[asked.measure]
  const { value } = car.summary.mass
  if (needsMass && value <= 0) return cannotTell({ why: 'weighsNothing', mass: value })
  return orWhy(
    () => work(car, asked),
    () => cannotTell({ why: 'leadsNowhere' }),
  )
}

/** Marks that differ in what their measure doesn't depend on ask the same. */
function keyOf({ measure, conditionId, gear, speed, place, part, comparator, value }: Asked): string {
  const on = { condition: conditionId, gear, speed, part }
  const { need } = MEASURE_KINDS[measure]
  const where = PLACE_MEASURES.has(measure) ? place : ''
  const window = WINDOW_MEASURES.has(measure) ? `${comparator} ${value}` : ''
  return JSON.stringify([measure, need && on[need], where, window])
}

/** Once for each car, however many ask the same. */
const kept = new WeakMap<Car, Map<string, MarkFigures>>()

/**
 * What a car shows of a measure, worked out when it is asked for and kept with the car.
 *
 * @example markFigures(carAt(document, stageId), asked).value
 */
export function markFigures(car: Car, asked: Asked): MarkFigures {
  const figures = kept.get(car) ?? new Map<string, MarkFigures>()
  kept.set(car, figures)
  const key = keyOf(asked)
  const before = figures.get(key)
  if (before) return before
  const found = workOut(car, asked)
  figures.set(key, found)
  return found
}

/** A mark judged on the car of its stage. */
export const readMark = (car: Car, mark: Mark): MarkReading => judgeFigures(markFigures(car, mark), mark)
