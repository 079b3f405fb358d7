import type { RunLogList } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { RunLogRow } from '../database/models/RunLogRow'
import { ROW_OF } from '../database/rowOf'
import { notFound } from '../http/Refusal'

interface Where {
  readonly buildId: string
  readonly runId: string
}

/** One log a run. A removed run keeps it, so that undo brings both back. */
export class RunLogStore {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  async read({ buildId, runId }: Where): Promise<Buffer | null> {
    const log = await RunLogRow.query(this.db).findOne({ runId, buildId, workshopId: this.workshopId })
    return log?.bytes ?? null
  }

  async list(buildId: string): Promise<RunLogList> {
    const rows = (await this.db('runLogs')
      .where({ buildId, workshopId: this.workshopId })
      .orderBy('runId')
      .select('runId', this.db.raw('length(bytes) as bytes'))) as RunLogList
    return rows
  }

  /** @throws {Refusal} 404 while the run is not there: the log may have been quicker */
  async keep({ buildId, runId }: Where, bytes: Buffer): Promise<void> {
    const { workshopId } = this
    await this.db.transaction(async (trx) => {
      const run = await ROW_OF.run.query(trx).select('id').findOne({ id: runId, buildId, workshopId })
      if (!run) throw notFound('run')
      await RunLogRow.query(trx).insert({ runId, buildId, workshopId, bytes }).onConflict('runId').merge()
    })
  }

  async remove({ buildId, runId }: Where): Promise<void> {
    await RunLogRow.query(this.db).delete().where({ runId, buildId, workshopId: this.workshopId })
  }
}
