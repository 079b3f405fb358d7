import type { Course } from '@bold-ballast/contract'
import type { Lap } from '@bold-ballast/core'
import { courseDrawn, lapOf, type Car, type CourseDrawn } from '@bold-ballast/model'

export interface FoundLap {
  readonly lap: Lap
  readonly drawn: CourseDrawn
}

/** The lap of a car on a course; in words why there is none where its line or its car makes no sense. */
export function lapOfCar(car: Car, course: Course | null): FoundLap | { readonly problem: string } | null {
  if (!course || !car.geared) return null
  try {
    return { lap: lapOf(car.geared.run, course), drawn: courseDrawn(course) }
  } catch (error) {
    if (error instanceof RangeError) return { problem: error.message }
    throw error
  }
}
