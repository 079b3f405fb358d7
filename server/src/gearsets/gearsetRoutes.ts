import { Router } from 'express'
import type { RoomOf } from '../workshop/Workrooms'

export function gearsetRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  routes.get(
    '/gearsets',
    async (request, response) => void response.json(await roomOf(request).gearsets.list()),
  )
  return routes
}
