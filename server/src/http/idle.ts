import type { Request } from 'express'
import { whenClosed } from './whenClosed'

/** A client that sends or takes nothing for so long has gone, whatever its connection says. */
export const IDLE_MS = 20_000

/**
 * Cuts a connection on which nothing moves: half an upload, or a download that nobody takes. Begun only once bytes are to
 * move: until then it is this server that lets the client wait.
 *
 * @returns ends it, and leaves the connection as it was; it ends by itself with the answer
 */
export function cutWhenIdle(request: Request, ms: number = IDLE_MS): () => void {
  const { socket } = request
  const before = socket.timeout ?? 0
  const cut = () => void socket.destroy()
  socket.setTimeout(ms)
  socket.once('timeout', cut)
  const over = () => {
    socket.off('timeout', cut)
    socket.setTimeout(before)
  }
  if (request.res) whenClosed(request.res, over)
  return over
}

/** While this server works on something nobody is idle: no timer runs. */
export function letWait(request: Request): void {
  const { socket } = request
  const before = socket.timeout ?? 0
  socket.setTimeout(0)
  if (request.res) whenClosed(request.res, () => void socket.setTimeout(before))
}
