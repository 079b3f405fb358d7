import type { Response } from 'express'

/** Does something once an answer is done with, sent or not; at once where its client has gone already. */
export function whenClosed(response: Response, then: () => void): void {
  if (response.closed) then()
  else response.once('close', then)
}
