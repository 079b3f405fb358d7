import type { ServerResponse } from 'node:http'

const waiting = new WeakMap<ServerResponse, (() => void)[]>()

/**
 * Does something once an answer is done with, sent or not; at once where its client has gone already. However many wait for
 * one answer, there is one listener.
 */
export function whenClosed(response: ServerResponse, then: () => void): void {
  if (response.closed) return then()
  const others = waiting.get(response)
  if (others) return void others.push(then)
  const all = [then]
  waiting.set(response, all)
  response.once('close', () => {
    for (const each of all) each()
  })
}
