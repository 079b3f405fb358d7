import { ALREADY_HERE } from '@bold-ballast/contract'
import { Router, type Request } from 'express'
import { createReadStream, createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import * as z from 'zod'
import type { AuditTrail } from '../access/AuditTrail'
import { placeOf } from '../access/Caller'
import { noteOf } from '../access/noteOf'
import type { HeavyWork } from '../heavy/HeavyWork'
import { atMostAtOnce } from '../http/atMostAtOnce'
import { goneSignal } from '../http/goneSignal'
import { cutWhenIdle } from '../http/idle'
import { parse } from '../http/parse'
import { Refusal } from '../http/Refusal'

/** Packed; photographs don't pack. */
const MOST_BYTES = 1e9
const AT_ONCE = 2

const wanted = z.object({
  /** What becomes of builds that are here already. */
  here: z.enum(ALREADY_HERE).default('leave'),
  /** Only looks it through. */
  look: z.enum(['yes', 'no']).default('no'),
})

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

/**
 * A whole workshop out of here, and into here.
 *
 * Files come and go through the disk: while the database is at work, nothing is waited for from a network.
 */
export function workshopRoutes(heavy: HeavyWork, audit: AuditTrail, shareOrigin: string | null): Router {
  const routes = Router()
  const workshopOf = (request: Request) => {
    const { workshopId, workshop } = placeOf(request)
    return { id: workshopId, name: workshop }
  }
  routes.get(
    '/workshop',
    (request, response) => void response.json({ name: placeOf(request).workshop, shareOrigin }),
  )
  routes.get('/workshop/file', atMostAtOnce(AT_ONCE, 'workshop files'), async (request, response) => {
    cutWhenIdle(request)
    const workshop = workshopOf(request)
    await noteOf(audit, request, { what: 'exported', about: 'the whole workshop' })
    await withScratch(async (folder) => {
      const path = join(folder, 'workshop.gz')
      await heavy.run('packWorkshop', { workshop, path }, goneSignal(request))
      response.attachment(`${workshop.name}.workshop.gz`).type('application/gzip')
      await pipeline(createReadStream(path), response)
    })
  })
  routes.post('/workshop/file', atMostAtOnce(AT_ONCE, 'workshop files'), async (request, response) => {
    const { here, look } = parse(wanted, request.query)
    cutWhenIdle(request)
    const gone = goneSignal(request)
    const workshop = workshopOf(request)
    await noteOf(audit, request, { what: 'imported', about: 'a workshop file' })
    await withScratch(async (folder) => {
      const path = join(folder, 'workshop.gz')
      await pipeline(request, atMost(MOST_BYTES), createWriteStream(path))
      // All of it is here; the client only waits now.
      request.socket.setTimeout(0)
      const given = { workshopId: workshop.id, path, here, look: look === 'yes' }
      response.json(await heavy.run('unpackWorkshop', given, gone))
    })
  })
  return routes
}
