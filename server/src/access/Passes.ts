import {
  may,
  type Invitation,
  type PairingState,
  type PassAdded,
  type PassOpened,
  type Person,
  type Role,
} from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { notFound, Refusal } from '../http/Refusal'
import { hashOf, newSecret } from './secrets'

const MOST_OPEN = 50

/** A link that opens something, once and until a time. */
export interface Pass {
  readonly id: string
  readonly kind: 'invitation' | 'reset' | 'pairing'
  readonly workshopId: string | null
  readonly personId: string | null
  readonly role: Role | null
  readonly note: string
  readonly madeBy: string | null
  readonly endsAt: Date
}

interface Kept extends Pass {
  readonly usedAt: Date | null
  readonly withdrawnAt: Date | null
  readonly workshop: string | null
  readonly by: string | null
  readonly name: string | null
  readonly login: string | null
}

type Reach = Pick<PassAdded, 'origin' | 'fingerprint'>
const NOWHERE: Reach = { origin: null, fingerprint: null }

/** Of a link that is somebody's own: it leads to no workshop, and as nothing else than they are. */
const FOR_A_PERSON = { workshopId: null, role: null } as const
const inMs = (ms: number) => new Date(Date.now() + ms)

export class Passes {
  /** @param reach where others open links, as it is now */
  constructor(
    private readonly db: Knex,
    private readonly reach: () => Promise<Reach> = () => Promise.resolve(NOWHERE),
  ) {}

  /** @returns its secret, which is said only here */
  async add(pass: Omit<Pass, 'id'>): Promise<PassAdded> {
    const token = newSecret()
    const id = randomUUID()
    if (pass.kind === 'invitation') await this.refuseMany(pass.workshopId)
    await this.db('passes').insert({ ...pass, id, tokenHash: hashOf(token) })
    return { id, token, endsAt: pass.endsAt.toISOString(), ...(await this.reach()) }
  }

  /** A link by which somebody chooses a new password. */
  toReset({ id, name }: Pick<Person, 'id' | 'name'>, madeBy: string | null, ms: number): Promise<PassAdded> {
    return this.add({ ...FOR_A_PERSON, kind: 'reset', personId: id, note: name, madeBy, endsAt: inMs(ms) })
  }

  /** A link that signs a phone of somebody's in. */
  toPair(personId: string, ms: number): Promise<PassAdded> {
    return this.add({
      ...FOR_A_PERSON,
      kind: 'pairing',
      personId,
      note: '',
      madeBy: personId,
      endsAt: inMs(ms),
    })
  }

  /**
   * What a link opens.
   *
   * @throws {Refusal} 404 for one that nobody gave out, 410 for one that has ended or been used
   */
  async read(token: string): Promise<{ pass: Pass; opens: PassOpened }> {
    const row = (await this.db('passes')
      .leftJoin('workshops', 'workshops.id', 'passes.workshopId')
      .leftJoin('people as maker', 'maker.id', 'passes.madeBy')
      .leftJoin('people as person', 'person.id', 'passes.personId')
      .where({ 'passes.tokenHash': hashOf(token) })
      .first(
        'passes.*',
        'workshops.name as workshop',
        'maker.name as by',
        'person.name as name',
        'person.login as login',
      )) as Kept | undefined
    if (!row) throw notFound('link')
    if (row.withdrawnAt || row.usedAt || row.endsAt.getTime() <= Date.now())
      throw new Refusal(
        410,
        'not-found',
        'This link has ended',
        row.usedAt ? 'It has been used; it works once.' : 'Whoever sent it can send another.',
      )
    await this.refuseWithoutLeave(this.db, row)
    return { pass: row, opens: opensOf(row) }
  }

  /**
   * Uses a link up.
   *
   * @param db the transaction that does what it opens
   * @throws {Refusal} 410 where somebody was quicker, or whoever made it may no longer give it
   */
  async use(db: Knex, pass: Pass, by: { personId: string; sessionId: string | null }): Promise<void> {
    await this.refuseWithoutLeave(db, pass)
    const count = await db('passes')
      .where({ id: pass.id, usedAt: null, withdrawnAt: null })
      .where('endsAt', '>', db.fn.now())
      .update({ usedAt: new Date(), usedBy: by.personId, usedSession: by.sessionId })
    if (count === 0)
      throw new Refusal(410, 'not-found', 'This link has ended', 'It has been used; it works once.')
  }

