import { Router } from 'express'
import { idIn } from '../http/idIn'
import type { RoomOf } from '../workshop/Workrooms'

export function reckoningRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  routes.get('/builds/:buildId/reckoning', async (request, response) => {
    response.json(await roomOf(request).reckoning.read(idIn(request.params.buildId, 'build')))
  })
  routes.delete('/builds/:buildId/reckoning', async (request, response) => {
    await roomOf(request).reckoning.told(idIn(request.params.buildId, 'build'))
    response.status(204).end()
  })
  return routes
}
