import {
  endsIn,
  invitationToAdd,
  joining,
  memberChange,
  newOwner,
  passwordChange,
  passwordReset,
  personChange,
  signIn,
  workshopName,
  type Me,
  type Person,
  type Session,
} from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import express, { Router, type Request, type Response } from 'express'
import type { Knex } from 'knex'
import * as z from 'zod'
import { idIn } from '../http/idIn'
import { parse } from '../http/parse'
import { tell } from '../live/Signals'
import { Refusal } from '../http/Refusal'
import type { AuditTrail, Noted } from './AuditTrail'
import { callerOf, placeOf, type Caller } from './Caller'
import type { Guesses } from './Guesses'
import { addressOf, noteOf } from './noteOf'
import { clearCookie, knownIn, setCookie, setKnown, type Accounts } from './identify'
import type { KnownDevices } from './KnownDevices'
import { lockPerson } from './ownLinks'
import type { Pass, Passes } from './Passes'
import type { People } from './People'
import type { Sessions } from './Sessions'

const TOKEN = z.string().regex(/^[\w-]{20,64}$/)
const RESET_MS = 86_400_000
/** From when the code is shown until the phone has read it. */
const PAIRING_MS = 300_000

const entry = z.string().regex(/^\d{1,18}$/, 'Give the id of an entry.')

/** What sort of device asks, and of an installation of its own what it is called; no more than that is kept of it. */
function deviceOf(request: Request): string {
  const agent = request.headers['user-agent'] ?? ''
  const [, laptop] = /^Bold Ballast on ([\w.-]{1,40})$/.exec(agent) ?? []
  if (laptop) return `Laptop (${laptop})`
  return /mobi/i.test(agent) ? 'Phone' : 'Computer'
}

const notKnown = () =>
  new Refusal(
    401,
    'sign-in',
    'Not known',
    'Name and password don’t belong together. Both are as they were typed; an owner can give you a new password.',
  )

export interface Access {
  readonly db: Knex
  readonly people: People
  readonly sessions: Sessions
  readonly passes: Passes
  readonly guesses: Guesses
  readonly devices: KnownDevices
  readonly audit: AuditTrail
  readonly accounts: Accounts
  /** Hears of a workshop's new name. */
  readonly renamed: (workshopId: string, name: string) => void
  /** Whether others reach this server by now. */
  readonly isReached: () => boolean
}

function personIn(request: Request): Person {
  const { person } = callerOf(request)
  if (!person)
    throw new Refusal(
      409,
      'not-allowed',
      'There are no accounts yet',
      'Make an owner first: then others can be let in.',
    )
  return person
}

