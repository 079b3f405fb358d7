import { MOST_LOGS, MOST_PHOTOGRAPHS, MOST_PICTURES, may, recordId } from '@bold-ballast/contract'
import { Router, type Request, type Response } from 'express'
import * as z from 'zod'
import { goneSignal } from '../http/goneSignal'
import { idIn } from '../http/idIn'
import { jsonBody } from '../http/jsonBody'
import { parse } from '../http/parse'
import { sendPacked } from '../http/sendPacked'
import type { RoomOf } from '../workshop/Workrooms'
import type { AuditTrail } from '../access/AuditTrail'
import { noteOf } from '../access/noteOf'
import { handOf, placeOf } from '../access/Caller'
import type { Sees } from './BuildTexts'

export const LARGEST_FILE = '40mb'
export const LARGEST_EDIT = '8mb'
/** A build twice: as it was taken, and as it is. */
const LARGEST_HOMECOMING = '80mb'
const along = z.object({ along: z.enum(['yes', 'no']).default('no') })

const buildIn = (params: Record<string, unknown>) => idIn(params['buildId'], 'build')

/** Whether whoever asks sees what things cost. */
const sees = (request: Request): Sees => (may(placeOf(request).role, 'money') ? 'all' : 'noMoney')

const time = z.iso.datetime('A time is written as 2026-11-24T08:30:00Z.').transform((text) => new Date(text))
/** An entry of the history, or a time. */
const moment = z.union([recordId, time], 'Give the id of an entry, or a time such as 2026-11-24T08:30:00Z.')
const page = z.object({ before: moment.optional() })
const at = z
  .object({ time: time.optional(), batch: recordId.optional() })
  .refine(
    ({ time: when, batch }) => (when === undefined) !== (batch === undefined),
    'Give a time, or a batch.',
  )

/** Logs of a build that goes home in a file: what one answer can hold beside the build and its photographs. */
const MOST_LOG_BYTES = 60e6
function withinBytes<T extends { readonly bytes: number }>(files: readonly T[], most: number): T[] {
  let all = 0
  return files.filter(({ bytes }) => (all += bytes) <= most)
}
const base64Of = (bytes: Buffer) => bytes.toString('base64')

export function buildRoutes(roomOf: RoomOf, audit: AuditTrail): Router {
  const routes = Router()
  routes.get('/builds', async (request, response) => {
    response.type('json').send(await roomOf(request).builds.list())
  })
  routes.post('/builds', jsonBody(LARGEST_FILE), async (request: Request, response: Response) => {
    const { along: isAlong } = parse(along, request.query)
    const { builds } = roomOf(request)
    const { id, summary } = await builds.add(request.body as Buffer, isAlong === 'yes', goneSignal(request))
    response.status(201).location(`/api/v1/builds/${id}`).type('json').send(summary)
  })
  routes.get('/builds/:buildId', async (request, response) => {
    await sendPacked(
      request,
      response,
      await roomOf(request).builds.text(buildIn(request.params), sees(request)),
    )
  })
  routes.delete('/builds/:buildId', async (request, response) => {
    await roomOf(request).builds.remove(buildIn(request.params))
    response.status(204).end()
  })
  routes.get('/builds/:buildId/file', async (request, response) => {
    const { name, text } = await roomOf(request).builds.file(buildIn(request.params))
    await noteOf(audit, request, { what: 'exported', about: name })
    response.attachment(`${name}.build.json`).type('json').send(text)
  })
  routes.get('/along', async (request, response) => {
    response.json(await roomOf(request).builds.along())
  })
  routes.get('/builds/:buildId/homecoming', async (request, response) => {
    const { workshop } = placeOf(request)
    const buildId = buildIn(request.params)
    const { builds, photos, pictures, logs } = roomOf(request)
    const { name, file } = await builds.homecoming(buildId, workshop)
    const taken = (await photos.takenAway(buildId)).slice(0, MOST_PHOTOGRAPHS)
    const pictured = (await pictures.takenAway(buildId)).slice(0, MOST_PICTURES)
    const kept = withinBytes((await logs.takenAway(buildId)).slice(0, MOST_LOGS), MOST_LOG_BYTES)
    const photographs: Record<'lineId' | 'type' | 'base64', string>[] = []
    for await (const { recordId, type, bytes } of photos.each(buildId, taken))
      photographs.push({ lineId: recordId, type, base64: base64Of(bytes) })
    const shown: Record<'pictureId' | 'type' | 'base64', string>[] = []
    for await (const { recordId, type, bytes } of pictures.each(buildId, pictured))
      shown.push({ pictureId: recordId, type, base64: base64Of(bytes) })
    const recorded: Record<'runId' | 'base64', string>[] = []
    for await (const { recordId, bytes } of logs.each(buildId, kept))
      recorded.push({ runId: recordId, base64: base64Of(bytes) })
    await noteOf(audit, request, { what: 'exported', about: `${name}, to be brought home` })
    response.attachment(`${name}.home.json`).json({
      ...file,
      photographs,
      pictures: shown,
      logs: recorded,
    })
  })
  routes.post(
    '/builds/:buildId/homecoming',
    jsonBody(LARGEST_HOMECOMING),
    async (request: Request, response: Response) => {
      const buildId = buildIn(request.params)
      const by = handOf(request)
      const { builds } = roomOf(request)
      response.json(await builds.takeHome(buildId, request.body as Buffer, by, goneSignal(request)))
    },
  )
  routes.get('/builds/:buildId/history', async (request, response) => {
    const { before } = parse(page, request.query)
    response.json(await roomOf(request).history.page(buildIn(request.params), before ?? null))
  })
  routes.get('/builds/:buildId/replaced/:fileId', async (request, response) => {
    const fileId = idIn(request.params.fileId, 'earlier file')
    const { type, bytes } = await roomOf(request).replaced.read(buildIn(request.params), fileId)
    response.type(type).send(bytes)
  })
  routes.get('/builds/:buildId/history/:batchId', async (request, response) => {
    const batchId = idIn(request.params.batchId, 'entry of the history')
    response.json(await roomOf(request).history.detail(buildIn(request.params), batchId, sees(request)))
  })
  routes.get('/builds/:buildId/at', async (request, response) => {
    const wanted = parse(at, request.query)
    const moment = wanted.batch ?? wanted.time ?? ''
    const text = await roomOf(request).builds.at(buildIn(request.params), moment, sees(request))
    response.type('json').send(text)
  })
  routes.post(
    '/builds/:buildId/edits',
    jsonBody(LARGEST_EDIT),
    async (request: Request, response: Response) => {
      const buildId = buildIn(request.params)
      const by = handOf(request)
      const { builds } = roomOf(request)
      response.json(await builds.edit(buildId, request.body as Buffer, by, goneSignal(request)))
    },
  )
  return routes
}
