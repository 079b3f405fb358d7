import { RUN_LOG_TYPE } from '@bold-ballast/contract'
import express, { Router } from 'express'
import { idIn } from '../http/idIn'
import { Refusal } from '../http/Refusal'
import type { RoomOf } from '../workshop/Workrooms'

export const LARGEST_LOG = '16mb'
/** What every gzip begins with. */
const GZIP = [0x1f, 0x8b] as const

const idsIn = ({ buildId, runId }: Record<string, unknown>) => ({
  buildId: idIn(buildId, 'log'),
  runId: idIn(runId, 'log'),
})

export function runLogRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  const at = '/builds/:buildId/runs/:runId/log'
  routes.get('/builds/:buildId/logs', async (request, response) => {
    response.json(await roomOf(request).logs.list(idIn(request.params.buildId, 'build')))
  })
  routes.get(at, async (request, response) => {
    const bytes = await roomOf(request).logs.read(idsIn(request.params))
    // Most runs have none; that is no error.
    if (!bytes) return void response.status(204).end()
    response.type(RUN_LOG_TYPE).send(bytes)
  })
  routes.put(
    at,
    express.raw({ type: RUN_LOG_TYPE, limit: LARGEST_LOG, inflate: false }),
    async (request, response) => {
      const { body } = request as { body: unknown }
      if (!Buffer.isBuffer(body) || GZIP.some((byte, i) => body[i] !== byte))
        throw new Refusal(
          415,
          'not-valid',
          'That is no packed log',
          'Read the logger’s file under Days, Logs: it is packed there.',
        )
      await roomOf(request).logs.keep(idsIn(request.params), body)
      response.status(204).end()
    },
  )
  routes.delete(at, async (request, response) => {
    await roomOf(request).logs.remove(idsIn(request.params))
    response.status(204).end()
  })
  return routes
}
