import { buildFile, editBatch, upgradeFile } from '@bold-ballast/contract'
import express, { Router } from 'express'
import * as z from 'zod'
import { idIn } from '../http/idIn'
import { parse } from '../http/parse'
import type { BuildHistory } from './BuildHistory'
import type { BuildStore } from './BuildStore'

export const LARGEST_FILE = '40mb'
export const LARGEST_EDIT = '8mb'

const buildIn = (params: Record<string, unknown>) => idIn(params['buildId'], 'build')

const query = z.object({ before: z.iso.datetime().optional(), time: z.iso.datetime().optional() })

export function buildRoutes(store: BuildStore, history: BuildHistory): Router {
  const routes = Router()
  routes.get('/builds', async (_request, response) => {
    response.json(await store.list())
  })
  routes.post('/builds', express.json({ limit: LARGEST_FILE }), async (request, response) => {
    const summary = await store.add(parse(buildFile, upgradeFile(request.body)))
    response.status(201).location(`/api/v1/builds/${summary.id}`).json(summary)
  })
  routes.get('/builds/:buildId', async (request, response) => {
    response.type('json').send(await store.text(buildIn(request.params)))
  })
  routes.delete('/builds/:buildId', async (request, response) => {
    await store.remove(buildIn(request.params))
    response.status(204).end()
  })
  routes.get('/builds/:buildId/file', async (request, response) => {
    const file = await store.file(buildIn(request.params))
    response.attachment(`${file.build.name}.build.json`).json(file)
  })
  routes.get('/builds/:buildId/history', async (request, response) => {
    const { before } = parse(query, request.query)
    response.json(await history.page(buildIn(request.params), before ? new Date(before) : null))
  })
  routes.get('/builds/:buildId/history/:batchId', async (request, response) => {
    const batchId = idIn(request.params.batchId, 'entry of the history')
    response.json(await history.detail(buildIn(request.params), batchId))
  })
  routes.get('/builds/:buildId/at', async (request, response) => {
    const { time } = parse(query.required({ time: true }), request.query)
    response.json(await history.at(buildIn(request.params), new Date(time)))
  })
  routes.post('/builds/:buildId/edits', express.json({ limit: LARGEST_EDIT }), async (request, response) => {
    response.json(await store.edit(buildIn(request.params), parse(editBatch, request.body)))
  })
  return routes
}
