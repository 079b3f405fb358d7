import {
  editsWithoutMoney,
  type Edit,
  type HistoryDetail,
  type HistoryEntry,
  type HistoryPage,
} from '@bold-ballast/contract'
import type { Knex } from 'knex'
import type { ReplacedFiles } from '../beside/ReplacedFiles'
import { notFound } from '../http/Refusal'
import type { Sees } from './BuildTexts'
import { placeOf } from './buildAt'

interface Kept {
  readonly id: string
  readonly createdAt: Date
  readonly madeAt: Date | null
  readonly label: string
  readonly author: string
  readonly edits: Edit[]
  readonly inverse: Edit[] | null
}

const PAGE = 100
/** What takes longer to arrive waited for a network. */
const LATE_MS = 2 * 60_000

/** What was done to builds. */
export class BuildHistory {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
    private readonly replaced: ReplacedFiles,
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
        'madeAt',
        'label',
        'author',
        this.db.raw('jsonb_array_length(edits) as records'),
        this.db.raw('inverse is not null as is_kept'),
      )) as (Omit<Kept, 'edits' | 'inverse'> & { records: number; isKept: boolean })[]
    const isMore = rows.length > PAGE
    const entries: HistoryEntry[] = rows.slice(0, PAGE).map(({ createdAt, madeAt, ...row }) => ({
      ...row,
      at: createdAt.toISOString(),
      madeAt: madeAt && createdAt.getTime() - madeAt.getTime() > LATE_MS ? madeAt.toISOString() : null,
      file: null,
    }))
    const until =
      before instanceof Date ? before : before === null ? null : await this.timeOf(buildId, before)
    const from = isMore ? (rows[PAGE - 1]?.createdAt ?? null) : null
    const replaced = await this.replaced.between(buildId, from, until)
    // What was done stays in its order, whatever the clock said; what became of files is put in between by it.
    for (const one of replaced) {
      const place = entries.findIndex(({ at }) => at < one.at)
      entries.splice(place < 0 ? entries.length : place, 0, one)
    }
    return { entries, isMore }
  }

  async detail(buildId: string, batchId: string, sees: Sees): Promise<HistoryDetail> {
    const row = (await this.batches(buildId).where({ id: batchId }).first('id', 'edits', 'inverse')) as
      Kept | undefined
    if (!row) throw notFound('entry of the history')
    const { id, edits, inverse } = row
    const shown = (list: readonly Edit[]) => (sees === 'all' ? [...list] : editsWithoutMoney(list))
    return { id, edits: shown(edits), inverse: shown(inverse ?? []) }
  }

  private async timeOf(buildId: string, batchId: string): Promise<Date | null> {
    const row = (await this.batches(buildId).where({ id: batchId }).first('createdAt')) as
      { createdAt: Date } | undefined
    return row?.createdAt ?? null
  }

  private batches(buildId: string): Knex.QueryBuilder {
    return this.db('edit_batches').where({ buildId, workshopId: this.workshopId }).orderBy('sequence', 'desc')
  }

  private async mustBe(buildId: string): Promise<void> {
    if (!(await this.db('builds').where({ id: buildId, workshopId: this.workshopId }).first('id')))
      throw notFound('build')
  }
}
