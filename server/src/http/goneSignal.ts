import type { Request } from 'express'

/** Told when the client of a request has gone before its answer. */
export function goneSignal(request: Request): AbortSignal {
  const gone = new AbortController()
  request.res?.once('close', () => {
    if (!request.res?.writableFinished) gone.abort()
  })
  return gone.signal
}
