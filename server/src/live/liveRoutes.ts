import { whereabouts } from '@bold-ballast/contract'
import express, { Router } from 'express'
import type { Knex } from 'knex'
import { callerOf, placeOf } from '../access/Caller'
import { idIn } from '../http/idIn'
import { notFound } from '../http/Refusal'
import { parse } from '../http/parse'
import type { LiveHub } from './LiveHub'
import { tell } from './Signals'

/** What others do, as it happens, and where they are. */
export function liveRoutes(db: Knex, hub: LiveHub): Router {
  const routes = Router()
  routes.get('/builds/:buildId/events', async (request, response) => {
    const { workshopId, role } = placeOf(request)
    const buildId = idIn(request.params.buildId, 'build')
    const build = (await db('builds').where({ id: buildId, workshopId }).first('id')) as
      { id: string } | undefined
    if (!build) throw notFound('build')
    // A HEAD asks what there is, and waits for nothing.
    if (request.method === 'HEAD') return void response.type('text/event-stream').end()
    await hub.listen(response, { workshopId, buildId, role, sessionId: callerOf(request).sessionId })
  })
  routes.get('/events', async (request, response) => {
    const { workshopId, role } = placeOf(request)
    if (request.method === 'HEAD') return void response.type('text/event-stream').end()
    const { sessionId } = callerOf(request)
    await hub.listen(response, { workshopId, buildId: null, role, sessionId })
  })
  routes.post('/builds/:buildId/presence', express.json({ limit: '2kb' }), async (request, response) => {
    const { workshopId } = placeOf(request)
    const buildId = idIn(request.params.buildId, 'build')
    const where = parse(whereabouts, request.body)
    const isOther = await hub.presences.set({ workshopId, buildId }, where, callerOf(request).person)
    if (isOther) await tell(db, { kind: 'present', workshopId, buildId })
    response.status(204).end()
  })
  return routes
}
