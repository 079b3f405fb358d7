import type { Audited, AuditPage } from '@bold-ballast/contract'
import type { Knex } from 'knex'

const PAGE = 100

export interface Noted {
  readonly what: Audited
  /** The workshop it is about; null for what a person does before they go anywhere. */
  readonly workshopId: string | null
  readonly personId: string | null
  readonly who: string
  /** What was taken out, who was let in, on which device. */
  readonly about?: string
  readonly address: string
}

/** What was noted of who came in and what was taken out. Nothing in it is ever changed. */
export class AuditTrail {
  constructor(private readonly db: Knex) {}

  async note({ about = '', ...noted }: Noted, db: Knex = this.db): Promise<void> {
    await db('audit').insert({ ...noted, about: about.slice(0, 200) })
  }

  /**
   * What happened in a workshop, and the comings and goings of those who work in it; the newest first.
   *
   * @param before the id of an entry
   */
  async page(workshopId: string, before: string | null): Promise<AuditPage> {
    const rows = (await this.db('audit')
      .where((q) =>
        q
          .where({ workshopId })
          .orWhere((own) =>
            own
              .whereNull('workshopId')
              .whereIn('personId', this.db('members').where({ workshopId }).select('personId')),
          ),
      )
      .modify((q) => before !== null && q.where('id', '<', before))
      .orderBy('id', 'desc')
      .limit(PAGE + 1)
      .select('id', 'at', 'what', 'who', 'about', 'address')) as {
      id: string
      at: Date
      what: Audited
      who: string
      about: string
      address: string
    }[]
    return {
      entries: rows.slice(0, PAGE).map(({ at, ...row }) => ({ ...row, at: at.toISOString() })),
      isMore: rows.length > PAGE,
    }
  }
}
