import type { PhotoList } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/rowOf'
import { PhotoRow } from '../database/models/PhotoRow'
import { notFound } from '../http/Refusal'

interface Where {
  readonly buildId: string
  readonly lineId: string
}

/** One photograph a line. A removed line keeps it, so that undo brings both back. */
export class PhotoStore {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  async read({ buildId, lineId }: Where): Promise<PhotoRow | null> {
    const photo = await PhotoRow.query(this.db).findOne({ lineId, buildId, workshopId: this.workshopId })
    return photo ?? null
  }

  async list(buildId: string): Promise<PhotoList> {
    const rows = (await this.db('photos')
      .where({ buildId, workshopId: this.workshopId })
      .orderBy('lineId')
      .select('lineId', this.db.raw(`encode(sha256(bytes), 'hex') as sha256`))) as PhotoList
    return rows
  }

  /** @throws {Refusal} 404 while the line is not there: the photograph may have been quicker */
  async keep({ buildId, lineId }: Where, type: string, bytes: Buffer): Promise<void> {
    const { workshopId } = this
    await this.db.transaction(async (trx) => {
      const line = await ROW_OF.line.query(trx).select('id').findOne({ id: lineId, buildId, workshopId })
      if (!line) throw notFound('line')
      await PhotoRow.query(trx)
        .insert({ lineId, buildId, workshopId, type, bytes })
        .onConflict('lineId')
        .merge()
    })
  }

  async remove({ buildId, lineId }: Where): Promise<void> {
    await PhotoRow.query(this.db).delete().where({ lineId, buildId, workshopId: this.workshopId })
  }
}
