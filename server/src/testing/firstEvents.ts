/** The first events of a stream, then hung up. */
export async function firstEvents(url: string, count: number): Promise<{ event: string; data: unknown }[]> {
  const hangUp = new AbortController()
  const response = await fetch(url, { signal: hangUp.signal })
  if (response.headers.get('content-type') !== 'text/event-stream') throw new Error('no stream of events')
  const found: { event: string; data: unknown }[] = []
  let rest = ''
  for await (const chunk of response.body!.pipeThrough(new TextDecoderStream())) {
    const parts = (rest + chunk).split('\n\n')
    rest = parts.pop()!
    for (const part of parts) {
      const event = /^event: (.*)$/m.exec(part)?.[1] ?? 'message'
      const data = /^data: (.*)$/m.exec(part)?.[1]
      // A beat only says that the line is there.
      if (data !== undefined) found.push({ event, data: JSON.parse(data) })
    }
    if (found.length >= count) break
  }
  hangUp.abort()
  return found.slice(0, count)
}
