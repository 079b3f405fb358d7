import type { Server } from 'node:http'
import type { Server as SecureServer } from 'node:https'

/** Nothing moved on a connection for so long while it was being talked to: it is cut. Streams move all the time. */
const STALLED_MS = 120_000
/** For the whole of a request to be here; a workshop on a slow disk takes the longest. */
const REQUEST_MS = 300_000
/** More than all tabs of a workshop have, and far less than a machine has room for. */
const MOST_CONNECTIONS = 1000

/** Cuts clients that send by halves, or take nothing. */
export function limitClients(server: Server | SecureServer, stalledMs = STALLED_MS): void {
  server.setTimeout(stalledMs)
  server.headersTimeout = Math.min(20_000, stalledMs)
  server.requestTimeout = REQUEST_MS
  server.maxConnections = MOST_CONNECTIONS
}
