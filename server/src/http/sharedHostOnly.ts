import type { RequestHandler } from 'express'

/** What a shared sheet is made of: the page, its script and fonts, and the one answer it asks for. */
const SHARED = [
  /^\/shared\/[\w-]+$/,
  /^\/assets\/[\w.-]+$/,
  /^\/api\/v1\/shared\/[\w-]+$/,
  /^\/favicon\.\w+$/,
]

/** The headers in which proxies say for whom they ask, under all the names that are about. */
const FORWARDED =
  /^(forwarded|via|(x-)?real-ip|x-(original-)?forwarded(-.*)?|x-original-(host|url)|.*(client|connecting)-ip)$/

const isProxied = (headers: object): boolean => Object.keys(headers).some((name) => FORWARDED.test(name))

/**
 * Under the host that links are given out with, nothing but shared sheets is there, whatever a proxy lets through; and
 * where there is such a host, nothing else is there for anybody whom a proxy asks for, under whichever name it asks.
 * Without such a host no proxy is expected, and none is answered: whoever put one up would give everything away.
 *
 * @param host of SHARE_ORIGIN, with its port where it has one; null where sheets are shared on this machine only
 */
export const sharedHostOnly =
  (host: string | null): RequestHandler =>
  (request, response, next) => {
    const proxied = isProxied(request.headers)
    if (!proxied && (host === null || request.headers.host !== host)) return next()
    if (host === null)
      return void response
        .status(403)
        .type('text')
        .send('This answers on its own machine only. SHARE_ORIGIN lets a proxy hand on shared sheets.')
    const isRead = request.method === 'GET' || request.method === 'HEAD'
    if (isRead && SHARED.some((path) => path.test(request.path))) return next()
    response.status(404).type('text').send('Nothing is here.')
  }
