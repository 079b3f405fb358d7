import type { Course } from '@bold-ballast/contract'
import { courseDrawn, type CourseDrawn } from '@bold-ballast/model'

/** A course as it is drawn, or in words why it can’t be. */
export function drawnOr(course: Omit<Course, 'version'>): CourseDrawn | string {
  try {
    return courseDrawn(course)
  } catch (error) {
    if (error instanceof RangeError) return error.message
    throw error
  }
}

/** Those of some courses that can be drawn, with how. */
export const drawnOf = (
  courses: readonly Course[],
): { readonly course: Course; readonly drawn: CourseDrawn }[] =>
  courses.flatMap((course) => {
    const drawn = drawnOr(course)
    return typeof drawn === 'string' ? [] : [{ course, drawn }]
  })
