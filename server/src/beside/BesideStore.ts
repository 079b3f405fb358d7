import { may, RUN_LOG_TYPE, type FileThere } from '@bold-ballast/contract'
import { METRIC } from '@bold-ballast/core'
import { recordName } from '@bold-ballast/words'
import { createHash, randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { Hand } from '../access/Caller'
import { frozenFor } from '../builds/applyBatch'
import { ROW_OF } from '../database/rowOf'
import { notFound, Refusal } from '../http/Refusal'

/** Files that are kept beside records of a kind: photographs of lines, pictures of jobs, logs of runs. One a record. */
interface BesideKind {
  readonly table: 'photos' | 'pictureFiles' | 'runLogs'
  readonly record: 'line' | 'picture' | 'run'
  readonly id: 'lineId' | 'pictureId' | 'runId'
  /** Where a build that was taken along says which of them came with it. */
  readonly taken: 'photos' | 'pictures' | 'logs'
  readonly file: 'photo' | 'picture' | 'log'
  /** The media type of all of them; null where each has its own. */
  readonly type: string | null
}
export const PHOTOS: BesideKind = {
  table: 'photos',
  record: 'line',
  id: 'lineId',
  taken: 'photos',
  file: 'photo',
  type: null,
}
export const PICTURES: BesideKind = {
  table: 'pictureFiles',
  record: 'picture',
  id: 'pictureId',
  taken: 'pictures',
  file: 'picture',
  type: null,
}
export const RUN_LOGS: BesideKind = {
  table: 'runLogs',
  record: 'run',
  id: 'runId',
  taken: 'logs',
  file: 'log',
  type: RUN_LOG_TYPE,
}

/** Of one record so many are kept that were there before; of older ones, that they were. */
const MOST_BEFORE = 10

/** A file as it is kept, with what its kind keeps beside the bytes. */
export type BesideFile<More> = {
  readonly recordId: string
  readonly bytes: Buffer
  readonly sha256: string
} & More
/** How somebody puts a file in a place. */
export interface Putting {
  readonly by: Hand
  /** SHA-256 of the one that it takes the place of; null for none. */
  readonly replaces: string | null
  /** When it was taken or recorded, where that was before it came; null for now. */
  readonly madeAt: Date | null
}
interface There {
  readonly sha256: string
  readonly personId: string | null
  readonly by: string
  readonly keptAt: Date
  readonly madeAt: Date | null
}
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
      .select({ recordId: this.kind.id }, this.db.raw('length(bytes) as bytes'), 'sha256')) as BesideHead[]
  }

  /** Files of a build that was taken along which are others than those that came with it. */
  async takenAway(buildId: string): Promise<TakenAway[]> {
    const { table, id, taken } = this.kind
    const was = this.db.raw('t.?? ->> (f.??)::text', [taken, id])
    const own = this.db.ref('f.sha256')
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

  /**
   * Keeps a file of a build that has just come, as it was elsewhere.
   *
   * @throws {Refusal} 404 while the record is not there
   */
  async keep(buildId: string, recordId: string, bytes: Buffer, more: More): Promise<void> {
    await this.db.transaction(async (trx) => {
      await this.recordIn(trx, buildId, recordId)
      await this.write(trx, buildId, recordId, bytes, more, { personId: null, by: '', madeAt: null })
    })
  }

  /**
   * Puts a file to its record, in place of the one that whoever sends it has seen; that one is kept.
   *
   * @throws {Refusal} 404 while the record is not there: its file may have been quicker; 403 where it is somebody else's
   * and the caller may only log; 409, with what is there, where that is another than what was to be replaced; 422 where
   * the record is frozen
   */
  async put(buildId: string, recordId: string, bytes: Buffer, more: More, putting: Putting): Promise<void> {
    const { by, replaces, madeAt } = putting
    await this.db.transaction(async (trx) => {
      const name = await this.recordIn(trx, buildId, recordId)
      const there = await this.thereIn(trx, recordId)
      if (there?.sha256 === createHash('sha256').update(bytes).digest('hex')) {
        // What is sent twice is there already; it is the newest again.
        await trx(this.kind.table)
          .where({ [this.kind.id]: recordId })
          .update({ keptAt: new Date() })
        return
      }
      if (there) this.refuseNotOwn(there, by)
      if ((there?.sha256 ?? null) !== replaces) throw conflict(there)
      await this.refuseFrozen(trx, buildId, recordId)
      if (there) await this.setAside(trx, buildId, recordId, { name, by, wasRemoved: false })
      const maker = { personId: by.person?.id ?? null, by: by.person?.name ?? '', madeAt }
      await this.write(trx, buildId, recordId, bytes, more, maker)
    })
  }

  /** Removes a file; it is kept like one that another took the place of. */
  async remove(buildId: string, recordId: string, by: Hand): Promise<void> {
    await this.db.transaction(async (trx) => {
      const there = await this.thereIn(trx, recordId)
      if (!there) return
      // Its record may be gone by now.
      const name = await this.recordIn(trx, buildId, recordId).catch((error: unknown) => {
        if (error instanceof Refusal && error.status === 404) return ''
        throw error
      })
      if (name) await this.refuseFrozen(trx, buildId, recordId)
      await this.setAside(trx, buildId, recordId, { name, by, wasRemoved: true })
      await trx(this.kind.table)
        .where({ [this.kind.id]: recordId, buildId, workshopId: this.workshopId })
        .delete()
    })
  }

  /** @returns what the record is called */
  private async recordIn(trx: Knex, buildId: string, recordId: string): Promise<string> {
    const { record } = this.kind
    const { workshopId } = this
    const found = await ROW_OF[record].query(trx).findOne({ id: recordId, buildId, workshopId }).forUpdate()
    if (!found) throw notFound(record)
    return recordName(record, found, { units: METRIC })
  }

  private async thereIn(trx: Knex, recordId: string): Promise<There | null> {
    const row = (await trx(this.kind.table)
      .where({ [this.kind.id]: recordId, workshopId: this.workshopId })
      .forUpdate()
      .first('sha256', 'personId', 'by', 'keptAt', 'madeAt')) as There | undefined
    return row ?? null
  }

  private refuseNotOwn(there: There, { person, role }: Hand): void {
    if (may(role, 'plan') || (person !== null && there.personId === person.id)) return
    throw new Refusal(
      403,
      'not-allowed',
      'Not yours to replace',
      `${there.by || 'Somebody else'} has put another there. A builder or an owner can put yours in its place.`,
      { file: shownThere(there) },
    )
  }

  /** A file is decided like an entry beside it: what is frozen stays as it was signed. */
  private async refuseFrozen(trx: Knex, buildId: string, recordId: string): Promise<void> {
    const fault = await frozenFor(trx, { workshopId: this.workshopId, buildId }, this.kind.record, recordId)
    if (fault) throw new Refusal(422, 'not-valid', 'It is frozen', fault)
  }

  private async write(
    trx: Knex,
    buildId: string,
    recordId: string,
    bytes: Buffer,
    more: More,
    maker: Pick<There, 'personId' | 'by' | 'madeAt'>,
  ): Promise<void> {
    const { table, id } = this.kind
    const keptAt = new Date()
    await trx(table)
      .insert({
        [id]: recordId,
        buildId,
        workshopId: this.workshopId,
        bytes,
        keptAt,
        ...maker,
        ...more,
      })
      .onConflict(id)
      .merge()
  }

  /** Keeps what is there as what was there before. */
  private async setAside(
    trx: Knex,
    buildId: string,
    recordId: string,
    how: { name: string; by: Hand; wasRemoved: boolean },
  ): Promise<void> {
    const { table, id, file, type } = this.kind
    await trx.raw(
      `insert into replaced_files
         (id, build_id, workshop_id, kind, record_id, name, type, bytes, by, kept_at, made_at, replaced_by, was_removed)
       select :newId, build_id, workshop_id, :file, :recordId, :name, ${type === null ? 'type' : ':type'}, bytes, by,
         kept_at, made_at, :replacedBy, :wasRemoved
       from :table: where :idColumn: = :recordId and build_id = :buildId and workshop_id = :workshopId`,
      {
        newId: randomUUID(),
        file,
        recordId,
        name: how.name,
        ...(type === null ? {} : { type }),
        replacedBy: how.by.person?.name ?? '',
        wasRemoved: how.wasRemoved,
        table,
        idColumn: id,
        buildId,
        workshopId: this.workshopId,
      },
    )
    await trx('replacedFiles')
      .where({ recordId, kind: file })
      .whereNotNull('bytes')
      .whereNotIn(
        'id',
        trx('replacedFiles')
          .where({ recordId, kind: file })
          .orderBy('replacedAt', 'desc')
          .limit(MOST_BEFORE)
          .select('id'),
      )
      .update({ bytes: null })
  }

  private rows(where: Readonly<Record<string, string>>) {
    return this.db(this.kind.table).where({ ...where, workshopId: this.workshopId })
  }
}

const shownThere = ({ sha256, by, keptAt }: There): FileThere => ({ sha256, by, at: keptAt.toISOString() })

const conflict = (there: There | null) =>
  new Refusal(
    409,
    'conflict',
    there ? 'Another is there' : 'It was removed',
    there
      ? `${there.by || 'Somebody'} has put another there since you saw it. Choose which one stays; the other is kept in the history.`
      : 'What yours was to take the place of has been removed since. Choose whether yours is to stay.',
    { file: there && shownThere(there) },
  )
