import type { Request } from 'express'
import { whenClosed } from './whenClosed'

/** Told when the client of a request has gone before its answer. */
export function goneSignal(request: Request): AbortSignal {
  const gone = new AbortController()
  const { res: response } = request
  if (response)
    whenClosed(response, () => {
      if (!response.writableFinished) gone.abort()
    })
  return gone.signal
}
