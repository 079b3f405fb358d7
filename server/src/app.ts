import { buildFileJsonSchema, FORMAT_HEADER, FORMAT_VERSION, openApi } from '@bold-ballast/contract'
import compression from 'compression'
import expressStaticGzip from 'express-static-gzip'
import express, { type ErrorRequestHandler, type Express, type Request } from 'express'
import { rateLimit } from 'express-rate-limit'
import helmet from 'helmet'
import type { Knex } from 'knex'
import { join } from 'node:path'
import type { Logger } from 'pino'
import { buildRoutes } from './builds/buildRoutes'
import { logRequests } from './http/logOf'
import { notFound, Refusal } from './http/Refusal'
import { dynoRoutes } from './devices/dynoRoutes'
import { loggerRoutes } from './devices/loggerRoutes'
import { padRoutes } from './devices/padRoutes'
import { claimsRoutes } from './claims/claimsRoutes'
import { reckoningRoutes } from './reckoning/reckoningRoutes'
import { shopRoutes } from './shop/shopRoutes'
import { courseRoutes } from './courses/courseRoutes'
import { gearsetRoutes } from './gearsets/gearsetRoutes'
import type { Garage } from './garage/Garage'
import { garageRoutes } from './garage/garageRoutes'
import { homeRoutes } from './homes/homeRoutes'
import type { HeavyWork } from './heavy/HeavyWork'
import { instrumentRoutes } from './instruments/instrumentRoutes'
import { columnRoutes } from './columns/columnRoutes'
import { partRoutes } from './parts/partRoutes'
import { runLogRoutes } from './logs/runLogRoutes'
import { photoRoutes } from './photos/photoRoutes'
import { sharedRoutes, shareRoutes } from './shares/shareRoutes'
import { refusalFrom } from './http/refusalFrom'
import { sharedOnly } from './http/sharedOnly'
import { reachOf, type Addresses } from './http/reachOf'
import { sameOriginOnly } from './http/sameOriginOnly'
import { metricsOf } from './metrics/metricsOf'
import type { LiveHub } from './live/LiveHub'
import { liveRoutes } from './live/liveRoutes'
import { WorkshopExports } from './workshop/WorkshopExports'
import { workshopRoutes } from './workshop/workshopRoutes'
import { Workrooms } from './workshop/Workrooms'
import { accessRoutes } from './access/accessRoutes'
import { AuditTrail } from './access/AuditTrail'
import { Guesses } from './access/Guesses'
import { guard, workshopFirst } from './access/guard'
import { Accounts, identify } from './access/identify'
import { KnownDevices } from './access/KnownDevices'
import { Passes } from './access/Passes'
import { People } from './access/People'
import { Sessions } from './access/Sessions'

