/** An event of a stream; `message` for a reading, `error` while the line is cut. */
export interface StreamNews {
  readonly name: string
  readonly data: string
}

/** A browser gives a stream up for good where it was answered by anything but one; then it is opened anew. */
const AGAIN_MS = 5000

/**
 * Opens a stream of the server, and again whenever it is cut.
 *
 * @param names of events beside readings
 */
export function listenTo(
  url: string,
  names: readonly string[],
  hear: (news: StreamNews) => void,
): { readonly close: () => void } {
  let again: ReturnType<typeof setTimeout> | undefined
  let source: EventSource
  const open = () => {
    source = new EventSource(url)
    for (const name of names)
      source.addEventListener(name, (event) => hear({ name, data: (event as MessageEvent<string>).data }))
    source.onmessage = (event: MessageEvent<string>) => hear({ name: 'message', data: event.data })
    source.onerror = () => {
      hear({ name: 'error', data: '' })
      if (source.readyState === EventSource.CLOSED) again = setTimeout(open, AGAIN_MS)
    }
  }
  open()
  return {
    close: () => {
      clearTimeout(again)
      source.close()
    },
  }
}
