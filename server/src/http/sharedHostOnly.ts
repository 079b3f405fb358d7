import type { RequestHandler } from 'express'

/** What a shared sheet is made of: the page, its script and fonts, and the one answer it asks for. */
const SHARED = [
  /^\/shared\/[\w-]+$/,
  /^\/assets\/[\w.-]+$/,
  /^\/api\/v1\/shared\/[\w-]+$/,
  /^\/favicon\.\w+$/,
]

/**
 * Under the host that links are given out with, nothing but shared sheets is there, whatever a proxy lets through.
 *
 * @param host of SHARE_ORIGIN, with its port where it has one; null where sheets are shared on this machine only
 */
export const sharedHostOnly =
  (host: string | null): RequestHandler =>
  (request, response, next) => {
    if (host === null || request.headers.host !== host) return next()
    const isRead = request.method === 'GET' || request.method === 'HEAD'
    if (isRead && SHARED.some((path) => path.test(request.path))) return next()
    response.status(404).type('text').send('Nothing is here.')
  }
