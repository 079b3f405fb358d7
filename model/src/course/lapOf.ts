import type { Course } from '@bold-ballast/contract'
import { axleCarOf, lapTime, type Lap, type LapCar } from '@bold-ballast/core'
import { COARSE_STEP, courseDrawn } from './courseDrawn'

/**
 * The lap of a car on a course.
 *
 * @param run the car as runs and laps want it
 * @param coarse for laps that are only compared with each other: a fifth of the work
 * @throws {RangeError} for a line or a car that is none
 * @example lapOf(car.geared.run, course).time // 37.24
 */
export const lapOf = (run: LapCar, course: Omit<Course, 'version'>, coarse = false): Lap => {
  const drawn = courseDrawn(course)
  return coarse
    ? lapTime(axleCarOf(run), drawn.coarse, { step: COARSE_STEP })
    : lapTime(axleCarOf(run), drawn.lap)
}
