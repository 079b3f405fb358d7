import type { Knex } from 'knex'
import { createWriteStream } from 'node:fs'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGzip } from 'node:zlib'
import { exportWorkshop } from './exportWorkshop'

/** Writes a whole workshop into a packed file, all of it as of one moment. */
export async function packWorkshop(
  db: Knex,
  workshop: { id: string; name: string },
  path: string,
): Promise<void> {
  await db.transaction(
    async (trx) => {
      const lines = Readable.from(
        (async function* () {
          for await (const line of exportWorkshop(trx, workshop, new Date()))
            yield `${JSON.stringify(line)}\n`
        })(),
      )
      await pipeline(lines, createGzip(), createWriteStream(path))
    },
    { isolationLevel: 'repeatable read', readOnly: true },
  )
}
