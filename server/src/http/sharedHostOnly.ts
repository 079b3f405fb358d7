import type { RequestHandler } from 'express'

/** What a shared sheet is made of: the page, its script and fonts, and the one answer it asks for. */
const SHARED = [
  /^\/shared\/[\w-]+$/,
  /^\/assets\/[\w.-]+$/,
  /^\/api\/v1\/shared\/[\w-]+$/,
  /^\/favicon\.\w+$/,
]

/** What a proxy says of whom it asks for. */
const FORWARDED = ['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'via'] as const

/**
 * Under the host that links are given out with, nothing but shared sheets is there, whatever a proxy lets through; and
 * where there is such a host, nothing else is there for anybody whom a proxy asks for, under whichever name it asks.
 *
 * @param host of SHARE_ORIGIN, with its port where it has one; null where sheets are shared on this machine only
 */
export const sharedHostOnly =
  (host: string | null): RequestHandler =>
  (request, response, next) => {
    const isOutside = request.headers.host === host || FORWARDED.some((name) => name in request.headers)
    if (host === null || !isOutside) return next()
    const isRead = request.method === 'GET' || request.method === 'HEAD'
    if (isRead && SHARED.some((path) => path.test(request.path))) return next()
    response.status(404).type('text').send('Nothing is here.')
  }
