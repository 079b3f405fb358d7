import {
  rewind,
  type BuildDocument,
  type Edit,
  type HistoryDetail,
  type HistoryPage,
} from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { notFound, Refusal } from '../http/Refusal'
import { readBuildText } from './readBuildText'

interface Kept {
  readonly id: string
  readonly createdAt: Date
  readonly label: string
  readonly author: string
  readonly edits: Edit[]
  readonly inverse: Edit[] | null
}

const PAGE = 100

/** What was done to builds, and how they were before it. */
export class BuildHistory {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  /** The newest first, from before a batch or a time on. */
  async page(buildId: string, before: string | Date | null): Promise<HistoryPage> {
    await this.mustBe(buildId)
    const place = typeof before === 'string' ? await this.placeOf(buildId, before) : null
    const rows = (await this.batches(buildId)
      .modify((q) => place !== null && q.where('sequence', '<', place))
      .modify((q) => before instanceof Date && q.where('createdAt', '<', before))
      .limit(PAGE + 1)
      .select(
        'id',
        'createdAt',
        'label',
        'author',
        this.db.raw('jsonb_array_length(edits) as records'),
        this.db.raw('inverse is not null as is_kept'),
      )) as (Omit<Kept, 'edits' | 'inverse'> & { records: number; isKept: boolean })[]
    return {
      entries: rows.slice(0, PAGE).map(({ createdAt, ...row }) => ({ ...row, at: createdAt.toISOString() })),
      isMore: rows.length > PAGE,
    }
  }

  async detail(buildId: string, batchId: string): Promise<HistoryDetail> {
    const row = (await this.batches(buildId).where({ id: batchId }).first('id', 'edits', 'inverse')) as
      Kept | undefined
    if (!row) throw notFound('entry of the history')
    return { id: row.id, edits: row.edits, inverse: row.inverse ?? [] }
  }

  /**
   * The build as it was right after a batch, or at a time, all of it.
   *
   * A clock may have been set back since: then all that says it was done by that time counts, with all that was done
   * before it.
   */
  async at(buildId: string, moment: string | Date): Promise<BuildDocument> {
    await this.mustBe(buildId)
    const place =
      typeof moment === 'string' ? await this.placeOf(buildId, moment) : await this.lastBy(buildId, moment)
    return this.db.transaction(
      async (trx) => {
        const text = await readBuildText(trx, { workshopId: this.workshopId, buildId })
        if (text === null) throw notFound('build')
        const rows = (await trx('edit_batches')
          .where({ buildId, workshopId: this.workshopId })
          .where('sequence', '>', place)
          .orderBy('sequence', 'desc')
          .select('inverse')) as Pick<Kept, 'inverse'>[]
        if (rows.some((r) => r.inverse === null))
          throw new Refusal(
            422,
            'not-valid',
            'Too long ago',
            'What was done before this version of Bold Ballast can be listed, but not taken back. Choose a later time.',
          )
        return rewind(
          JSON.parse(text) as BuildDocument,
          rows.map((r) => r.inverse!),
        )
      },
      { isolationLevel: 'repeatable read', readOnly: true },
    )
  }

  private batches(buildId: string): Knex.QueryBuilder {
    return this.db('edit_batches').where({ buildId, workshopId: this.workshopId }).orderBy('sequence', 'desc')
  }

  private async placeOf(buildId: string, batchId: string): Promise<number> {
    const row = (await this.batches(buildId).where({ id: batchId }).first('sequence')) as
      { sequence: number } | undefined
    if (!row) throw notFound('entry of the history')
    return row.sequence
  }

  /** Of the last batch that says it was done by a time; 0 where none was. */
  private async lastBy(buildId: string, time: Date): Promise<number> {
    const row = (await this.batches(buildId).where('createdAt', '<=', time).first('sequence')) as
      { sequence: number } | undefined
    return row?.sequence ?? 0
  }

  private async mustBe(buildId: string): Promise<void> {
    if (!(await this.db('builds').where({ id: buildId, workshopId: this.workshopId }).first('id')))
      throw notFound('build')
  }
}
