import { dynoOrders } from '@bold-ballast/contract'
import express, { Router } from 'express'
import { parse } from '../http/parse'
import type { simulatedDynoSource } from './simulatedDynoSource'
import { streamEvents } from './streamEvents'

/** The dyno as it reads, streamed by server-sent events; and orders for the simulated one. */
export function dynoRoutes(dyno: ReturnType<typeof simulatedDynoSource>): Router {
  const routes = Router()
  routes.get('/devices/dyno', (request, response) =>
    streamEvents(request, response, 'dyno', { name: dyno.name, engines: dyno.engines }, dyno.listen),
  )
  routes.post('/devices/dyno/orders', express.json({ limit: '10kb' }), (request, response) => {
    dyno.order(parse(dynoOrders, request.body))
    response.status(204).end()
  })
  return routes
}
