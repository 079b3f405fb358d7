import { Router, type Request, type RequestHandler } from 'express'
import { idIn } from '../http/idIn'
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
    response.type(typeOf(found)).send(found.bytes)
  })
  routes.put(at, body, async (request, response) => {
    const bytes = (request as { body: unknown }).body
    const more = await check(bytes, request)
    await storeOf(roomOf(request)).keep(...idsIn(request.params), bytes as Buffer, more)
    response.status(204).end()
  })
  routes.delete(at, async (request, response) => {
    await storeOf(roomOf(request)).remove(...idsIn(request.params))
    response.status(204).end()
  })
  return routes
}
