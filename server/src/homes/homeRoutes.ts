import { buildToTake, homeToAdd, homeward } from '@bold-ballast/contract'
import express, { Router } from 'express'
import type { AuditTrail } from '../access/AuditTrail'
import { placeOf } from '../access/Caller'
import { noteOf } from '../access/noteOf'
import { goneSignal } from '../http/goneSignal'
import { idIn } from '../http/idIn'
import { parse } from '../http/parse'
import type { RoomOf } from '../workshop/Workrooms'

const homeIn = (params: Record<string, unknown>) => idIn(params['homeId'], 'workshop')
const awayIn = (params: Record<string, unknown>) => idIn(params['awayId'], 'build')

/** Builds that are taken along from another workshop on the network, and brought home to it. */
export function homeRoutes(roomOf: RoomOf, audit: AuditTrail): Router {
  const routes = Router()
  const json = express.json({ limit: '1mb' })
  routes.get('/homes', async (request, response) => {
    response.json(await roomOf(request).homes.list())
  })
  routes.post('/homes', json, async (request, response) => {
    const { link } = parse(homeToAdd, request.body)
    response.status(201).json(await roomOf(request).homes.add(link))
  })
  routes.delete('/homes/:homeId', async (request, response) => {
    await roomOf(request).homes.remove(homeIn(request.params))
    response.status(204).end()
  })
  routes.get('/homes/:homeId/builds', async (request, response) => {
    response.json(await roomOf(request).homes.buildsAt(homeIn(request.params)))
  })
  routes.post('/homes/:homeId/builds', json, async (request, response) => {
    const { buildId } = parse(buildToTake, request.body)
    const summary = await roomOf(request).homes.take(homeIn(request.params), buildId, goneSignal(request))
    await noteOf(audit, request, { what: 'imported', about: 'a build, taken along' })
    response.status(201).type('json').send(summary)
  })
  routes.get('/homes/:homeId/builds/:awayId', async (request, response) => {
    response.json(await roomOf(request).homes.file(homeIn(request.params), awayIn(request.params)))
  })
  routes.post('/homes/:homeId/builds/:awayId', json, async (request, response) => {
    const order = parse(homeward, request.body)
    const buildId = awayIn(request.params)
    const { workshop } = placeOf(request)
    const result = await roomOf(request).homes.bring(homeIn(request.params), buildId, workshop, order)
    if (result.result.isDone)
      await noteOf(audit, request, { what: 'exported', about: 'a build, brought home' })
    response.json(result)
  })
  return routes
}
