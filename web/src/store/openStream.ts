/** An event of a stream; `message` for a reading, `error` while the line is cut. */
export interface StreamNews {
  readonly name: string
  readonly data: string
}
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
    const source = new EventSource(url)
    for (const name of names)
      source.addEventListener(name, (event) => hear({ name, data: (event as MessageEvent<string>).data }))
    source.onmessage = (event: MessageEvent<string>) => hear({ name: 'message', data: event.data })
    source.onerror = () => hear({ name: 'error', data: '' })
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
