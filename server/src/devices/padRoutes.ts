import { padOrders } from '@bold-ballast/contract'
import express, { Router } from 'express'
import { parse } from '../http/parse'
import type { RoomOf } from '../workshop/Workrooms'
import { streamEvents } from './streamEvents'

/** Pads as they read, streamed by server-sent events; and orders for the simulated ones. */
export function padRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  routes.get('/devices/pads', (request, response) => {
    const { name, resolution, listen } = roomOf(request).pads
    streamEvents(request, response, 'pads', { name, resolution }, listen)
  })
  routes.post('/devices/pads/orders', express.json({ limit: '10kb' }), (request, response) => {
    roomOf(request).pads.order(parse(padOrders, request.body))
    response.status(204).end()
  })
  return routes
}
