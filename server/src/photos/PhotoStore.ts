import type { PhotoList } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/rowOf'
import { PhotoRow } from '../database/models/PhotoRow'
import { notFound } from '../http/Refusal'

interface Where {
  readonly buildId: string
  readonly lineId: string
}

/** A photograph that was taken while the build was away. */
export interface TakenAway {
  readonly lineId: string
  readonly type: string
  readonly bytes: Buffer
  readonly sha256: string
  /** The SHA-256 of the one that came along; null where none did. */
  readonly was: string | null
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

  /** Photographs of a build that was taken along which are others than those that came with it. */
  async takenAway(buildId: string): Promise<TakenAway[]> {
    const { rows } = (await this.db.raw(
      `select p.line_id, p.type, p.bytes, encode(sha256(p.bytes), 'hex') as sha256,
              t.photos ->> p.line_id::text as was
       from photos p join taken_along t on t.build_id = p.build_id
       where p.build_id = ? and p.workshop_id = ?
         and t.photos ->> p.line_id::text is distinct from encode(sha256(p.bytes), 'hex')
       order by p.line_id`,
      [buildId, this.workshopId],
    )) as { rows: (Omit<TakenAway, 'lineId'> & { line_id: string })[] }
    return rows.map(({ line_id: lineId, ...row }) => ({ ...row, lineId }))
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
