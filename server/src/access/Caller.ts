import type { Membership, Person, Role } from '@bold-ballast/contract'
import type { Request } from 'express'

/** Who asks. */
export interface Caller {
  /** Nobody while there are no accounts, and for whoever isn't signed in. */
  readonly person: Person | null
  /** Of the session; null without one. */
  readonly sessionId: string | null
  /** Where they may go. */
  readonly workshops: readonly Membership[]
  /** Sits at the machine itself while there are no accounts, and may do everything. */
  readonly isAtMachine: boolean
}

/** The workshop that a request is about, and what the caller is there. */
export interface Place {
  readonly workshopId: string
  readonly workshop: string
  readonly role: Role
}

/** Whose hand it is: who does something, and as what. */
export interface Hand {
  readonly person: Pick<Person, 'id' | 'name'> | null
  readonly role: Role
}

const callers = new WeakMap<Request, Caller>()
const places = new WeakMap<Request, Place>()

export const setCaller = (request: Request, caller: Caller) => void callers.set(request, caller)
export const setPlace = (request: Request, place: Place) => void places.set(request, place)

export function callerOf(request: Request): Caller {
  const caller = callers.get(request)
  if (!caller) throw new TypeError('nobody has been told who asks')
  return caller
}

/** Only where the guard has found one: for operations that need a right in a workshop. */
export function placeOf(request: Request): Place {
  const place = places.get(request)
  if (!place) throw new TypeError('the operation is about no workshop')
  return place
}

export function handOf(request: Request): Hand {
  const { person } = callerOf(request)
  return { person, role: placeOf(request).role }
}