export interface AppOptions {
  readonly db: Knex
  readonly heavy: HeavyWork
  readonly workshop: { id: string; name: string }
  readonly log: Logger
  /** Workshop files that are made here; whoever starts the server sees to it that nothing of them is left. */
  readonly exports?: WorkshopExports
  /** Tells listeners what is done to builds. */
  readonly hub: LiveHub
  /** Folder of the built web client; left out, only the API is served. */
  readonly webRoot?: string
  /** Where links to shared sheets lead, such as https://proof.example.org; null where this machine only opens them. */
  readonly shareOrigin?: string | null
  /** Where a reverse proxy with HTTPS hands on everything, such as https://garage.example.org; null without one. */
  readonly publicOrigin?: string | null
  /** Serves the local network, where this is the machine in the garage. */
  readonly garage?: Garage | null
  /** Addresses of proxies whose word on the caller counts; those on this machine where nothing else is said. */
  readonly trustProxy?: string
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
  hub,
  exports,
  webRoot,
  shareOrigin = null,
  publicOrigin = null,
  garage = null,
  trustProxy = 'loopback',
  requestsAMinute = 60_000,
  isClosing = () => false,
}: AppOptions): Express {
  const app = express()
  app.disable('x-powered-by')
  // A build is never cached, so a hash of it would be work for nothing.
  app.disable('etag')
  const metrics = metricsOf(db)
  app.use(metrics.time)
  app.use(logRequests(log))
  app.use(
    helmet({
      // Plain HTTP on loopback: asking browsers for HTTPS would only lock people out.
      strictTransportSecurity: publicOrigin !== null,
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          // The ballast planner is compiled to WebAssembly.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          // The chart library sets styles from script.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          // Shipped with the application, and from nowhere else.
          fontSrc: ["'self'"],
          workerSrc: ["'self'", 'blob:'],
          frameAncestors: ["'none'"],
          upgradeInsecureRequests: null,
        },
      },
    }),
  )
  const addresses: Addresses = {
    shareHost: shareOrigin === null ? null : new URL(shareOrigin).host,
    publicHost: publicOrigin === null ? null : new URL(publicOrigin).host,
    isGarageHost: (host) => garage?.isHost(host) ?? false,
  }
  // Behind a proxy of one's own, what it says of the caller counts.
  if (publicOrigin !== null) app.set('trust proxy', trustProxy)
  app.use(sharedOnly(addresses))
  app.use(sameOriginOnly(addresses))
  // What is worked out for each request isn't packed, and streams never: sendPacked packs what is long and kept.
  app.use(compression({ filter: (request) => !(request as Request).originalUrl.startsWith('/api/') }))

  const api = express.Router()
  api.use(workshopFirst)
  // Behind a proxy everybody has one address: guesses at links must not eat what the workshop itself may ask.
  api.use('/shared', atMostAMinute(Math.min(MOST_SHARED, Math.ceil(requestsAMinute * SHARED_SHARE))))
  api.use(atMostAMinute(requestsAMinute, (request) => request.path.startsWith('/shared/')))
  api.use((_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store')
    response.setHeader(FORMAT_HEADER, String(FORMAT_VERSION))
    next()
  })
  const people = new People(db)
  const sessions = new Sessions(db)
  const accounts = new Accounts(people)
  let here = { id: workshop.id, name: workshop.name }
  api.use(identify(accounts, sessions, addresses, () => here))
  api.use(guard(db))
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
  const audit = new AuditTrail(db)
  const rooms = new Workrooms(db, heavy, hub)
  api.use(
    accessRoutes({
      db,
      people,
      sessions,
      passes: new Passes(db, async () => {
        const local = garage?.origin() ?? null
        if (!garage || local === null) return { origin: publicOrigin, fingerprint: null }
        return { origin: local, fingerprint: (await garage.trusted()).fingerprint }
      }),
      guesses: new Guesses(db),
      devices: new KnownDevices(db),
      audit,
      accounts,
      isReached: () => publicOrigin !== null || (garage?.origin() ?? null) !== null,
      renamed: (id, name) => {
        if (id === here.id) here = { id, name }
      },
    }),
  )
  api.use(garageRoutes(garage, audit))
  api.use(workshopRoutes(heavy, exports ?? new WorkshopExports(heavy), audit, shareOrigin))
  api.use(liveRoutes(db, hub))
  api.use(padRoutes(db, hub, rooms.of))
  api.use(dynoRoutes(db, hub, rooms.of))
  api.use(loggerRoutes(db, hub, rooms.of))
  api.use(claimsRoutes(rooms.of))
  api.use(reckoningRoutes(rooms.of))
  api.use(courseRoutes(rooms.of))
  api.use(shopRoutes(rooms.of))
  api.use(gearsetRoutes(rooms.of))
  api.use(instrumentRoutes(rooms.of))
  api.use(columnRoutes(rooms.of))
  api.use(partRoutes(rooms.of))
  api.use(...photoRoutes(rooms.of))
  api.use(runLogRoutes(rooms.of))
  api.use(sharedRoutes(db))
  api.use(shareRoutes(rooms.of, audit))
  api.use(buildRoutes(rooms.of, audit))
  api.use(homeRoutes(rooms.of, audit))
  api.use(() => {
    throw notFound('resource')
  })
  app.use('/api/v1', api)
  app.use('/api', () => {
    throw notFound('resource')
  })

  app.get('/metrics', (request, response, next) => {
    if (reachOf(request, addresses) !== 'machine') throw notFound('resource')
    metrics.answer(request, response, next)
  })

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
