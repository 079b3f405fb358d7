import { Router } from 'express'
import type { RoomOf } from '../workshop/Workrooms'

export function instrumentRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  routes.get(
    '/instruments',
    async (request, response) => void response.json(await roomOf(request).instruments.list()),
  )
  return routes
}
