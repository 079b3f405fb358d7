import { ALREADY_HERE, type WorkshopImported } from '@bold-ballast/contract'
import { Router } from 'express'
import type { Knex } from 'knex'
import { createInterface } from 'node:readline'
import { Readable, Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import * as z from 'zod'
import { parse } from '../http/parse'
import { Refusal } from '../http/Refusal'
import { exportWorkshop } from './exportWorkshop'
import { importWorkshop } from './importWorkshop'

/** Unpacked; a small file must not be able to fill the machine. */
const MOST_BYTES = 2 * 1024 ** 3

const wanted = z.object({
  /** What becomes of builds that are here already. */
  here: z.enum(ALREADY_HERE).default('leave'),
  /** Only looks it through. */
  look: z.enum(['yes', 'no']).default('no'),
})

class LookedThrough extends Error {
  constructor(readonly report: Omit<WorkshopImported, 'isDone'>) {
    super('looked through')
  }
}

/** Stops at more than a workshop can be. */
function atMost(bytes: number): Transform {
  let passed = 0
  return new Transform({
    transform(chunk: Buffer, _encoding, next) {
      passed += chunk.length
      if (passed <= bytes) return next(null, chunk)
      next(new Refusal(413, 'too-large', 'Too large', 'A workshop file unpacks to 2 GB at most.'))
    },
  })
}

/** The lines of a packed file; what goes wrong in unpacking is told apart from what is wrong in a line. */
async function* linesOf(packed: Readable): AsyncGenerator<string> {
  const unpacked = atMost(MOST_BYTES)
  // Its fault comes out of the lines, where it can be caught in order.
  pipeline(packed, createGunzip(), unpacked).catch(() => undefined)
  const lines = createInterface({ input: unpacked, crlfDelay: Infinity })[Symbol.asyncIterator]()
  try {
    for (;;) {
      const { done, value } = await lines.next().catch((error: unknown) => {
        throw error instanceof Refusal ? error : CANNOT_UNPACK
      })
      if (done) break
      yield value
    }
    if (unpacked.errored) throw unpacked.errored instanceof Refusal ? unpacked.errored : CANNOT_UNPACK
  } finally {
    // Where a line was refused, what is left of the file is read and dropped, so that the answer gets through.
    unpacked.destroy()
    packed.resume()
  }
}

const CANNOT_UNPACK = new Refusal(
  ...([422, 'not-valid', 'That is no whole workshop'] as const),
  'It can’t be unpacked: it was cut off, or is another kind of file.',
)

/** A whole workshop out of here, and into here. */
export function workshopRoutes(db: Knex, workshop: { id: string; name: string }): Router {
  const routes = Router()
  routes.get('/workshop/file', async (_request, response) => {
    await db.transaction(
      async (trx) => {
        response.attachment(`${workshop.name}.workshop.gz`).type('application/gzip')
        const lines = Readable.from(
          (async function* () {
            for await (const line of exportWorkshop(trx, workshop, new Date()))
              yield `${JSON.stringify(line)}\n`
          })(),
        )
        await pipeline(lines, createGzip(), response)
      },
      { isolationLevel: 'repeatable read', readOnly: true },
    )
  })
  routes.post('/workshop/file', async (request, response) => {
    const { here, look } = parse(wanted, request.query)
    try {
      const report = await db.transaction(async (trx) => {
        const found = await importWorkshop(trx, workshop.id, linesOf(request), here)
        if (look === 'yes') throw new LookedThrough(found)
        return found
      })
      response.json({ ...report, isDone: true } satisfies WorkshopImported)
    } catch (error) {
      if (!(error instanceof LookedThrough)) throw error
      response.json({ ...error.report, isDone: false } satisfies WorkshopImported)
    }
  })
  return routes
}
