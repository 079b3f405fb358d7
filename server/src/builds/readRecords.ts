import { KINDS, RECORDS, type Kind, type Stored } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/models/parts'

/** The column that holds a record's field. */
export const columnOf = (field: string) => field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)

/** The columns of each kind, named as the record names them: a read row is a record and needs no mapping. */
const COLUMNS = Object.fromEntries(
  KINDS.map((kind) => {
    const fields = [...Object.keys(RECORDS[kind].shape), 'version']
    return [kind, fields.map((field) => `"${columnOf(field)}" as "${field}"`).join(', ')]
  }),
) as Record<Kind, string>

/** Stored records of a kind, in no order: whoever shows them puts them in one. */
export function readRecords<K extends Kind>(
  trx: Knex,
  kind: K,
  where: { id: string } | { buildId: string },
  ids: readonly string[],
): Promise<Stored<K>[]> {
  return trx(ROW_OF[kind].tableName)
    .select(trx.raw(COLUMNS[kind]))
    .where(where)
    .whereIn('id', ids)
    .queryContext({ asNamed: true }) as unknown as Promise<Stored<K>[]>
}
