import { FORMAT_VERSION, upgradeEdit, upgradeRecord, upgradeSheet } from '@bold-ballast/contract'
import type { Knex } from 'knex'

type Fields = Record<string, unknown>
type Stamped = Fields & { id: string; buildId: string; formatVersion: number }

/** Where whole records are stored as one value, and how a row of them comes over. */
const STORED: readonly { table: string; columns: readonly string[]; upgraded: (row: Stamped) => Fields }[] = [
  {
    table: 'edit_batches',
    columns: ['edits', 'inverse'],
    upgraded: ({ edits, inverse, formatVersion, buildId }) => {
      const each = (list: unknown) =>
        Array.isArray(list) ? list.map((edit: unknown) => upgradeEdit(edit, formatVersion, buildId)) : list
      return { edits: each(edits), inverse: each(inverse) }
    },
  },
  {
    table: 'branches',
    columns: ['edits'],
    upgraded: ({ edits, formatVersion, buildId }) => ({
      edits: upgradeRecord('branch', { edits }, formatVersion, buildId)['edits'],
    }),
  },
  {
    table: 'shares',
    columns: ['sheet'],
    upgraded: ({ sheet, formatVersion }) => ({ sheet: upgradeSheet(sheet as Fields, formatVersion) }),
  },
]

const A_PORTION = 200

/**
 * Brings what was stored by older versions over to the shape of today, once, in portions: a history may be long. No
 * migration does this: a migration never changes again, and shapes do.
 */
export async function completeStored(db: Knex): Promise<void> {
  for (const { table, columns, upgraded } of STORED) {
    for (;;) {
      const done = await db.transaction(async (trx) => {
        const rows = (await trx(table)
          .where('formatVersion', '<', FORMAT_VERSION)
          .limit(A_PORTION)
          .forUpdate()
          .select('id', 'buildId', 'formatVersion', ...columns)) as Stamped[]
        for (const row of rows) {
          const changed = Object.entries(upgraded(row)).map(([column, value]) => [
            column,
            value === null ? null : JSON.stringify(value),
          ])
          await trx(table)
            .where({ id: row.id })
            .update({ ...Object.fromEntries(changed), formatVersion: FORMAT_VERSION })
        }
        return rows.length < A_PORTION
      })
      if (done) break
    }
  }
}
