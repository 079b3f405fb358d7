import express, { type RequestHandler } from 'express'
import { Refusal } from './Refusal'

/**
 * Takes a body of JSON as it came, unpacked and no longer than a limit, to be read where there is room for it.
 *
 * @param limit such as '8mb'
 */
export function jsonBody(limit: string): RequestHandler[] {
  return [
    express.raw({ limit, type: 'application/json' }),
    (request, _response, next) => {
      const charset = /charset\s*=\s*"?([^\s;"]+)/i.exec(request.headers['content-type'] ?? '')?.[1]
      if (charset !== undefined && !/^utf-?8$/i.test(charset))
        throw new Refusal(
          415,
          'not-json',
          'Another kind of text',
          'Send JSON in UTF-8, plain or packed with gzip.',
        )
      // A request without a body has none to read.
      if (!Buffer.isBuffer(request.body)) request.body = Buffer.alloc(0)
      next()
    },
  ]
}
