import type { LogColumns } from '@bold-ballast/contract'
import type { Knex } from 'knex'

/** So many loggers of a workshop are remembered, out of so many logs that were kept last. */
const MOST = 20
const LOOKED_AT = 300

/** How loggers' files were read, over all builds of the workshop: a logger writes alike for every car. */
export class LogColumnsLibrary {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  /** Each kind of file once, as it was read last; the newest first. */
  async known(): Promise<LogColumns[]> {
    const rows = (await this.db('runLogs')
      .select('columns')
      .where('workshopId', this.workshopId)
      .whereNotNull('columns')
      .orderBy('keptAt', 'desc')
      .limit(LOOKED_AT)) as { columns: LogColumns }[]
    const newest = new Map<string, LogColumns>()
    for (const { columns } of rows) {
      const key = JSON.stringify(columns.titles)
      if (!newest.has(key)) newest.set(key, columns)
    }
    return [...newest.values()].slice(0, MOST)
  }
}
