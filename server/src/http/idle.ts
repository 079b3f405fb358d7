import type { Request } from 'express'

/** A client that sends or takes nothing for so long has gone, whatever its connection says. */
export const IDLE_MS = 20_000

/** Cuts a connection on which nothing moves: half an upload, or a download that nobody takes. */
export const cutWhenIdle = (request: Request, ms: number = IDLE_MS): void => {
  request.socket.setTimeout(ms, () => request.socket.destroy())
}
