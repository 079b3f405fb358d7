import { Router } from 'express'
import type { GearsetLibrary } from './GearsetLibrary'

export function gearsetRoutes(library: GearsetLibrary): Router {
  const routes = Router()
  routes.get('/gearsets', async (_request, response) => void response.json(await library.list()))
  return routes
}
