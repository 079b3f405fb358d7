import type { Course } from '@bold-ballast/contract'
import { orWhy } from '@bold-ballast/core'
import { courseDrawn, type CourseDrawn } from '@bold-ballast/model'

/** A course as it is drawn, or in words why it can’t be. */
export const drawnOr = (course: Omit<Course, 'version'>): CourseDrawn | string =>
  orWhy(
    () => courseDrawn(course),
    (why) => why,
  )

/** Those of some courses that can be drawn, with how. */
export const drawnOf = (
  courses: readonly Course[],
): { readonly course: Course; readonly drawn: CourseDrawn }[] =>
  courses.flatMap((course) => {
    const drawn = drawnOr(course)
    return typeof drawn === 'string' ? [] : [{ course, drawn }]
  })
