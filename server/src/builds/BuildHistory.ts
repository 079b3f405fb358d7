import { editsWithoutMoney, type Edit, type HistoryDetail, type HistoryPage } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { notFound } from '../http/Refusal'
import type { Sees } from './BuildTexts'
import { placeOf } from './buildAt'

interface Kept {
  readonly id: string
  readonly createdAt: Date
  readonly label: string
  readonly author: string
  readonly edits: Edit[]
  readonly inverse: Edit[] | null
}

const PAGE = 100

/** What was done to builds. */
export class BuildHistory {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  /** The newest first, from before a batch or a time on. */
  async page(buildId: string, before: string | Date | null): Promise<HistoryPage> {
    await this.mustBe(buildId)
    const owner = { buildId, workshopId: this.workshopId }
    const place = typeof before === 'string' ? await placeOf(this.db, owner, before) : null
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

  async detail(buildId: string, batchId: string, sees: Sees): Promise<HistoryDetail> {
    const row = (await this.batches(buildId).where({ id: batchId }).first('id', 'edits', 'inverse')) as
      Kept | undefined
    if (!row) throw notFound('entry of the history')
    const { id, edits, inverse } = row
    const shown = (list: readonly Edit[]) => (sees === 'all' ? [...list] : editsWithoutMoney(list))
    return { id, edits: shown(edits), inverse: shown(inverse ?? []) }
  }

  private batches(buildId: string): Knex.QueryBuilder {
    return this.db('edit_batches').where({ buildId, workshopId: this.workshopId }).orderBy('sequence', 'desc')
  }

  private async mustBe(buildId: string): Promise<void> {
    if (!(await this.db('builds').where({ id: buildId, workshopId: this.workshopId }).first('id')))
      throw notFound('build')
  }
}
