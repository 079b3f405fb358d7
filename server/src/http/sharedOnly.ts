import type { RequestHandler } from 'express'
import { reachOf, type Addresses } from './reachOf'

/** What a shared sheet is made of: the page, its script and fonts, and the one answer it asks for. */
const SHARED = [
  /^\/shared\/[\w-]+$/,
  /^\/assets\/[\w.-]+$/,
  /^\/api\/v1\/shared\/[\w-]+$/,
  /^\/favicon\.\w+$/,
]

/**
 * Under the host that links are given out with, nothing but shared sheets is there, whatever a proxy lets through; and
 * where there is such a host, nothing else is there for anybody whom a proxy asks for, under whichever name it asks.
 * Without such a host no proxy is expected, and none is answered: whoever put one up would give everything away.
 */
export const sharedOnly =
  (addresses: Addresses): RequestHandler =>
  (request, response, next) => {
    if (reachOf(request, addresses) !== 'shared') return next()
    if (addresses.shareHost === null)
      return void response
        .status(403)
        .type('text')
        .send(
          'This answers on its own machine only. SHARE_ORIGIN lets a proxy hand on shared sheets, PUBLIC_ORIGIN everything to whoever signs in.',
        )
    const isRead = request.method === 'GET' || request.method === 'HEAD'
    if (isRead && SHARED.some((path) => path.test(request.path))) return next()
    response.status(404).type('text').send('Nothing is here.')
  }
