import { vi } from 'vitest'

/** For tests: a server that gives one answer to everything, or never answers. */
export function stubServer(
  answer: { readonly status: number; readonly body: object } | 'never',
  more: Readonly<Record<string, string>> = {},
): void {
  const headers = { 'content-type': 'application/json', ...more }
  vi.stubGlobal('fetch', () =>
    answer === 'never'
      ? new Promise(() => undefined)
      : Promise.resolve(new Response(JSON.stringify(answer.body), { status: answer.status, headers })),
  )
  // A request wants a whole address, which a browser makes of the page’s own.
  const { Request: Own } = globalThis
  vi.stubGlobal(
    'Request',
    class extends Own {
      constructor(input: RequestInfo | URL, init?: RequestInit) {
        super(typeof input === 'string' ? new URL(input, 'http://localhost') : input, init)
      }
    },
  )
}
