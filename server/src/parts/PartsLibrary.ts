import type { WeighedPart } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/rowOf'

/** Parts of one answer; the newest of a long list are what anybody looks for. */
const MOST = 200

/** Everything that the workshop has weighed, whichever build it was for. */
export class PartsLibrary {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  /** @param words all of them stand in the part's name, in any order; none lists the newest */
  async find(words: readonly string[]): Promise<WeighedPart[]> {
    const query = ROW_OF.line
      .query(this.db)
      .alias('line')
      .join('swaps as swap', 'swap.id', 'line.swapId')
      .join('stages as stage', 'stage.id', 'swap.stageId')
      .join('builds as build', 'build.id', 'line.buildId')
      .where('line.workshopId', this.workshopId)
      .whereIn('line.grade', ['measured', 'proven'])
      .where('line.role', 'part')
      .where('line.mass', '>', 0)
      .select(
        { lineId: 'line.id', build: 'build.name', stage: 'stage.name' },
        ...['name', 'system', 'mass', 'sigma', 'grade'].map((column) => `line.${column}`),
        this.db.raw(`to_char(line.updated_at, 'YYYY-MM-DD') as "on"`),
      )
      .orderBy([{ column: 'line.updatedAt', order: 'desc' }, 'line.id'])
      .limit(MOST)
    for (const word of words)
      void query.whereRaw(`lower(line.name) like ?`, [`%${word.toLowerCase().replace(/[\\%_]/g, '\\$&')}%`])
    return await query.toKnexQuery<WeighedPart>()
  }
}
