import type { ClaimChecked } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/rowOf'

const MOST = 5000
/** A part lighter than that says more about the scale than about who guessed, kg. */
const LEAST = 0.05

/** A line that was weighed, with what had been said of it. */
type ClaimRow = Pick<ClaimChecked, 'name' | 'system' | 'build'> & {
  readonly id: string
  readonly mass: number
  readonly said: { readonly mass: number } & Pick<ClaimChecked, 'grade' | 'source'>
}

/** What was said of parts before they were weighed, over all builds of a workshop. */
export class ClaimsRecord {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  async list(): Promise<ClaimChecked[]> {
    const rows = await ROW_OF.line
      .query(this.db)
      .join('builds', 'builds.id', 'lines.buildId')
      .where('lines.workshopId', this.workshopId)
      .whereIn('lines.grade', ['measured', 'proven'])
      .whereNotNull('lines.said')
      .orderBy(['builds.name', 'lines.name', 'lines.id'])
      .limit(MOST)
      .select('lines.id', 'lines.name', 'lines.system', 'lines.mass', 'lines.said', 'builds.name as build')
      .castTo<ClaimRow[]>()
    return rows.flatMap(({ id, name, system, mass, said, build }) => {
      if (said.mass < LEAST || mass < LEAST) return []
      const { grade, source } = said
      return [{ build, line: id, name, system, grade, source, said: said.mass, weighed: mass }]
    })
  }
}
