import { buildFileJsonSchema, openApi } from '@bold-ballast/contract'
import compression from 'compression'
import expressStaticGzip from 'express-static-gzip'
import express, { type ErrorRequestHandler, type Express, type Request } from 'express'
import { rateLimit } from 'express-rate-limit'
import helmet from 'helmet'
import type { Knex } from 'knex'
import { join } from 'node:path'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import { BuildHistory } from './builds/BuildHistory'
import { BuildStore } from './builds/BuildStore'
import { buildRoutes } from './builds/buildRoutes'
import { notFound, Refusal } from './http/Refusal'
import { dynoRoutes } from './devices/dynoRoutes'
import { padRoutes } from './devices/padRoutes'
import { simulatedDynoSource } from './devices/simulatedDynoSource'
import { simulatedPadSource } from './devices/simulatedPadSource'
import { ClaimsRecord } from './claims/ClaimsRecord'
import { claimsRoutes } from './claims/claimsRoutes'
import { gearsetRoutes } from './gearsets/gearsetRoutes'
import { GearsetLibrary } from './gearsets/GearsetLibrary'
import { InstrumentLibrary } from './instruments/InstrumentLibrary'
import type { HeavyWork } from './heavy/HeavyWork'
import { instrumentRoutes } from './instruments/instrumentRoutes'
import { columnRoutes } from './columns/columnRoutes'
import { PrintoutColumnsLibrary } from './columns/PrintoutColumnsLibrary'
import { partRoutes } from './parts/partRoutes'
import { PartsLibrary } from './parts/PartsLibrary'
import { photoRoutes } from './photos/photoRoutes'
import { PhotoStore } from './photos/PhotoStore'
import { sharedRoutes, shareRoutes } from './shares/shareRoutes'
import { ShareStore } from './shares/ShareStore'
import { refusalFrom } from './http/refusalFrom'
import { sharedHostOnly } from './http/sharedHostOnly'
import { sameOriginOnly } from './http/sameOriginOnly'
import { metricsOf } from './metrics/metricsOf'
import { workshopRoutes } from './workshop/workshopRoutes'

export interface AppOptions {
  readonly db: Knex
  readonly heavy: HeavyWork
  readonly workshop: { id: string; name: string }
  readonly log: Logger
  /** Folder of the built web client; left out, only the API is served. */
  readonly webRoot?: string
  /** Where links to shared sheets lead, such as https://proof.example.org; null where this machine only opens them. */
  readonly shareOrigin?: string | null
  /** Requests a minute from one address. */
  readonly requestsAMinute?: number
  /** Whether it is about to stop: it still answers, but nothing new should be sent to it. */
  readonly isClosing?: () => boolean
}

/** Of the requests a minute, for those who have a link; and never more than this. */
const SHARED_SHARE = 0.2
const MOST_SHARED = 600

const atMostAMinute = (limit: number, skip: (request: Request) => boolean = () => false) =>
  rateLimit({
    windowMs: 60_000,
    limit,
    skip,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_request, _response, next) =>
      next(
        new Refusal(
          429,
          'too-many',
          'Too fast',
          'More requests than this server takes in a minute. It is tried again shortly.',
        ),
      ),
  })

/** The whole HTTP face: the API under /api/v1, and the web client under everything else. */
export function createApp({
  db,
  heavy,
  workshop,
  log,
  webRoot,
  shareOrigin = null,
  requestsAMinute = 60_000,
  isClosing = () => false,
}: AppOptions): Express {
  const app = express()
  app.disable('x-powered-by')
  // A build is never cached, so a hash of it would be work for nothing.
  app.disable('etag')
  const metrics = metricsOf(db)
  app.use(metrics.time)
  app.use(pinoHttp({ logger: log, autoLogging: false }))
  app.use(
    helmet({
      // Plain HTTP on loopback: asking browsers for HTTPS would only lock people out.
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          // The ballast planner is compiled to WebAssembly.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          // The chart library sets styles from script.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          workerSrc: ["'self'", 'blob:'],
          frameAncestors: ["'none'"],
          upgradeInsecureRequests: null,
        },
      },
    }),
  )
  const shareHost = shareOrigin === null ? null : new URL(shareOrigin).host
  app.use(sharedHostOnly(shareHost))
  app.use(sameOriginOnly(shareHost === null ? [] : [shareHost]))
  // Over loopback, packing a build costs more than sending it; script and style may go through a proxy one day.
  app.use(compression({ filter: (request) => !(request as Request).originalUrl.startsWith('/api/') }))

  const api = express.Router()
  // Behind a proxy everybody has one address: guesses at links must not eat what the workshop itself may ask.
  api.use('/shared', atMostAMinute(Math.min(MOST_SHARED, Math.ceil(requestsAMinute * SHARED_SHARE))))
  api.use(atMostAMinute(requestsAMinute, (request) => request.path.startsWith('/shared/')))
  api.use((_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store')
    next()
  })
  api.get('/openapi.json', (_request, response) => void response.json(openApi()))
  api.get('/schema/build.json', (_request, response) => void response.json(buildFileJsonSchema()))
  api.get('/health', async (_request, response) => {
    await db.raw('select 1')
    response.json({ ok: true })
  })
  api.get('/ready', async (_request, response) => {
    if (isClosing())
      throw new Refusal(
        503,
        'closing',
        'Closing',
        'This server is about to stop. Ask another, or try again shortly.',
      )
    await db.raw('select 1')
    response.json({ ready: true })
  })
  api.get('/workshop', (_request, response) => void response.json({ name: workshop.name, shareOrigin }))
  api.use(workshopRoutes(heavy, workshop))
  api.use(padRoutes(simulatedPadSource()))
  api.use(dynoRoutes(simulatedDynoSource()))
  api.use(claimsRoutes(new ClaimsRecord(db, workshop.id)))
  api.use(gearsetRoutes(new GearsetLibrary(db, workshop.id)))
  api.use(instrumentRoutes(new InstrumentLibrary(db, workshop.id)))
  api.use(columnRoutes(new PrintoutColumnsLibrary(db, workshop.id)))
  api.use(partRoutes(new PartsLibrary(db, workshop.id)))
  api.use(photoRoutes(new PhotoStore(db, workshop.id)))
  const shares = new ShareStore(db, workshop.id)
  api.use(sharedRoutes(shares))
  api.use(shareRoutes(shares))
  api.use(buildRoutes(new BuildStore(db, workshop.id, heavy), new BuildHistory(db, workshop.id)))
  api.use(() => {
    throw notFound('resource')
  })
  app.use('/api/v1', api)
  app.use('/api', () => {
    throw notFound('resource')
  })

  app.get('/metrics', metrics.answer)

  if (webRoot) {
    app.use(
      '/assets',
      // Packed once at the build, as small as it gets; unpacked for whoever can't read that.
      expressStaticGzip(join(webRoot, 'assets'), {
        enableBrotli: true,
        orderPreference: ['br'],
        index: false,
        serveStatic: { immutable: true, maxAge: '1y', fallthrough: false },
      }),
    )
    app.use(express.static(webRoot, { maxAge: 0 }))
    app.get('/{*path}', (_request, response) =>
      response.sendFile(join(webRoot, 'index.html'), { cacheControl: false }),
    )
  }

  const onError: ErrorRequestHandler = (error, request, response, _next) => {
    const refusal = refusalFrom(error)
    if (refusal.status === 500) request.log.error(error)
    if (refusal.status === 503) response.setHeader('Retry-After', '1')
    response.status(refusal.status).type('application/problem+json').send(JSON.stringify(refusal.toProblem()))
  }
  app.use(onError)
  return app
}
