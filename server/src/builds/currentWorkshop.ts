import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { WorkshopRow } from '../database/models/WorkshopRow'

/** The workshop that this installation serves; the first start makes it. Accounts will choose among several. */
export async function currentWorkshop(db: Knex): Promise<WorkshopRow> {
  return db.transaction(async (trx) => {
    await trx.raw('LOCK TABLE workshops IN SHARE ROW EXCLUSIVE MODE')
    const first = await WorkshopRow.query(trx).orderBy('createdAt').first()
    return (
      first ??
      (await WorkshopRow.query(trx).insert({ id: randomUUID(), name: 'Our workshop' }).returning('*'))
    )
  })
}
