import type { Knex } from 'knex'
import { ROW_OF } from '../database/rowOf'
import { notFound } from '../http/Refusal'

/** Files that are kept beside records of a kind: photographs of lines, pictures of jobs, logs of runs. One a record. */
interface BesideKind {
  readonly table: 'photos' | 'pictureFiles' | 'runLogs'
  readonly record: 'line' | 'picture' | 'run'
  readonly id: 'lineId' | 'pictureId' | 'runId'
  /** Where a build that was taken along says which of them came with it. */
  readonly taken: 'photos' | 'pictures' | 'logs'
}
export const PHOTOS: BesideKind = { table: 'photos', record: 'line', id: 'lineId', taken: 'photos' }
export const PICTURES: BesideKind = {
  table: 'pictureFiles',
  record: 'picture',
  id: 'pictureId',
  taken: 'pictures',
}
export const RUN_LOGS: BesideKind = { table: 'runLogs', record: 'run', id: 'runId', taken: 'logs' }

/** A file as it is kept, with what its kind keeps beside the bytes. */
export type BesideFile<More> = { readonly recordId: string; readonly bytes: Buffer } & More
/** What is known of a file without reading it. */
export interface BesideHead {
  readonly recordId: string
  readonly bytes: number
  readonly sha256: string
}
/** A file that was made while the build was away, without reading it. */
export interface TakenAway extends BesideHead {
  /** The SHA-256 of the one that came along; null where none did. */
  readonly was: string | null
}

/**
 * Files beside the records of a build, which would make every reading of its document heavy. A removed record keeps its own,
 * so that undo brings both back.
 */
export class BesideStore<More extends Readonly<Record<string, unknown>>> {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
    private readonly kind: BesideKind,
  ) {}

  async read(buildId: string, recordId: string): Promise<BesideFile<More> | null> {
    const row: (Omit<BesideFile<More>, 'recordId'> & More) | undefined = await this.rows({
      buildId,
      [this.kind.id]: recordId,
    }).first()
    return row ? { ...row, recordId } : null
  }

  async list(buildId: string): Promise<BesideHead[]> {
    return (await this.rows({ buildId })
      .orderBy(this.kind.id)
      .select(
        { recordId: this.kind.id },
        this.db.raw('length(bytes) as bytes'),
        this.db.raw(`encode(sha256(bytes), 'hex') as sha256`),
      )) as BesideHead[]
  }

  /** Files of a build that was taken along which are others than those that came with it. */
  async takenAway(buildId: string): Promise<TakenAway[]> {
    const { table, id, taken } = this.kind
    const was = this.db.raw('t.?? ->> (f.??)::text', [taken, id])
    const own = this.db.raw(`encode(sha256(f.bytes), 'hex')`)
    return (await this.db({ f: table })
      .join('takenAlong as t', 't.buildId', 'f.buildId')
      .where({ 'f.buildId': buildId, 'f.workshopId': this.workshopId })
      .whereRaw('? is distinct from ?', [was, own])
      .orderBy(`f.${id}`)
      .select(
        { recordId: `f.${id}` },
        this.db.raw('length(f.bytes) as bytes'),
        this.db.raw('? as sha256', [own]),
        this.db.raw('? as was', [was]),
      )) as TakenAway[]
  }

  /** Some files, one after the other: a season of logs is not read at once. */
  async *each(buildId: string, heads: readonly BesideHead[]): AsyncGenerator<BesideFile<More>> {
    for (const { recordId } of heads) {
      const file = await this.read(buildId, recordId)
      if (file) yield file
    }
  }

  /** @throws {Refusal} 404 while the record is not there: its file may have been quicker */
  async keep(buildId: string, recordId: string, bytes: Buffer, more: More): Promise<void> {
    const { table, record, id } = this.kind
    const { workshopId } = this
    await this.db.transaction(async (trx) => {
      const found = await ROW_OF[record]
        .query(trx)
        .select('id')
        .findOne({ id: recordId, buildId, workshopId })
      if (!found) throw notFound(record)
      await trx(table)
        .insert({ [id]: recordId, buildId, workshopId, bytes, ...more })
        .onConflict(id)
        .merge()
    })
  }

  async remove(buildId: string, recordId: string): Promise<void> {
    await this.rows({ buildId, [this.kind.id]: recordId }).delete()
  }

  private rows(where: Readonly<Record<string, string>>) {
    return this.db(this.kind.table).where({ ...where, workshopId: this.workshopId })
  }
}
