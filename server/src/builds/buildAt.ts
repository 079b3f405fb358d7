import { rewind, type BuildDocument, type Edit } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { notFound, Refusal } from '../http/Refusal'
import { readBuildText } from './readBuildText'

type Owner = { workshopId: string; buildId: string }

/**
 * The build as it was right after a batch, or at a time, all of it, as JSON.
 *
 * A clock may have been set back since: then all that says it was done by that time counts, with all that was done
 * before it.
 *
 * @param moment id of a batch, or a time
 */
export function buildAt(db: Knex, owner: Owner, moment: string | Date): Promise<string> {
  return db.transaction(
    async (trx) => {
      const read = await readBuildText(trx, owner)
      if (!read) throw notFound('build')
      const place = await (typeof moment === 'string'
        ? placeOf(trx, owner, moment)
        : lastBy(trx, owner, moment))
      const rows = (await trx('edit_batches')
        .where(owner)
        .where('sequence', '>', place)
        .orderBy('sequence', 'desc')
        .select('inverse')) as { inverse: Edit[] | null }[]
      const inverses = rows.flatMap((r) => (r.inverse ? [r.inverse] : []))
      if (inverses.length < rows.length)
        throw new Refusal(
          422,
          'not-valid',
          'Too long ago',
          'What was done before this version of Bold Ballast can be listed, but not taken back. Choose a later time.',
        )
      return JSON.stringify(rewind(JSON.parse(read.text) as BuildDocument, inverses))
    },
    { isolationLevel: 'repeatable read', readOnly: true },
  )
}

/** The place of a batch among what was done to its build. */
export async function placeOf(db: Knex, owner: Owner, batchId: string): Promise<number> {
  const row = (await db('edit_batches')
    .where({ ...owner, id: batchId })
    .first('sequence')) as { sequence: number } | undefined
  if (!row) throw notFound('entry of the history')
  return row.sequence
}

/** Of the last batch that says it was done by a time; 0 where none was. */
async function lastBy(db: Knex, owner: Owner, time: Date): Promise<number> {
  const row = (await db('edit_batches')
    .where(owner)
    .where('createdAt', '<=', time)
    .orderBy('sequence', 'desc')
    .first('sequence')) as { sequence: number } | undefined
  return row?.sequence ?? 0
}
