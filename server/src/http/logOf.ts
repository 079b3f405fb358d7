import { pino, type DestinationStream, type Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import type { RequestHandler } from 'express'
import type { IncomingMessage } from 'node:http'

/** What opens something stands in these addresses. */
const SECRET = /\/(passes|shared|join|pair)\/[^/?]+/g

/** An address without what opens something by it. */
export const withoutSecrets = (url: string): string => url.replace(SECRET, '/$1/…')

/** A log of one JSON object a line, on standard error unless said otherwise. */
export const makeLog = (level: string, to?: DestinationStream): Logger =>
  to ? pino({ level }, to) : pino({ level }, pino.destination(2))

/** Gives each request a log that says which it was, and nothing of who asked: neither cookies nor secrets in addresses. */
export const logRequests = (logger: Logger): RequestHandler =>
  pinoHttp({
    logger,
    autoLogging: false,
    serializers: {
      req: ({ method, raw }: { method: string; raw: IncomingMessage & { originalUrl?: string } }) => ({
        method,
        url: withoutSecrets(raw.originalUrl ?? raw.url ?? ''),
      }),
      res: () => undefined,
    },
  })
