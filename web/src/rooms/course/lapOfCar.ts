import type { Course } from '@bold-ballast/contract'
import { axleCarOf, lapTime, type Lap } from '@bold-ballast/core'
import { courseDrawn, lapOf, type Car, type CourseDrawn } from '@bold-ballast/model'

export interface FoundLap {
  readonly lap: Lap
  readonly drawn: CourseDrawn
}

/** The lap of a car on a course, from standing where that is wanted; in words why there is none where its line or its car makes no sense. */
export function lapOfCar(
  car: Car,
  course: Course | null,
  isStanding = false,
): FoundLap | { readonly problem: string } | null {
  if (!course || !car.geared) return null
  try {
    const drawn = courseDrawn(course)
    return {
      drawn,
      lap: isStanding
        ? lapTime(axleCarOf(car.geared.run), { ...drawn.lap, closed: false })
        : lapOf(car.geared.run, course),
    }
  } catch (error) {
    if (error instanceof RangeError) return { problem: error.message }
    throw error
  }
}
