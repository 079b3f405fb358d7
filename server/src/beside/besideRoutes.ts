import { Router, type Request, type RequestHandler } from 'express'
import { idIn } from '../http/idIn'
import { MADE_AT_HEADER } from '@bold-ballast/contract'
import { createHash } from 'node:crypto'
import { handOf } from '../access/Caller'
import { Refusal } from '../http/Refusal'
import type { RoomOf, Workroom } from '../workshop/Workrooms'
import type { BesideFile, BesideHead, BesideStore } from './BesideStore'

interface Beside<More extends Readonly<Record<string, unknown>>> {
  /** Where its records are found under a build, and what the file of one is called there. */
  readonly records: 'lines' | 'pictures' | 'runs'
  readonly file: 'photo' | 'log'
  readonly list: 'photos' | 'pictures' | 'logs'
  readonly named: string
  readonly storeOf: (room: Workroom) => BesideStore<More>
  /** Reads the body as bytes. */
  readonly body: RequestHandler
  /** What is kept beside the bytes; refuses what is no such file. */
  readonly check: (bytes: unknown, request: Request) => More | Promise<More>
  readonly typeOf: (file: BesideFile<More>) => string
  readonly listed: (head: BesideHead) => unknown
}

/** Reads, lists, keeps and removes files that are kept beside records. */
export function besideRoutes<More extends Readonly<Record<string, unknown>>>(
  roomOf: RoomOf,
  { records, file, list, named, storeOf, body, check, typeOf, listed }: Beside<More>,
): Router {
  const routes = Router()
  const at = `/builds/:buildId/${records}/:recordId/${file}`
  const idsIn = ({ buildId, recordId }: Readonly<Record<string, unknown>>) =>
    [idIn(buildId, named), idIn(recordId, named)] as const
  routes.get(`/builds/:buildId/${list}`, async (request, response) => {
    const heads = await storeOf(roomOf(request)).list(idIn(request.params['buildId'], 'build'))
    response.json(heads.map(listed))
  })
  routes.get(at, async (request, response) => {
    const found = await storeOf(roomOf(request)).read(...idsIn(request.params))
    // Most records have none; that is no error.
    if (!found) return void response.status(204).end()
    response.setHeader('ETag', `"${found.sha256}"`)
    response.type(typeOf(found)).send(found.bytes)
  })
  routes.put(at, body, async (request, response) => {
    const bytes = (request as { body: unknown }).body
    const more = await check(bytes, request)
    refuseOtherDigest(bytes as Buffer, request)
    await storeOf(roomOf(request)).put(...idsIn(request.params), bytes as Buffer, more, {
      by: handOf(request),
      replaces: replacesIn(request),
      madeAt: madeAtIn(request),
    })
    response.status(204).end()
  })
  routes.delete(at, async (request, response) => {
    await storeOf(roomOf(request)).remove(...idsIn(request.params), handOf(request))
    response.status(204).end()
  })
  return routes
}

/** The SHA-256 that a request says it takes the place of (If-Match); null where it says none, or that there is none. */
function replacesIn(request: Request): string | null {
  const [, sha256] = /^"([0-9a-f]{64})"$/.exec(request.headers['if-match'] ?? '') ?? []
  return sha256 ?? null
}

/** When it was made, where that was before it came; never later than now. */
function madeAtIn(request: Request): Date | null {
  const time = Date.parse(String(request.headers[MADE_AT_HEADER.toLowerCase()] ?? ''))
  return Number.isNaN(time) ? null : new Date(Math.min(time, Date.now()))
}

/**
 * What came is what was sent, where the sender says what that is.
 *
 * @source RFC 9530, Content-Digest
 */
function refuseOtherDigest(bytes: Buffer, request: Request): void {
  const [, said] =
    /(?:^|,)\s*sha-256=:([\w+/=]+):/.exec(String(request.headers['content-digest'] ?? '')) ?? []
  if (said === undefined || said === createHash('sha256').update(bytes).digest('base64')) return
  throw new Refusal(
    422,
    'not-valid',
    'It came otherwise than it was sent',
    'Its digest is another: something was lost on the way. It is to be sent again.',
  )
}
