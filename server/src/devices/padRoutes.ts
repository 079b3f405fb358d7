import { padOrders } from '@bold-ballast/contract'
import express, { Router } from 'express'
import { parse } from '../http/parse'
import type { simulatedPadSource } from './simulatedPadSource'

/** Pads as they read, streamed by server-sent events; and orders for the simulated ones. */
export function padRoutes(pads: ReturnType<typeof simulatedPadSource>): Router {
  const routes = Router()
  routes.get('/devices/pads', (request, response) => {
    response.writeHead(200, { 'content-type': 'text/event-stream', connection: 'keep-alive' })
    response.write(
      `event: pads\ndata: ${JSON.stringify({ name: pads.name, resolution: pads.resolution })}\n\n`,
    )
    const stop = pads.listen((reading) => {
      response.write(reading ? `data: ${JSON.stringify(reading)}\n\n` : 'event: lost\ndata: {}\n\n')
    })
    request.on('close', stop)
  })
  routes.post('/devices/pads/orders', express.json({ limit: '10kb' }), (request, response) => {
    pads.order(parse(padOrders, request.body))
    response.status(204).end()
  })
  return routes
}
