import { loggerOrders } from '@bold-ballast/contract'
import express, { Router } from 'express'
import type { Knex } from 'knex'
import { placeOf } from '../access/Caller'
import { parse } from '../http/parse'
import type { LiveHub } from '../live/LiveHub'
import { tell } from '../live/Signals'
import type { RoomOf } from '../workshop/Workrooms'
import { streamEvents } from './streamEvents'

/** The logger as it records, streamed by server-sent events; and orders for the simulated one. */
export function loggerRoutes(db: Knex, hub: LiveHub, roomOf: RoomOf): Router {
  const routes = Router()
  routes.get('/devices/logger', (request, response) => {
    const { name, isSimulated, listen } = roomOf(request).logger
    streamEvents(hub, request, response, 'logger', { name, isSimulated }, listen)
  })
  routes.post('/devices/logger/orders', express.json({ limit: '10kb' }), async (request, response) => {
    const orders = parse(loggerOrders, request.body)
    // Opened here, it hears of it like the others.
    roomOf(request)
    await tell(db, { kind: 'ordered', workshopId: placeOf(request).workshopId, device: 'logger', orders })
    response.status(204).end()
  })
  return routes
}