  /** Whether a phone of a person's was paired by a link, and which. */
  async pairing(personId: string, id: string): Promise<PairingState> {
    const row = (await this.db('passes')
      .leftJoin('sessions', 'sessions.id', 'passes.usedSession')
      .where({ 'passes.id': id, 'passes.personId': personId, kind: 'pairing' })
      .first('passes.usedAt', 'passes.endsAt', 'sessions.device', 'sessions.address')) as
      { usedAt: Date | null; endsAt: Date; device: string | null; address: string | null } | undefined
    if (!row) throw notFound('pairing')
    const { usedAt, endsAt, device, address } = row
    return {
      isOpen: usedAt === null && endsAt.getTime() > Date.now(),
      paired: usedAt === null ? null : { device: device ?? '', address: address ?? '' },
    }
  }

  async invitations(workshopId: string): Promise<Invitation[]> {
    const rows = (await this.db('passes')
      .leftJoin('people as maker', 'maker.id', 'passes.madeBy')
      .leftJoin('people as user', 'user.id', 'passes.usedBy')
      .where({ 'passes.workshopId': workshopId, kind: 'invitation', withdrawnAt: null })
      .orderBy('passes.createdAt', 'desc')
      .limit(200)
      .select('passes.*', 'maker.name as by', 'user.name as usedByName')) as (Kept & {
      createdAt: Date
      usedByName: string | null
    })[]
    return rows.map((row) => ({
      id: row.id,
      role: row.role ?? 'guest',
      for: row.note,
      by: row.by ?? '',
      createdAt: row.createdAt.toISOString(),
      endsAt: row.endsAt.toISOString(),
      usedAt: row.usedAt?.toISOString() ?? null,
      usedBy: row.usedByName,
    }))
  }

  async withdraw(workshopId: string, id: string): Promise<string> {
    const [row] = (await this.db('passes')
      .where({ id, workshopId, kind: 'invitation', usedAt: null, withdrawnAt: null })
      .update({ withdrawnAt: new Date() })
      .returning('note')) as { note: string }[]
    if (!row) throw notFound('open invitation')
    return row.note
  }

  /** Whoever made a link gives no more by it than they could give now. */
  private async refuseWithoutLeave(db: Knex, { kind, workshopId, personId, madeBy }: Pass): Promise<void> {
    if (kind === 'pairing') return
    if (kind === 'reset') {
      // Whoever runs the machine makes one for anybody; an owner for those who work with them and nowhere else.
      if (madeBy === null) return
      const works = (await db('members').where({ personId }).select('workshopId')) as { workshopId: string }[]
      const [only, ...elsewhere] = works
      if (only && elsewhere.length === 0 && (await mayLetIn(db, only.workshopId, madeBy))) return
    } else if (await mayLetIn(db, workshopId, madeBy)) return
    throw new Refusal(
      410,
      'not-found',
      'This link has ended',
      'Whoever sent it may no longer give it. An owner of the workshop can send another.',
    )
  }

  private async refuseMany(workshopId: string | null): Promise<void> {
    const [{ count }] = (await this.db('passes')
      .where({ workshopId, kind: 'invitation', usedAt: null, withdrawnAt: null })
      .where('endsAt', '>', this.db.fn.now())
      .count()) as [{ count: string }]
    if (Number(count) >= MOST_OPEN)
      throw new Refusal(
        422,
        'not-valid',
        'Too many invitations',
        `${MOST_OPEN} invitations are open. Withdraw one first.`,
      )
  }
}

/** Whether somebody may let others into a workshop. */
async function mayLetIn(db: Knex, workshopId: string | null, personId: string | null): Promise<boolean> {
  const row = (await db('members').where({ workshopId, personId }).first('role')) as
    { role: Role } | undefined
  return row !== undefined && may(row.role, 'people')
}

function opensOf(row: Kept): PassOpened {
  const endsAt = row.endsAt.toISOString()
  const [name, login, workshop] = [row.name ?? '', row.login ?? '', row.workshop ?? '']
  switch (row.kind) {
    case 'reset':
      return { kind: 'reset', name, login, endsAt }
    case 'pairing':
      return { kind: 'pairing', name, workshop, endsAt }
    case 'invitation':
      return {
        kind: 'invitation',
        workshop,
        role: row.role ?? 'guest',
        by: row.by ?? '',
        for: row.note,
        endsAt,
      }
  }
}
