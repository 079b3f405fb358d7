import { ALREADY_HERE, type WorkshopImported } from '@bold-ballast/contract'
import { Router, type Request } from 'express'
import type { Knex } from 'knex'
import { createReadStream, createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable, Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGzip } from 'node:zlib'
import * as z from 'zod'
import { atMostAtOnce } from '../http/atMostAtOnce'
import { cutWhenIdle } from '../http/idle'
import { parse } from '../http/parse'
import { Refusal } from '../http/Refusal'
import { exportWorkshop } from './exportWorkshop'
import { importWorkshop } from './importWorkshop'
import { workshopLines } from './workshopLines'

/** Packed; photographs don't pack. */
const MOST_BYTES = 1e9
const AT_ONCE = 2

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
      next(new Refusal(413, 'too-large', 'Too large', 'A workshop file has 1 GB at most.'))
    },
  })
}

/** Does something with a folder of its own, which is gone afterwards. */
async function withScratch<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'bold-ballast-workshop-'))
  try {
    return await work(folder)
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

/** Told when the client of a request has gone. */
function goneSignal(request: Request): AbortSignal {
  const gone = new AbortController()
  request.socket.once('close', () =>
    gone.abort(new Refusal(400, 'not-valid', 'Gone', 'The client has gone.')),
  )
  return gone.signal
}

/**
 * A whole workshop out of here, and into here.
 *
 * Files come and go through the disk: while the database is at work, nothing is waited for from a network.
 */
export function workshopRoutes(db: Knex, workshop: { id: string; name: string }): Router {
  const routes = Router()
  routes.get('/workshop/file', atMostAtOnce(AT_ONCE, 'workshop files'), async (request, response) => {
    cutWhenIdle(request)
    await withScratch(async (folder) => {
      const path = join(folder, 'workshop.gz')
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
      response.attachment(`${workshop.name}.workshop.gz`).type('application/gzip')
      await pipeline(createReadStream(path), response)
    })
  })
  routes.post('/workshop/file', atMostAtOnce(AT_ONCE, 'workshop files'), async (request, response) => {
    const { here, look } = parse(wanted, request.query)
    cutWhenIdle(request)
    const gone = goneSignal(request)
    await withScratch(async (folder) => {
      const path = join(folder, 'workshop.gz')
      await pipeline(request, atMost(MOST_BYTES), createWriteStream(path))
      // All of it is here; the client only waits now.
      request.socket.setTimeout(0)
      try {
        const report = await db.transaction(async (trx) => {
          const found = await importWorkshop(trx, workshop.id, workshopLines(path, gone), here)
          if (look === 'yes') throw new LookedThrough(found)
          return found
        })
        response.json({ ...report, isDone: true } satisfies WorkshopImported)
      } catch (error) {
        if (!(error instanceof LookedThrough)) throw error
        response.json({ ...error.report, isDone: false } satisfies WorkshopImported)
      }
    })
  })
  return routes
}
