import type { Membership, Session } from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { askPrepared } from '../database/askPrepared'
import type { Caller } from './Caller'
import { endOwnLinks, lockPerson } from './ownLinks'
import { hashOf, newSecret } from './secrets'

const DAY_MS = 86_400_000
/** Nobody has used it for so long: whoever finds the phone finds it signed out. */
export const IDLE_DAYS = 14
/** However much it is used. */
export const LONGEST_DAYS = 60
/** When it was last seen is written down no more often. */
const TOUCHED_MS = 60_000

interface Found {
  readonly id: string
  readonly person_id: string
  readonly name: string
  readonly login: string
  readonly last_seen_at: Date
  readonly workshops: Membership[] | null
}

const FIND = {
  name: 'find session',
  text: `select s.id, s.person_id, p.name, p.login, s.last_seen_at,
      (select json_agg(json_build_object('id', w.id, 'name', w.name, 'role', m.role) order by m.created_at, w.id)
       from members m join workshops w on w.id = m.workshop_id where m.person_id = p.id) as workshops
    from sessions s join people p on p.id = s.person_id
    where s.token_hash = $1 and s.ended_at is null and s.ends_at > now()
      and s.last_seen_at > now() - make_interval(days => ${IDLE_DAYS})`,
}

export interface NewSession {
  readonly personId: string
  readonly by: Session['by']
  readonly device: string
  readonly address: string
}

/** Devices that somebody is signed in on. */
export class Sessions {
  constructor(private readonly db: Knex) {}

  /** @returns what the device proves itself with from now on; nothing else knows it */
  async start(
    { personId, by, device, address }: NewSession,
    db: Knex = this.db,
  ): Promise<{ id: string; secret: string; endsAt: Date }> {
    const secret = newSecret()
    const endsAt = new Date(Date.now() + LONGEST_DAYS * DAY_MS)
    const id = randomUUID()
    await db('sessions').insert({ id, personId, tokenHash: hashOf(secret), by, device, address, endsAt })
    return { id, secret, endsAt }
  }

  /** Whose device it is, and where they may go; null for one that nobody is signed in on. */
  async find(secret: string): Promise<Caller | null> {
    const [found] = await askPrepared<Found>(this.db, FIND, [hashOf(secret)])
    if (!found) return null
    if (Date.now() - found.last_seen_at.getTime() > TOUCHED_MS)
      await this.db('sessions').where({ id: found.id }).update({ lastSeenAt: new Date() })
    return {
      person: { id: found.person_id, name: found.name, login: found.login },
      sessionId: found.id,
      workshops: found.workshops ?? [],
      isAtMachine: false,
    }
  }

  /** Those that are open, the last used first. */
  async list(personId: string, thisId: string | null): Promise<Session[]> {
    const rows = (await this.open(personId)
      .orderBy('lastSeenAt', 'desc')
      .select('id', 'device', 'by', 'address', 'createdAt', 'lastSeenAt', 'endsAt')) as (Pick<
      Session,
      'id' | 'device' | 'by' | 'address'
    > & { createdAt: Date; lastSeenAt: Date; endsAt: Date })[]
    return rows.map(({ id, device, by, address, createdAt, lastSeenAt, endsAt }) => ({
      id,
      device,
      by,
      address,
      startedAt: createdAt.toISOString(),
      lastSeenAt: lastSeenAt.toISOString(),
      endsAt: endsAt.toISOString(),
      isThis: id === thisId,
    }))
  }

  /**
   * Ends one, and the links to the same account that it may have asked for.
   *
   * @returns how many were ended
   */
  end(personId: string, sessionId: string): Promise<number> {
    return this.db.transaction((trx) => this.over(trx, personId, (q) => q.where({ id: sessionId })))
  }

  /** Ends all of a person's, but for one, and the links that are open to their account. */
  endAll(personId: string, but: string | null, db?: Knex): Promise<number> {
    const work = (trx: Knex) => this.over(trx, personId, (q) => but !== null && q.whereNot({ id: but }))
    return db ? work(db) : this.db.transaction(work)
  }

  private async over(
    trx: Knex,
    personId: string,
    which: (query: Knex.QueryBuilder) => unknown,
  ): Promise<number> {
    await lockPerson(trx, personId)
    await endOwnLinks(trx, personId)
    return this.open(personId, trx).modify(which).update({ endedAt: new Date() })
  }

  private open(personId: string, db: Knex = this.db): Knex.QueryBuilder {
    return db('sessions')
      .where({ personId, endedAt: null })
      .where('endsAt', '>', db.fn.now())
      .whereRaw(`last_seen_at > now() - make_interval(days => ${IDLE_DAYS})`)
  }
}
