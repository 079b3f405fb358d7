import { Router } from 'express'
import type { InstrumentLibrary } from './InstrumentLibrary'

export function instrumentRoutes(library: InstrumentLibrary): Router {
  const routes = Router()
  routes.get('/instruments', async (_request, response) => void response.json(await library.list()))
  return routes
}
