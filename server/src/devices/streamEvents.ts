import type { Request, Response } from 'express'
import { callerOf, placeOf } from '../access/Caller'
import { whenClosed } from '../http/whenClosed'
import type { LiveHub } from '../live/LiveHub'

/**
 * Streams what a device shows as server-sent events: first what it is, then each reading, `lost` while its line is
 * cut. Stops listening when the reader hangs up, or may no longer read.
 *
 * @param hub ends it with the session that it belongs to
 * @param name of the first event
 */
export function streamEvents<T>(
  hub: LiveHub,
  request: Request,
  response: Response,
  name: string,
  device: object,
  listen: (listener: (reading: T | null) => void) => () => void,
): void {
  response.writeHead(200, { 'content-type': 'text/event-stream', connection: 'keep-alive' })
  // A HEAD asks what there is, and waits for no readings.
  if (request.method === 'HEAD') return void response.end()
  response.write(`event: ${name}\ndata: ${JSON.stringify(device)}\n\n`)
  const stop = listen((reading) => {
    response.write(reading ? `data: ${JSON.stringify(reading)}\n\n` : 'event: lost\ndata: {}\n\n')
  })
  whenClosed(response, stop)
  const { workshopId, role } = placeOf(request)
  hub.hold(response, { workshopId, role, sessionId: callerOf(request).sessionId })
}
