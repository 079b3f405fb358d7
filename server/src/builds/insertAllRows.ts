import { FORMAT_VERSION, KINDS, RECORDS, type Kind } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { askPrepared } from '../database/askPrepared'
import { ROW_OF } from '../database/rowOf'
import { columnOf } from '../database/columnOf'

/** A branch holds records itself, and says of which version they are. */
export const stampOf = (kind: Kind) => (kind === 'branch' ? { formatVersion: FORMAT_VERSION } : {})

/**
 * The statement that inserts records of a kind, whatever their number: the database makes rows of a list of records.
 *
 * @param list an SQL expression for the list, as JSON
 */
export function insertOf(kind: Kind, list: string): string {
  const table = ROW_OF[kind].tableName
  const own = [...Object.keys(RECORDS[kind].shape), ...Object.keys(stampOf(kind)), 'workshopId', 'version']
  const fields = kind === 'build' ? own : [...own, 'buildId']
  const columns = fields.map((field) => `"${columnOf(field)}"`).join(', ')
  return `insert into ${table} (${columns}) select ${columns} from jsonb_populate_recordset(null::${table}, ${list})`
}

const parts = KINDS.map(
  (kind) => `${kind}_rows as (${insertOf(kind, `(select given -> '${kind}' from all_rows)`)})`,
)
const INSERT_ALL = `with all_rows as materialized (select $1::jsonb as given), ${parts.join(', ')} select 1`

export type Owner = { workshopId: string; buildId?: string }

/** Records as rows of their tables. */
export const rowsOf = (kind: Kind, records: readonly object[], owner: Owner) => {
  const alike = asRow({ ...owner, ...stampOf(kind) })
  return records.map((record) => ({ version: 1, ...asRow(record), ...alike }))
}

// A plain loop: a workshop that is taken in has a million fields.
function asRow(record: object): Record<string, unknown> {
  const row: Record<string, unknown> = {}
  const fields = record as Readonly<Record<string, unknown>>
  for (const field in fields) row[columnOf(field)] = fields[field]
  return row
}

/** All records of a build as rows of their tables, in JSON. */
export function allRowsOf(
  records: Readonly<Record<Kind, readonly object[]>>,
  owner: { workshopId: string; buildId: string },
): string {
  const { workshopId } = owner
  const given = KINDS.map((kind) => [
    kind,
    rowsOf(kind, records[kind], kind === 'build' ? { workshopId } : owner),
  ])
  return JSON.stringify(Object.fromEntries(given))
}

/**
 * Inserts all records of a build by one statement, which the database plans once.
 *
 * @param rows as `allRowsOf` gives them
 */
export async function insertAllRows(trx: Knex, rows: string): Promise<void> {
  await askPrepared(trx, { name: 'insert all', text: INSERT_ALL }, [rows])
}
