import * as z from 'zod'
import { course } from '../records/course'
import * as f from '../records/fields'

/** Every course of the workshop, with the build that it was noted for. */
export const courseList = z.array(z.strictObject({ course: course.record, build: f.name, buildId: f.id }))
export type CourseInLibrary = z.infer<typeof courseList>[number]
