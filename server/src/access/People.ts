import { may, type Member, type NewOwner, type Person, type Role } from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { notFound, Refusal } from '../http/Refusal'
import { commonFault } from './commonPasswords'
import { hashPassword, isPassword } from './passwords'

/** Puts a new password's fault at its field. */
export function refuseCommon(password: string, login: string): void {
  const fault = commonFault(password, login)
  if (fault)
    throw new Refusal(422, 'not-valid', 'Choose another password', `password: ${fault}`, {
      errors: [{ field: 'password', problem: fault }],
    })
}

const taken = () =>
  new Refusal(422, 'not-valid', 'Choose another sign-in name', 'login: Somebody signs in with it already.', {
    errors: [{ field: 'login', problem: 'Somebody signs in with it already.' }],
  })

/** Accounts, and what each is in a workshop. */
export class People {
  constructor(private readonly db: Knex) {}

  /** Whether there are accounts; until then whoever sits at the machine may do everything. */
  async areThere(): Promise<boolean> {
    return (await this.db('people').first('id')) !== undefined
  }

  /** @throws {Refusal} 422 where the name is taken or the password among the first that are tried */
  async add({ name, login, password }: NewOwner, db: Knex = this.db): Promise<Person> {
    refuseCommon(password, login)
    const id = randomUUID()
    const passwordHash = await hashPassword(password)
    const added = await db('people')
      .insert({ id, name, login, passwordHash })
      .onConflict('login')
      .ignore()
      .returning('id')
    if (added.length === 0) throw taken()
    return { id, name, login }
  }

  /**
   * Makes the first account, the owner of every workshop that there is.
   *
   * @throws {Refusal} 409 where somebody was quicker
   */
  async addFirst(owner: NewOwner): Promise<Person> {
    return this.db.transaction(async (trx) => {
      await trx.raw('LOCK TABLE people IN SHARE ROW EXCLUSIVE MODE')
      if (await new People(trx).areThere())
        throw new Refusal(
          409,
          'conflict',
          'There is an owner already',
          'Sign in, or let an owner invite you.',
        )
      const person = await this.add(owner, trx)
      const workshops = (await trx('workshops').select('id')) as { id: string }[]
      for (const { id } of workshops) await this.let(id, person.id, 'owner', trx)
      return person
    })
  }

  /**
   * Who signs in so with that password; null, after as long a time, where nobody does.
   *
   * @returns with the hash that it was held against: by the time somebody is let in, it may be another
   */
  async known(login: string, password: string): Promise<(Person & { passwordHash: string }) | null> {
    const row = (await this.db('people')
      .where({ login: login.trim().toLowerCase().slice(0, 200) })
      .first('id', 'name', 'login', 'passwordHash')) as (Person & { passwordHash: string }) | undefined
    const isRight = await isPassword(row?.passwordHash ?? null, password)
    return row && isRight ? row : null
  }

  /** Whether a password that was right a moment ago still is. */
  async isStill({ id, passwordHash }: { id: string; passwordHash: string }, trx: Knex): Promise<boolean> {
    return (await trx('people').where({ id, passwordHash }).first('id')) !== undefined
  }

  async byLogin(login: string): Promise<Person | null> {
    const row = (await this.db('people')
      .where({ login: login.trim().toLowerCase() })
      .first('id', 'name', 'login')) as Person | undefined
    return row ?? null
  }

  async setPassword({ id, login }: Person, password: string, db: Knex = this.db): Promise<void> {
    refuseCommon(password, login)
    await db('people')
      .where({ id })
      .update({ passwordHash: await hashPassword(password) })
  }

  async rename(id: string, name: string): Promise<void> {
    await this.db('people').where({ id }).update({ name })
  }

  /** Lets somebody into a workshop; who is in already stays what they are. */
  async let(workshopId: string, personId: string, role: Role, db: Knex = this.db): Promise<void> {
    await db('members')
      .insert({ workshopId, personId, role })
      .onConflict(['workshop_id', 'person_id'])
      .ignore()
  }

  async members(workshopId: string): Promise<Member[]> {
    const rows = (await this.db('members')
      .join('people', 'people.id', 'members.personId')
      .where({ 'members.workshopId': workshopId })
      .orderBy(['members.createdAt', 'people.id'])
      .select(
        'people.id',
        'people.name',
        'people.login',
        'members.role',
        'members.createdAt',
        this.db.raw('(select max(last_seen_at) from sessions where person_id = people.id) as last_seen'),
      )) as (Person & { role: Role; createdAt: Date; lastSeen: Date | null })[]
    return rows.map(({ createdAt, lastSeen, ...row }) => ({
      ...row,
      since: createdAt.toISOString(),
      lastSeen: lastSeen?.toISOString() ?? null,
    }))
  }

  async member(workshopId: string, personId: string): Promise<Person & { role: Role }> {
    const row = (await this.db('members')
      .join('people', 'people.id', 'members.personId')
      .where({ 'members.workshopId': workshopId, 'people.id': personId })
      .first('people.id', 'people.name', 'people.login', 'members.role')) as
      (Person & { role: Role }) | undefined
    if (!row) throw notFound('person of this workshop')
    return row
  }

  /**
   * Changes what somebody is; null sends them away, and their open invitations go with the leave to invite. A workshop
   * always has an owner.
   */
  async change(workshopId: string, personId: string, role: Role | null): Promise<void> {
    await this.db.transaction(async (trx) => {
      // One after the other: two owners must not both be the last to go.
      await trx('workshops').where({ id: workshopId }).forUpdate().first('id')
      const where = { workshopId, personId }
      const count =
        role === null
          ? await trx('members').where(where).delete()
          : await trx('members').where(where).update({ role })
      if (count === 0) throw notFound('person of this workshop')
      if (role === null || !may(role, 'people'))
        await trx('passes')
          .where({ kind: 'invitation', workshopId, madeBy: personId, usedAt: null, withdrawnAt: null })
          .update({ withdrawnAt: new Date() })
      const owner = await trx('members').where({ workshopId, role: 'owner' }).first('personId')
      if (!owner)
        throw new Refusal(
          422,
          'not-valid',
          'Somebody has to own it',
          'A workshop has an owner. Make somebody else one first.',
        )
    })
  }
}
