import { dynoOrders } from '@bold-ballast/contract'
import express, { Router } from 'express'
import { parse } from '../http/parse'
import type { RoomOf } from '../workshop/Workrooms'
import { streamEvents } from './streamEvents'

/** The dyno as it reads, streamed by server-sent events; and orders for the simulated one. */
export function dynoRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  routes.get('/devices/dyno', (request, response) => {
    const { name, engines, listen } = roomOf(request).dyno
    streamEvents(request, response, 'dyno', { name, engines }, listen)
  })
  routes.post('/devices/dyno/orders', express.json({ limit: '10kb' }), (request, response) => {
    roomOf(request).dyno.order(parse(dynoOrders, request.body))
    response.status(204).end()
  })
  return routes
}
