import { Router } from 'express'
import type { RoomOf } from '../workshop/Workrooms'

export function courseRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  routes.get(
    '/courses',
    async (request, response) => void response.json(await roomOf(request).courses.list()),
  )
  return routes
}
