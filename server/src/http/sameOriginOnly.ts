import { RUN_LOG_TYPE } from '@bold-ballast/contract'
import type { RequestHandler } from 'express'
import { reachOf, type Addresses } from './reachOf'
import { Refusal } from './Refusal'

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS'])

/**
 * Only this application's own pages may talk to it: the Host must be one of its own (a rebound name is
 * refused), and a request that a browser says comes from another site is refused, reading or writing.
 */
export const sameOriginOnly =
  (addresses: Addresses): RequestHandler =>
  (request, _response, next) => {
    const host = request.headers.host ?? ''
    const foreign = (detail: string) => next(new Refusal(403, 'foreign-origin', 'Not from here', detail))
    if (reachOf(request, addresses) === 'foreign')
      return foreign('This server answers only under its own address.')
    const { origin } = request.headers
    if (origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`) {
      return foreign('A page on another site can’t read or write here.')
    }
    const site = request.headers['sec-fetch-site']
    const isNavigation =
      request.headers['sec-fetch-mode'] === 'navigate' &&
      SAFE.has(request.method) &&
      !request.path.startsWith('/api/')
    if (site !== undefined && site !== 'same-origin' && site !== 'none' && !isNavigation) {
      return foreign('A page on another site can’t read or write here.')
    }
    // A cross-site form can post only as a form; JSON, packed files and pictures make the browser ask first, and it gets no leave.
    if (
      !SAFE.has(request.method) &&
      request.method !== 'DELETE' &&
      !request.is(['application/json', 'application/gzip', RUN_LOG_TYPE, 'image/*'])
    ) {
      return next(
        new Refusal(
          415,
          'not-json',
          'Only JSON, or a picture',
          'Send the body as application/json; a workshop as application/gzip; a photograph as JPEG, PNG or WebP; a log as it is packed under Days, Logs.',
        ),
      )
    }
    next()
  }
