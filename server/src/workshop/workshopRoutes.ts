import { ALREADY_HERE } from '@bold-ballast/contract'
import { Router, type Request } from 'express'
import { createReadStream, createWriteStream } from 'node:fs'
import { stat } from 'node:fs/promises'
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
import { idIn } from '../http/idIn'
import { cutWhenIdle, letWait } from '../http/idle'
import { parse } from '../http/parse'
import { Refusal } from '../http/Refusal'
import { withScratch } from './scratch'
import type { WorkshopExports } from './WorkshopExports'

/** Packed; photographs don't pack. */
const MOST_BYTES = 1e9
const AT_ONCE = 2

const wanted = z.object({
  /** What becomes of builds that are here already. */
  here: z.enum(ALREADY_HERE).default('leave'),
  /** Only looks it through. */
  look: z.enum(['yes', 'no']).default('no'),
})

const fileName = (workshop: string) => `${workshop}.workshop.gz`

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

/**
 * A whole workshop out of here, and into here.
 *
 * Files come and go through the disk: while the database is at work, nothing is waited for from a network.
 */
export function workshopRoutes(
  heavy: HeavyWork,
  exports: WorkshopExports,
  audit: AuditTrail,
  shareOrigin: string | null,
): Router {
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
    const workshop = workshopOf(request)
    await noteOf(audit, request, { what: 'exported', about: 'the whole workshop' })
    // However long it is packed, nobody is idle before bytes move.
    letWait(request)
    await withScratch(async (folder) => {
      const path = join(folder, 'workshop.gz')
      await heavy.run('packWorkshop', { workshop, path, progress: null }, goneSignal(request))
      cutWhenIdle(request)
      response.attachment(fileName(workshop.name)).type('application/gzip')
      response.setHeader('Content-Length', (await stat(path)).size)
      await pipeline(createReadStream(path), response)
    })
  })
  routes.post('/workshop/exports', async (request, response) => {
    const id = await exports.begin(workshopOf(request))
    await noteOf(audit, request, { what: 'exported', about: 'the whole workshop' })
    response.status(202).json(exports.state(placeOf(request).workshopId, id))
  })
  const exportIn = (request: Request) =>
    [
      placeOf(request).workshopId,
      idIn(request.params['exportId'], 'workshop file that is being made'),
    ] as const
  routes.get('/workshop/exports/:exportId', (request, response) => {
    response.json(exports.state(...exportIn(request)))
  })
  routes.get('/workshop/exports/:exportId/file', (request, response, next) => {
    const [workshopId, id] = exportIn(request)
    const { path, name } = exports.file(workshopId, id)
    cutWhenIdle(request)
    response.setHeader('ETag', `"${id}"`)
    // Ranges are answered, by what the file is: a fetch that broke is gone on with.
    response.type('application/gzip').attachment(fileName(name))
    response.sendFile(path, { cacheControl: false, dotfiles: 'allow' }, (error?: Error) => {
      if (error && !response.headersSent) next(error)
    })
  })
  routes.delete('/workshop/exports/:exportId', async (request, response) => {
    await exports.drop(...exportIn(request))
    response.status(204).end()
  })
  routes.post('/workshop/file', atMostAtOnce(AT_ONCE, 'workshop files'), async (request, response) => {
    const { here, look } = parse(wanted, request.query)
    const over = cutWhenIdle(request)
    const gone = goneSignal(request)
    const workshop = workshopOf(request)
    await noteOf(audit, request, { what: 'imported', about: 'a workshop file' })
    await withScratch(async (folder) => {
      const path = join(folder, 'workshop.gz')
      await pipeline(request, atMost(MOST_BYTES), createWriteStream(path))
      // All of it is here; the client only waits now.
      over()
      letWait(request)
      const given = { workshopId: workshop.id, path, here, look: look === 'yes' }
      response.json(await heavy.run('unpackWorkshop', given, gone))
    })
  })
  return routes
}
