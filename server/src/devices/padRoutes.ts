import { padOrders } from '@bold-ballast/contract'
import express, { Router } from 'express'
import { parse } from '../http/parse'
import type { simulatedPadSource } from './simulatedPadSource'
import { streamEvents } from './streamEvents'

/** Pads as they read, streamed by server-sent events; and orders for the simulated ones. */
export function padRoutes(pads: ReturnType<typeof simulatedPadSource>): Router {
  const routes = Router()
  routes.get('/devices/pads', (request, response) =>
    streamEvents(request, response, 'pads', { name: pads.name, resolution: pads.resolution }, pads.listen),
  )
  routes.post('/devices/pads/orders', express.json({ limit: '10kb' }), (request, response) => {
    pads.order(parse(padOrders, request.body))
    response.status(204).end()
  })
  return routes
}
