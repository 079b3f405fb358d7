import { buildFile, editBatch, recordId, upgradeBatch, upgradeFile } from '@bold-ballast/contract'
import express, { Router } from 'express'
import * as z from 'zod'
import { idIn } from '../http/idIn'
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
    const { before } = parse(page, request.query)
    response.json(await history.page(buildIn(request.params), before ?? null))
  })
  routes.get('/builds/:buildId/history/:batchId', async (request, response) => {
    const batchId = idIn(request.params.batchId, 'entry of the history')
    response.json(await history.detail(buildIn(request.params), batchId))
  })
  routes.get('/builds/:buildId/at', async (request, response) => {
    const wanted = parse(at, request.query)
    response.json(await history.at(buildIn(request.params), (wanted.batch ?? wanted.time)!))
  })
  routes.post('/builds/:buildId/edits', express.json({ limit: LARGEST_EDIT }), async (request, response) => {
    const buildId = buildIn(request.params)
    response.json(await store.edit(buildId, parse(editBatch, upgradeBatch(request.body, buildId))))
  })
  return routes
}
