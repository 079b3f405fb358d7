import { listenTo, type StreamNews } from '../store/listenTo'
import type { StreamOrder } from '../store/openStream'

/** What TypeScript's library for pages doesn't know of a worker that tabs share. */
interface SharedScope {
  onconnect: ((event: MessageEvent) => void) | null
}

/**
 * One connection for each stream of the server, however many tabs look at it: a browser has six for one server in all,
 * and six tabs with live pads would leave none for anything else.
 */
interface Shared {
  readonly source: ReturnType<typeof listenTo>
  readonly ports: Set<MessagePort>
  /** What the stream said it is, for tabs that come later. */
  first: StreamNews | null
}
const streams = new Map<string, Shared>()

function openShared(url: string, names: readonly string[]): Shared {
  const ports = new Set<MessagePort>()
  const source = listenTo(url, names, (news) => {
    // The first thing a device says is what it is; on a line that is cut nothing is, until it says so again.
    if (news.name === 'error') shared.first = null
    else if (names.includes(news.name)) shared.first ??= news
    for (const port of ports) port.postMessage(news)
  })
  const shared: Shared = { source, ports, first: null }
  streams.set(url, shared)
  return shared
}

const scope = globalThis as typeof globalThis & SharedScope
scope.onconnect = ({ ports: [port] }) => {
  if (!port) return
  port.onmessage = ({ data: order }: MessageEvent<StreamOrder>) => {
    const { url } = order
    if (order.does === 'open') {
      const shared = streams.get(url) ?? openShared(url, order.names)
      shared.ports.add(port)
      if (shared.first) port.postMessage(shared.first)
      return
    }
    const shared = streams.get(url)
    shared?.ports.delete(port)
    if (shared?.ports.size !== 0) return
    shared.source.close()
    streams.delete(url)
  }
}
