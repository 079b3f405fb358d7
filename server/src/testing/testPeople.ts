import { me, type Role } from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { z } from 'zod'
import { People } from '../access/People'
import { Sessions } from '../access/Sessions'

export const PASSWORD = 'three words will do'

/** Somebody at a browser: keeps the cookies that it is given. */
export class Visitor {
  cookie = ''
  constructor(
    private readonly base: string,
    readonly id: string = '',
    readonly name: string = '',
    readonly login: string = '',
  ) {}

  /** @param path below /api/v1 */
  async fetch(path: string, { json, ...init }: RequestInit & { json?: unknown } = {}): Promise<Response> {
    const response = await fetch(`${this.base}/api/v1${path}`, {
      ...init,
      ...(json === undefined ? {} : { body: JSON.stringify(json) }),
      headers: {
        ...(json === undefined ? {} : { 'content-type': 'application/json' }),
        ...(this.cookie ? { cookie: this.cookie } : {}),
        ...(init.headers as Record<string, string> | undefined),
      },
    })
    for (const set of response.headers.getSetCookie()) {
      const [name = '', value = ''] = set.split(';')[0]!.split('=')
      const others = this.cookie.split('; ').filter((one) => one !== '' && !one.startsWith(`${name}=`))
      this.cookie = [...others, `${name}=${value}`].join('; ')
    }
    return response
  }

  async ask<T>(path: string, schema: z.ZodType<T>, init: RequestInit & { json?: unknown } = {}): Promise<T> {
    const response = await this.fetch(path, init)
    const body: unknown = await response.json()
    if (!response.ok) throw new Error(`${response.status} ${JSON.stringify(body)}`)
    return schema.parse(body)
  }

  async status(path: string, method = 'GET', json?: unknown): Promise<number> {
    const response = await this.fetch(path, { method, ...(json === undefined ? {} : { json }) })
    await response.body?.cancel()
    return response.status
  }
}

/** People for tests: the first is made through the API as at a machine, the others straight into the records. */
export function testPeople(base: string, db: Knex, workshopId: string) {
  const people = new People(db)
  const sessions = new Sessions(db)
  /** Signed in anew, without a password: hashing one takes its time. */
  const signIn = async (visitor: Visitor) => {
    const { secret } = await sessions.start({
      personId: visitor.id,
      by: 'password',
      device: 'Computer',
      address: '127.0.0.1',
    })
    visitor.cookie = `ballast=${secret}`
  }
  return {
    signIn,
    stranger: () => new Visitor(base),
    /** The first owner; from then on everybody signs in. */
    owner: async (name = 'Rosa'): Promise<Visitor> => {
      const start = new Visitor(base)
      const login = name.toLowerCase()
      const { person } = await start.ask('/owner', me, {
        method: 'POST',
        json: { name, login, password: PASSWORD },
      })
      const owner = new Visitor(base, person!.id, name, login)
      owner.cookie = start.cookie
      return owner
    },
    /** Somebody who works in a workshop, signed in. */
    enter: async (name: string, role: Role, at = workshopId): Promise<Visitor> => {
      const login = `${name.toLowerCase()}.${randomUUID().slice(0, 8)}`
      const { id } = await people.add({ name, login, password: PASSWORD })
      await people.let(at, id, role)
      const visitor = new Visitor(base, id, name, login)
      await signIn(visitor)
      return visitor
    },
    /** Another workshop of the installation. */
    workshop: async (name = 'Next door'): Promise<string> => {
      const id = randomUUID()
      await db('workshops').insert({ id, name, demoLoadedAt: new Date() })
      return id
    },
  }
}
