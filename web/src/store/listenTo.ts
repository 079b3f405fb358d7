/** An event of a stream; `message` for a reading, `error` while the line is cut. */
export interface StreamNews {
  readonly name: string
  readonly data: string
}

/**
 * Opens a stream of the server.
 *
 * @param names of events beside readings
 */
export function listenTo(
  url: string,
  names: readonly string[],
  hear: (news: StreamNews) => void,
): EventSource {
  const source = new EventSource(url)
  for (const name of names)
    source.addEventListener(name, (event) => hear({ name, data: (event as MessageEvent<string>).data }))
  source.onmessage = (event: MessageEvent<string>) => hear({ name: 'message', data: event.data })
  source.onerror = () => hear({ name: 'error', data: '' })
  return source
}
