import { padOrders } from '@bold-ballast/contract'
import express, { Router } from 'express'
import type { Knex } from 'knex'
import { placeOf } from '../access/Caller'
import { parse } from '../http/parse'
import type { LiveHub } from '../live/LiveHub'
import { tell } from '../live/Signals'
import type { RoomOf } from '../workshop/Workrooms'
import { streamEvents } from './streamEvents'

/** Pads as they read, streamed by server-sent events; and orders for the simulated ones. */
export function padRoutes(db: Knex, hub: LiveHub, roomOf: RoomOf): Router {
  const routes = Router()
  routes.get('/devices/pads', (request, response) => {
    const { name, resolution, listen } = roomOf(request).pads
    streamEvents(hub, request, response, 'pads', { name, resolution }, listen)
  })
  routes.post('/devices/pads/orders', express.json({ limit: '10kb' }), async (request, response) => {
    const orders = parse(padOrders, request.body)
    // Opened here, it hears of it like the others.
    roomOf(request)
    await tell(db, { kind: 'ordered', workshopId: placeOf(request).workshopId, device: 'pads', orders })
    response.status(204).end()
  })
  return routes
}
