import type { Course } from '@bold-ballast/contract'
import { axleCarOf, lapSeconds, lapTime, type Lap, type LapCar } from '@bold-ballast/core'
import { COARSE_STEP, courseDrawn } from './courseDrawn'

interface Laps {
  /** Of the fine one, s. */
  time?: number
  fine?: Lap
  coarse?: Lap
}
/** Marks, days and doubts ask for the same lap of the same car; it is driven once. */
const kept = new WeakMap<LapCar, WeakMap<object, Laps>>()

function lapsOf(run: LapCar, course: object): Laps {
  const ofCar = kept.get(run) ?? new WeakMap<object, Laps>()
  kept.set(run, ofCar)
  const laps = ofCar.get(course) ?? {}
  ofCar.set(course, laps)
  return laps
}

/**
 * The lap of a car on a course.
 *
 * @param run the car as runs and laps want it; never changed afterwards, nor is the course
 * @param coarse for laps that are only compared with each other: a fifth of the work
 * @returns the same for the same question
 * @throws {RangeError} for a line or a car that is none
 * @example lapOf(car.geared.run, course).time // 37.24
 */
export const lapOf = (run: LapCar, course: Omit<Course, 'version'>, coarse = false): Lap => {
  const laps = lapsOf(run, course)
  const drawn = courseDrawn(course)
  return coarse
    ? (laps.coarse ??= lapTime(axleCarOf(run), drawn.coarse, { step: COARSE_STEP }))
    : (laps.fine ??= lapTime(axleCarOf(run), drawn.lap))
}

/**
 * The time of that lap alone, s, at two thirds of the work: of cars that nobody looks at the lap of.
 *
 * @throws {RangeError} as `lapOf`
 * @example lapTimeOf(car.geared.run, course) // 37.24
 */
export const lapTimeOf = (run: LapCar, course: Omit<Course, 'version'>): number => {
  const laps = lapsOf(run, course)
  return laps.fine?.time ?? (laps.time ??= lapSeconds(axleCarOf(run), courseDrawn(course).lap))
}
