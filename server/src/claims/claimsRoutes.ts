import { Router } from 'express'
import type { RoomOf } from '../workshop/Workrooms'

export function claimsRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  routes.get('/claims', async (request, response) => void response.json(await roomOf(request).claims.list()))
  return routes
}
