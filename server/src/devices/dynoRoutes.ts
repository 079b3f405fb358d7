import { dynoOrders } from '@bold-ballast/contract'
import express, { Router } from 'express'
import type { Knex } from 'knex'
import { placeOf } from '../access/Caller'
import { parse } from '../http/parse'
import type { LiveHub } from '../live/LiveHub'
import { tell } from '../live/Signals'
import type { RoomOf } from '../workshop/Workrooms'
import { streamEvents } from './streamEvents'

/** The dyno as it reads, streamed by server-sent events; and orders for the simulated one. */
export function dynoRoutes(db: Knex, hub: LiveHub, roomOf: RoomOf): Router {
  const routes = Router()
  routes.get('/devices/dyno', (request, response) => {
    const { name, engines, listen } = roomOf(request).dyno
    streamEvents(hub, request, response, 'dyno', { name, engines }, listen)
  })
  routes.post('/devices/dyno/orders', express.json({ limit: '10kb' }), async (request, response) => {
    const orders = parse(dynoOrders, request.body)
    // Opened here, it hears of it like the others.
    roomOf(request)
    await tell(db, { kind: 'ordered', workshopId: placeOf(request).workshopId, device: 'dyno', orders })
    response.status(204).end()
  })
  return routes
}
