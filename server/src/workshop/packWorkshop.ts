import type { Knex } from 'knex'
import { createWriteStream } from 'node:fs'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGzip } from 'node:zlib'
import { exportWorkshop } from './exportWorkshop'

/**
 * Writes a whole workshop into a packed file, all of it as of one moment.
 *
 * @param progress where it is noted how much has been packed, and of how much; null where nobody looks
 */
export async function packWorkshop(
  db: Knex,
  workshop: { id: string; name: string },
  path: string,
  progress: Int32Array | null = null,
): Promise<void> {
  await db.transaction(
    async (trx) => {
      if (progress) Atomics.store(progress, 1, await countOf(trx, workshop.id))
      const lines = Readable.from(
        (async function* () {
          for await (const line of exportWorkshop(trx, workshop, new Date())) {
            yield `${JSON.stringify(line)}\n`
            if (progress && line.kind !== 'workshop' && line.kind !== 'end') Atomics.add(progress, 0, 1)
          }
        })(),
      )
      await pipeline(lines, createGzip(), createWriteStream(path))
    },
    { isolationLevel: 'repeatable read', readOnly: true },
  )
}

/** How many builds and files a workshop has. */
async function countOf(trx: Knex, workshopId: string): Promise<number> {
  const tables = ['builds', 'photos', 'picture_files', 'run_logs']
  const { rows } = (await trx.raw(
    `select ${tables.map((table) => `(select count(*) from ${table} where workshop_id = :workshopId)`).join(' + ')} as count`,
    { workshopId },
  )) as { rows: { count: string }[] }
  return Number(rows[0]?.count ?? 0)
}
