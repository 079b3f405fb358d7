import { Router } from 'express'
import * as z from 'zod'
import { parse } from '../http/parse'
import type { RoomOf } from '../workshop/Workrooms'

const search = z.object({ find: z.string().max(120, 'Search for less than 120 characters.').default('') })

export function partRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  routes.get('/parts', async (request, response) => {
    const { find } = parse(search, request.query)
    response.json(await roomOf(request).parts.find(find.split(/\s+/).filter(Boolean)))
  })
  return routes
}
