import { Router } from 'express'
import type { ClaimsRecord } from './ClaimsRecord'

export function claimsRoutes(record: ClaimsRecord): Router {
  const routes = Router()
  routes.get('/claims', async (_request, response) => void response.json(await record.list()))
  return routes
}
