import { listenTo, type StreamNews } from './listenTo'

export type StreamOrder =
  | { readonly does: 'open'; readonly url: string; readonly names: readonly string[] }
  | { readonly does: 'close'; readonly url: string }

/**
 * Listens to a stream of the server, sharing one connection with all other tabs; where a browser has no shared workers,
 * through one of its own.
 *
 * @param names of events beside readings; the first is what the device says that it is
 * @returns stops listening
 */
export function openStream(
  url: string,
  names: readonly string[],
  hear: (news: StreamNews) => void,
): () => void {
  if (typeof SharedWorker === 'undefined') {
    const source = listenTo(url, names, hear)
    return () => source.close()
  }
  const worker = new SharedWorker(new URL('../workers/streams.shared.ts', import.meta.url), {
    type: 'module',
  })
  const { port } = worker
  const order = (what: StreamOrder) => port.postMessage(what)
  port.onmessage = (event: MessageEvent<StreamNews>) => hear(event.data)
  order({ does: 'open', url, names })
  const close = () => {
    order({ does: 'close', url })
    port.close()
    removeEventListener('pagehide', close)
  }
  // A tab that is closed says so; nothing else would tell the worker.
  addEventListener('pagehide', close)
  return close
}
