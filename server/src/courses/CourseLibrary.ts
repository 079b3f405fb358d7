import { RECORDS, type CourseInLibrary } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/rowOf'

const MOST = 100
const FIELDS = Object.keys(RECORDS.course.shape)

/** The workshop's courses: those of all its builds, by name. */
export class CourseLibrary {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  async list(): Promise<CourseInLibrary[]> {
    const rows = await ROW_OF.course
      .query(this.db)
      .join('builds', 'builds.id', 'courses.buildId')
      .where('courses.workshopId', this.workshopId)
      .orderBy(['courses.name', 'courses.id'])
      .limit(MOST)
      .select('courses.*', 'builds.name as build')
      .castTo<Record<string, unknown>[]>()
    return rows.map((fields) => {
      const course = Object.fromEntries(FIELDS.map((field) => [field, fields[field]]))
      return { course, build: fields['build'], buildId: fields['buildId'] } as CourseInLibrary
    })
  }
}
