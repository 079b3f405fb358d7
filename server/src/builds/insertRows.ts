import { FORMAT_VERSION, type Kind } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/models/parts'

const ROWS_A_STATEMENT = 500

/** A branch holds records itself, and says of which version they are. */
export const stampOf = (kind: Kind) => (kind === 'branch' ? { formatVersion: FORMAT_VERSION } : {})

/** Inserts records of a kind, many a statement; each starts at version 1. */
export async function insertRows(
  trx: Knex,
  kind: Kind,
  records: readonly object[],
  owner: { workshopId: string; buildId?: string },
): Promise<void> {
  for (let i = 0; i < records.length; i += ROWS_A_STATEMENT) {
    const rows = records
      .slice(i, i + ROWS_A_STATEMENT)
      .map((record) => ({ ...record, ...owner, ...stampOf(kind), version: 1 }))
    await ROW_OF[kind].query(trx).insert(rows).returning('id')
  }
}