/** Who comes in and what they are: accounts, sessions, invitations, members, and what was noted of them. */
export function accessRoutes({
  db,
  people,
  sessions,
  passes,
  guesses,
  devices,
  audit,
  accounts,
  renamed,
  isReached,
}: Access): Router {
  const routes = Router()
  const json = express.json({ limit: '20kb' })

  const note = (request: Request, noted: Pick<Noted, 'what'> & Partial<Noted>) => {
    const { person } = callerOf(request)
    return audit.note({
      workshopId: null,
      personId: person?.id ?? null,
      who: person?.name ?? '',
      address: addressOf(request),
      ...noted,
    })
  }
  const noteHere = (request: Request, noted: Pick<Noted, 'what'> & Partial<Noted>) =>
    noteOf(audit, request, noted)

  /** Streams of sessions that are over end with them. */
  const peopleChanged = () => tell(db, { kind: 'people' })

  const meOf = ({ person, workshops }: Caller): Me => ({
    person,
    workshops: [...workshops],
    isReached: isReached(),
  })

  /**
   * Signs a device in, anew: what it was before is over, and nobody can have handed it its proof.
   *
   * @param first what is looked at and done in the same transaction, while nothing else changes how that person signs in
   */
  const begin = async (
    request: Request,
    response: Response,
    person: Person,
    by: Session['by'],
    first: (trx: Knex) => Promise<void> = () => Promise.resolve(),
  ) => {
    const before = callerOf(request)
    const started = await db.transaction(async (trx) => {
      await lockPerson(trx, person.id)
      await first(trx)
      return sessions.start(
        { personId: person.id, by, device: deviceOf(request), address: addressOf(request) },
        trx,
      )
    })
    if (before.person && before.sessionId) await sessions.end(before.person.id, before.sessionId)
    setCookie(request, response, started.secret, started.endsAt)
    await note(request, {
      what: 'signedIn',
      personId: person.id,
      who: person.name,
      about: `on a ${deviceOf(request).toLowerCase()}`,
    })
    const caller = await sessions.find(started.secret)
    if (!caller) throw new TypeError('a session that has just begun is there')
    return { caller, sessionId: started.id }
  }

  routes.get('/me', (request, response) => void response.json(meOf(callerOf(request))))
  routes.put('/me', json, async (request, response) => {
    const { name } = parse(personChange, request.body)
    await people.rename(personIn(request).id, name)
    response.status(204).end()
  })
  routes.put('/me/password', json, async (request, response) => {
    const person = personIn(request)
    const { current, password } = parse(passwordChange, request.body)
    // Whoever is signed in isn't kept from a new password by what is guessed elsewhere.
    const { sessionId } = callerOf(request)
    await guesses.count(person.login, addressOf(request), sessionId)
    if (!(await people.known(person.login, current)))
      throw new Refusal(
        422,
        'not-valid',
        'That is not your password',
        'current: That is not your password.',
        {
          errors: [{ field: 'current', problem: 'That is not your password.' }],
        },
      )
    await guesses.forget(person.login, addressOf(request), sessionId)
    await db.transaction(async (trx) => {
      await lockPerson(trx, person.id)
      await people.setPassword(person, password, trx)
      // Whoever else had come in by the old one is out, and what they left open is shut.
      await sessions.endAll(person.id, sessionId, trx)
    })
    await note(request, { what: 'passwordChanged' })
    await peopleChanged()
    response.status(204).end()
  })
  routes.post('/owner', json, async (request, response) => {
    const person = await people.addFirst(parse(newOwner, request.body))
    accounts.made()
    await note(request, { what: 'ownerMade', personId: person.id, who: person.name })
    // Whoever listened as whoever sits at the machine is somebody now, or nobody.
    await peopleChanged()
    const { caller } = await begin(request, response, person, 'start')
    response.status(201).json(meOf(caller))
  })
  routes.post('/sign-in', json, async (request, response) => {
    const { login, password } = parse(signIn, request.body)
    const held = knownIn(request)
    const own = held !== null && (await devices.isKnown(held, login)) ? held : null
    await guesses.count(login, addressOf(request), own)
    const person = await people.known(login, password)
    if (!person) {
      const known = await people.byLogin(login)
      await note(request, { what: 'signInFailed', personId: known?.id ?? null, who: known?.name ?? '' })
      throw notKnown()
    }
    await guesses.forget(login, addressOf(request), own)
    const { caller } = await begin(request, response, person, 'password', async (trx) => {
      if (!(await people.isStill(person, trx))) throw notKnown()
    })
    const { secret, endsAt } = await devices.know(held, person.id)
    setKnown(request, response, secret, endsAt)
    response.json(meOf(caller))
  })
  routes.post('/sign-out', json, async (request, response) => {
    const { person, sessionId } = callerOf(request)
    if (person && sessionId) {
      await sessions.end(person.id, sessionId)
      await note(request, { what: 'signedOut' })
      await peopleChanged()
    }
    clearCookie(request, response)
    // What this browser has kept of the workshop goes with it.
    response.setHeader('Clear-Site-Data', '"cache"')
    response.status(204).end()
  })

  routes.get('/sessions', async (request, response) => {
    const { sessionId } = callerOf(request)
    response.json(await sessions.list(personIn(request).id, sessionId))
  })
  routes.delete('/sessions', async (request, response) => {
    await sessions.endAll(personIn(request).id, callerOf(request).sessionId)
    await note(request, { what: 'sessionEnded', about: 'all others' })
    await peopleChanged()
    response.status(204).end()
  })
  routes.delete('/sessions/:sessionId', async (request, response) => {
    const id = idIn(request.params.sessionId, 'session')
    if ((await sessions.end(personIn(request).id, id)) > 0) {
      await note(request, { what: 'sessionEnded' })
      await peopleChanged()
    }
    response.status(204).end()
  })

  const passIn = (request: Request<{ token: string }>) => {
    const token = TOKEN.safeParse(request.params.token)
    return passes.read(token.success ? token.data : '')
  }
  /** Joins a workshop, with a new account or as oneself. */
  const join = async (request: Request, response: Response, pass: Pass) => {
    const wanted = parse(joining, request.body)
    const { person: asks } = callerOf(request)
    if ('asMyself' in wanted && !asks)
      throw new Refusal(401, 'sign-in', 'Sign in', 'Sign in first, or make an account.')
    const { workshopId, role } = pass
    if (!workshopId || !role) throw new TypeError('an invitation says where to and as what')
    const person = await db.transaction(async (trx) => {
      const joins = 'asMyself' in wanted ? asks : await people.add(wanted, trx)
      if (!joins) throw new TypeError('somebody joins')
      await passes.use(trx, pass, { personId: joins.id, sessionId: null })
      await people.let(workshopId, joins.id, role, trx)
      return joins
    })
    await note(request, {
      what: 'joined',
      workshopId,
      personId: person.id,
      who: person.name,
      about: `as ${role}`,
    })
    if (asks) return void response.json(meOf(callerOf(request)))
    const { caller } = await begin(request, response, person, 'invitation')
    response.status(201).json(meOf(caller))
  }
  const reset = async (request: Request, response: Response, pass: Pass, login: string, name: string) => {
    const { password } = parse(passwordReset, request.body)
    const { personId } = pass
    if (!personId) throw new TypeError('a new password is somebody’s')
    const person = { id: personId, login, name }
    const { caller } = await begin(request, response, person, 'reset', async (trx) => {
      await passes.use(trx, pass, { personId, sessionId: null })
      await people.setPassword(person, password, trx)
      await sessions.endAll(personId, null, trx)
    })
    await note(request, { what: 'passwordReset', personId, who: name })
    await peopleChanged()
    response.json(meOf(caller))
  }
  /** Signs a phone in as whoever made the link. */
  const pair = async (request: Request, response: Response, pass: Pass, name: string) => {
    const { personId } = pass
    if (!personId) throw new TypeError('a phone is somebody’s')
    const person = { id: personId, name, login: '' }
    const { caller, sessionId } = await begin(request, response, person, 'pairing', (trx) =>
      passes.use(trx, pass, { personId, sessionId: null }),
    )
    await db('passes').where({ id: pass.id }).update({ usedSession: sessionId })
    await note(request, { what: 'paired', personId, who: name })
    response.json(meOf(caller))
  }
  routes.post('/pairings', json, async (request, response) => {
    const person = personIn(request)
    const added = await passes.toPair(person.id, PAIRING_MS)
    response.status(201).json(added)
  })
  routes.get('/pairings/:pairingId', async (request, response) => {
    const id = idIn(request.params.pairingId, 'pairing')
    response.json(await passes.pairing(personIn(request).id, id))
  })
  routes.get('/passes/:token', async (request, response) => {
    const { opens } = await passIn(request)
    response.json(opens)
  })
  routes.post('/passes/:token', json, async (request, response) => {
    const { pass, opens } = await passIn(request)
    if (opens.kind === 'pairing') return pair(request, response, pass, opens.name)
    if (opens.kind === 'reset') return reset(request, response, pass, opens.login, opens.name)
    return join(request, response, pass)
  })

  routes.post('/workshops', json, async (request, response) => {
    const person = personIn(request)
    const { name } = parse(workshopName, request.body)
    if (!callerOf(request).workshops.some(({ role }) => role === 'owner'))
      throw new Refusal(
        403,
        'not-allowed',
        'Not yours to do',
        'Another workshop is opened by somebody who owns one here.',
      )
    const id = randomUUID()
    await db.transaction(async (trx) => {
      await trx('workshops').insert({ id, name, demoLoadedAt: new Date() })
      await people.let(id, person.id, 'owner', trx)
    })
    response.status(201).json({ id, name, role: 'owner' })
  })
  routes.put('/workshop', json, async (request, response) => {
    const { name } = parse(workshopName, request.body)
    const { workshopId } = placeOf(request)
    await db('workshops').where({ id: workshopId }).update({ name })
    renamed(workshopId, name)
    response.status(204).end()
  })

  const memberIn = (request: Request) =>
    people.member(placeOf(request).workshopId, idIn(request.params['personId'], 'person of this workshop'))
  routes.get('/members', async (request, response) => {
    const { workshopId, role } = placeOf(request)
    const members = await people.members(workshopId)
    // What others sign in with, and when they were here, is for owners.
    const shown = role === 'owner' ? members : members.map((m) => ({ ...m, login: '', lastSeen: null }))
    response.json(shown)
  })
  routes.put('/members/:personId', json, async (request, response) => {
    const { role } = parse(memberChange, request.body)
    const member = await memberIn(request)
    await people.change(placeOf(request).workshopId, member.id, role)
    await noteHere(request, { what: 'roleChanged', about: `${member.name}: ${role}` })
    await peopleChanged()
    response.status(204).end()
  })
  routes.delete('/members/:personId', async (request, response) => {
    const member = await memberIn(request)
    await people.change(placeOf(request).workshopId, member.id, null)
    await noteHere(request, { what: 'memberRemoved', about: member.name })
    await peopleChanged()
    response.status(204).end()
  })
  /** Somebody who owns another workshop is not to be taken over by the owner of this one. */
  const refuseOwnersElsewhere = async (request: Request, personId: string) => {
    const { workshopId } = placeOf(request)
    const elsewhere = await db('members').where({ personId }).whereNot({ workshopId }).first('personId')
    if (elsewhere)
      throw new Refusal(
        403,
        'not-allowed',
        'Not yours to do',
        'They sign in for more than this workshop. Whoever runs this machine can give them a new password: npm run people.',
      )
  }
  routes.post('/members/:personId/reset', json, async (request, response) => {
    const member = await memberIn(request)
    await refuseOwnersElsewhere(request, member.id)
    const added = await passes.toReset(member, personIn(request).id, RESET_MS)
    await noteHere(request, { what: 'invited', about: `${member.name}: a new password` })
    response.status(201).json(added)
  })
  routes.get('/members/:personId/sessions', async (request, response) => {
    const member = await memberIn(request)
    await refuseOwnersElsewhere(request, member.id)
    response.json(await sessions.list(member.id, callerOf(request).sessionId))
  })
  routes.delete('/members/:personId/sessions', async (request, response) => {
    const member = await memberIn(request)
    await refuseOwnersElsewhere(request, member.id)
    await sessions.endAll(member.id, callerOf(request).sessionId)
    await noteHere(request, { what: 'sessionEnded', about: `all of ${member.name}` })
    await peopleChanged()
    response.status(204).end()
  })

  routes.get('/invitations', async (request, response) => {
    response.json(await passes.invitations(placeOf(request).workshopId))
  })
  routes.post('/invitations', json, async (request, response) => {
    const { role, for: note, days } = parse(invitationToAdd, request.body)
    const added = await passes.add({
      kind: 'invitation',
      workshopId: placeOf(request).workshopId,
      personId: null,
      role,
      note,
      madeBy: personIn(request).id,
      endsAt: endsIn(days, Date.now()),
    })
    await noteHere(request, { what: 'invited', about: `${note || 'somebody'}, as ${role}` })
    response.status(201).json(added)
  })
  routes.delete('/invitations/:invitationId', async (request, response) => {
    const id = idIn(request.params.invitationId, 'open invitation')
    const about = await passes.withdraw(placeOf(request).workshopId, id)
    await noteHere(request, { what: 'invitationWithdrawn', about })
    response.status(204).end()
  })
  routes.get('/audit', async (request, response) => {
    const { before } = parse(z.object({ before: entry.optional() }), request.query)
    response.json(await audit.page(placeOf(request).workshopId, before ?? null))
  })
  return routes
}
