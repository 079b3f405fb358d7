import type { Request, Response } from 'express'
import { whenClosed } from '../http/whenClosed'

/**
 * Streams what a device shows as server-sent events: first what it is, then each reading, `lost` while its line is
 * cut. Stops listening when the reader hangs up.
 *
 * @param name of the first event
 */
export function streamEvents<T>(
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
}
