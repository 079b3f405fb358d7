import type { HistoryEntry } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { notFound } from '../http/Refusal'

interface Row {
  readonly id: string
  readonly kind: 'photo' | 'picture' | 'log'
  readonly recordId: string
  readonly name: string
  readonly replacedAt: Date
  readonly replacedBy: string
  readonly wasRemoved: boolean
  readonly isKept: boolean
}

const NAMED = { photo: 'Photograph', picture: 'Picture', log: 'Log' } as const

/** Files that others took the place of, or that were removed. */
export class ReplacedFiles {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  /** What became of a build's files in a time, as entries of its history, the newest first. */
  async between(buildId: string, from: Date | null, before: Date | null): Promise<HistoryEntry[]> {
    const rows = (await this.db('replacedFiles')
      .where({ buildId, workshopId: this.workshopId })
      .modify((q) => from && q.where('replacedAt', '>=', from))
      .modify((q) => before && q.where('replacedAt', '<', before))
      .orderBy('replacedAt', 'desc')
      .select(
        'id',
        'kind',
        'recordId',
        'name',
        'replacedAt',
        'replacedBy',
        'wasRemoved',
        this.db.raw('bytes is not null as is_kept'),
      )) as Row[]
    return rows.map(({ id, kind, recordId, name, replacedAt, replacedBy, wasRemoved, isKept }) => ({
      id,
      at: replacedAt.toISOString(),
      madeAt: null,
      label: `${NAMED[kind]}${name ? ` of “${name}”` : ''} ${wasRemoved ? 'removed' : 'replaced'}`,
      author: replacedBy,
      records: 0,
      isKept: true,
      file: { kind, recordId, isKept },
    }))
  }

  /** @throws {Refusal} 404 where it isn't there, or not any more */
  async read(buildId: string, id: string): Promise<{ type: string; bytes: Buffer }> {
    const row = (await this.db('replacedFiles')
      .where({ id, buildId, workshopId: this.workshopId })
      .whereNotNull('bytes')
      .first('type', 'bytes')) as { type: string; bytes: Buffer } | undefined
    if (!row) throw notFound('earlier file')
    return row
  }
}
