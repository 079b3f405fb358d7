import type { Request, RequestHandler, Response } from 'express'
import type { Knex } from 'knex'
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client'

/** s; a build is read in a few milliseconds, a workshop is taken in in seconds. */
const BUCKETS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10, 60]

const API = '/api/v1'

/** The pattern that answered, never the path itself: ids would make a row of figures for each build. */
const routeOf = (request: Request): string => {
  const route: unknown = request.route
  if (typeof route !== 'object' || route === null || !('path' in route)) return 'none'
  // A router that was left by a refusal has taken its prefix back.
  return `${request.originalUrl.startsWith(API) ? API : ''}${String(route.path)}`
}

/** As much of a connection pool as is counted. */
interface Pool {
  readonly numUsed: () => number
  readonly numPendingAcquires: () => number
}
const isPool = (pool: unknown): pool is Pool =>
  typeof pool === 'object' && pool !== null && 'numUsed' in pool && 'numPendingAcquires' in pool

/**
 * What this server does and how long it takes, in the words of Prometheus; nothing of what is in the workshop.
 *
 * @returns what times every request, and what answers with the figures
 */
export function metricsOf(db: Knex): { readonly time: RequestHandler; readonly answer: RequestHandler } {
  const register = new Registry()
  collectDefaultMetrics({ register, prefix: 'bold_ballast_' })
  const seconds = new Histogram({
    name: 'bold_ballast_request_seconds',
    help: 'Time to answer a request, by the route that answered.',
    labelNames: ['method', 'route', 'status'],
    buckets: BUCKETS,
    registers: [register],
  })
  const pool: unknown = db.client.pool
  const gauge = (name: string, help: string, of: (pool: Pool) => number) =>
    new Gauge({
      name: `bold_ballast_${name}`,
      help,
      registers: [register],
      collect() {
        if (isPool(pool)) this.set(of(pool))
      },
    })
  gauge('connections_used', 'Connections to the database in use.', (p) => p.numUsed())
  gauge('connections_awaited', 'Requests that wait for one.', (p) => p.numPendingAcquires())
  return {
    time: (request, response: Response, next) => {
      const stop = seconds.startTimer()
      response.once('finish', () =>
        stop({ method: request.method, route: routeOf(request), status: response.statusCode }),
      )
      next()
    },
    answer: (_request, response, next) => {
      register
        .metrics()
        .then((text) => response.type(register.contentType).send(text))
        .catch(next)
    },
  }
}
