import { may, OPERATIONS, type Membership, type Needs } from '@bold-ballast/contract'
import type { Request, RequestHandler } from 'express'
import type { Knex } from 'knex'
import { idIn } from '../http/idIn'
import { notFound, Refusal } from '../http/Refusal'
import { callerOf, setPlace } from './Caller'

interface Rule {
  readonly method: string
  readonly path: RegExp
  readonly needs: Needs
}

const RULES: readonly Rule[] = Object.entries(OPERATIONS).map(([operation, needs]) => {
  const [method = '', path = ''] = operation.split(' ')
  const pattern = path.replace(/[.]/g, '\\.').replace(/\{(\w+)\}/g, '(?<$1>[^/]+)')
  return { method, path: new RegExp(`^${pattern}$`), needs }
})

const asked = new WeakMap<Request, string>()

/** Takes the workshop out of an address that names one: /workshops/… stands before any operation of a workshop. */
export const workshopFirst: RequestHandler = (request, _response, next) => {
  const named = /^\/workshops\/([^/?]+)(\/.*)$/.exec(request.url)
  if (named?.[1] !== undefined && named[2] !== undefined) {
    asked.set(request, named[1])
    request.url = named[2]
  }
  next()
}

const signIn = () =>
  new Refusal(
    401,
    'sign-in',
    'Sign in',
    'This workshop is for those who work in it. Sign in, or sign in again.',
  )

/**
 * Lets through what stands in the table of operations, for whom it says; everything else isn't there.
 *
 * A workshop that the caller doesn't work in is answered as one that there isn't.
 */
export const guard =
  (db: Knex): RequestHandler =>
  async (request, response, next) => {
    const method = request.method === 'HEAD' ? 'GET' : request.method
    const rule = RULES.find((r) => r.method === method && r.path.test(request.path))
    if (!rule) throw notFound('resource')
    const { needs } = rule
    if (needs === 'anybody') return next()
    const caller = callerOf(request)
    if (needs === 'machine') {
      if (caller.isAtMachine) return next()
      throw new Refusal(
        403,
        'not-allowed',
        'Only at the machine',
        'The first owner is made on the machine itself, while there is none.',
      )
    }
    if (!caller.person && !caller.isAtMachine) throw signIn()
    if (needs === 'signedIn') return next()
    const { buildId } = rule.path.exec(request.path)?.groups ?? {}
    const place = await placeIn(db, caller.workshops, asked.get(request), buildId)
    if (!may(place.role, needs))
      throw new Refusal(
        403,
        'not-allowed',
        'Not yours to do',
        `You are here as a ${place.role}, who may not do that. An owner of the workshop can change it.`,
      )
    // Whoever works in several learns whose a build is.
    if (caller.workshops.length > 1) response.setHeader('Ballast-Workshop', place.id)
    setPlace(request, { workshopId: place.id, workshop: place.name, role: place.role })
    next()
  }

/** The workshop that a request is about: the one it names, that of the build, or the first. */
async function placeIn(
  db: Knex,
  workshops: readonly Membership[],
  named: string | undefined,
  buildId: string | undefined,
): Promise<Membership> {
  const [first] = workshops
  if (!first)
    throw new Refusal(
      403,
      'not-allowed',
      'In no workshop',
      'You work in no workshop here. Ask an owner for an invitation.',
    )
  if (named !== undefined) {
    const found = workshops.find(({ id }) => id === idIn(named, 'workshop'))
    if (!found) throw notFound('workshop')
    return found
  }
  if (buildId === undefined || workshops.length === 1) return first
  const row = (await db('builds')
    .where({ id: idIn(buildId, 'build') })
    .whereIn(
      'workshopId',
      workshops.map(({ id }) => id),
    )
    .first('workshopId')) as { workshopId: string } | undefined
  return workshops.find(({ id }) => id === row?.workshopId) ?? first
}
