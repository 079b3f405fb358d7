import type { Membership } from '@bold-ballast/contract'
import { parse } from 'cookie'
import type { Request, RequestHandler, Response } from 'express'
import { reachOf, type Addresses } from '../http/reachOf'
import { Refusal } from '../http/Refusal'
import { setCaller, type Caller } from './Caller'
import type { People } from './People'
import type { Sessions } from './Sessions'

const ASKED_AGAIN_MS = 1000

/** Over HTTPS the browser itself sees to it that nobody else sets the cookie. */
const cookieName = (request: Request) => (request.secure ? '__Host-ballast' : 'ballast')

/** Scripts can't read it, and no other site sends it along. */
const cookieOptions = (request: Request, expires?: Date) =>
  ({
    ...(expires ? { expires } : {}),
    httpOnly: true,
    sameSite: 'strict',
    secure: request.secure,
    path: '/',
  }) as const

/** Hands a device what it proves itself with. */
export const setCookie = (request: Request, response: Response, secret: string, endsAt: Date) =>
  void response.cookie(cookieName(request), secret, cookieOptions(request, endsAt))

export const clearCookie = (request: Request, response: Response) =>
  void response.clearCookie(cookieName(request), cookieOptions(request))

const knownName = (request: Request) => (request.secure ? '__Host-ballast-known' : 'ballast-known')

/** What a device that somebody has signed in on holds, for guesses made elsewhere not to be counted against it. */
export const knownIn = (request: Request): string | null => {
  const held = parse(request.headers.cookie ?? '')[knownName(request)]
  return held !== undefined && /^[\w-]{43}$/.test(held) ? held : null
}

export const setKnown = (request: Request, response: Response, secret: string, endsAt: Date) =>
  void response.cookie(knownName(request), secret, cookieOptions(request, endsAt))

const NOBODY: Caller = { person: null, sessionId: null, workshops: [], isAtMachine: false }

/** Whether there are accounts. Once there are, there always will be; until then it is asked once a second. */
export class Accounts {
  private areThere = false
  private askedAt = -Infinity

  constructor(private readonly people: People) {}

  async exist(): Promise<boolean> {
    const now = performance.now()
    if (this.areThere || now - this.askedAt < ASKED_AGAIN_MS) return this.areThere
    this.areThere = await this.people.areThere()
    this.askedAt = now
    return this.areThere
  }

  made(): void {
    this.areThere = true
  }
}

/**
 * Says who asks. Without accounts it is whoever sits at this machine, who may do everything; anybody else is sent away.
 *
 * @param here the workshop of an installation without accounts
 */
export const identify =
  (
    accounts: Accounts,
    sessions: Sessions,
    addresses: Addresses,
    here: () => Omit<Membership, 'role'>,
  ): RequestHandler =>
  async (request, _response, next) => {
    if (!(await accounts.exist())) {
      const isAtMachine = reachOf(request, addresses) === 'machine'
      if (reachOf(request, addresses) === 'reached')
        throw new Refusal(
          403,
          'not-allowed',
          'Nobody owns this yet',
          'It answers others once it has an owner: open it on its own machine and make one.',
        )
      const workshops = isAtMachine ? [{ ...here(), role: 'owner' as const }] : []
      setCaller(request, { ...NOBODY, isAtMachine, workshops })
      return next()
    }
    const secret = parse(request.headers.cookie ?? '')[cookieName(request)]
    setCaller(request, (secret && (await sessions.find(secret))) || NOBODY)
    next()
  }
