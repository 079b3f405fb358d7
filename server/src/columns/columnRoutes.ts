import { Router } from 'express'
import * as z from 'zod'
import { parse } from '../http/parse'
import type { RoomOf } from '../workshop/Workrooms'

const search = z.object({
  dyno: z
    .string('Say which dyno.')
    .min(1, 'Say which dyno.')
    .max(120, 'A dyno’s name has at most 120 characters.'),
})

export function columnRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  routes.get('/dyno-columns', async (request, response) => {
    const { dyno } = parse(search, request.query)
    response.json({ columns: await roomOf(request).columns.of(dyno.trim()) })
  })
  return routes
}
