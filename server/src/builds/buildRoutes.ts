import { recordId } from '@bold-ballast/contract'
import { Router, type Request, type Response } from 'express'
import * as z from 'zod'
import { goneSignal } from '../http/goneSignal'
import { idIn } from '../http/idIn'
import { jsonBody } from '../http/jsonBody'
import { parse } from '../http/parse'
import type { BuildHistory } from './BuildHistory'
import type { BuildStore } from './BuildStore'

export const LARGEST_FILE = '40mb'
export const LARGEST_EDIT = '8mb'

const buildIn = (params: Record<string, unknown>) => idIn(params['buildId'], 'build')

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

export function buildRoutes(store: BuildStore, history: BuildHistory): Router {
  const routes = Router()
  routes.get('/builds', async (_request, response) => {
    response.type('json').send(await store.list())
  })
  routes.post('/builds', jsonBody(LARGEST_FILE), async (request: Request, response: Response) => {
    const { id, summary } = await store.add(request.body as Buffer, goneSignal(request))
    response.status(201).location(`/api/v1/builds/${id}`).type('json').send(summary)
  })
  routes.get('/builds/:buildId', async (request, response) => {
    response.type('json').send(await store.text(buildIn(request.params)))
  })
  routes.delete('/builds/:buildId', async (request, response) => {
    await store.remove(buildIn(request.params))
    response.status(204).end()
  })
  routes.get('/builds/:buildId/file', async (request, response) => {
    const { name, text } = await store.file(buildIn(request.params))
    response.attachment(`${name}.build.json`).type('json').send(text)
  })
  routes.get('/builds/:buildId/history', async (request, response) => {
    const { before } = parse(page, request.query)
    response.json(await history.page(buildIn(request.params), before ?? null))
  })
  routes.get('/builds/:buildId/history/:batchId', async (request, response) => {
    const batchId = idIn(request.params.batchId, 'entry of the history')
    response.json(await history.detail(buildIn(request.params), batchId))
  })
  routes.get('/builds/:buildId/at', async (request, response) => {
    const wanted = parse(at, request.query)
    const text = await store.at(buildIn(request.params), wanted.batch ?? wanted.time ?? '')
    response.type('json').send(text)
  })
  routes.post(
    '/builds/:buildId/edits',
    jsonBody(LARGEST_EDIT),
    async (request: Request, response: Response) => {
      response.json(await store.edit(buildIn(request.params), request.body as Buffer, goneSignal(request)))
    },
  )
  return routes
}
