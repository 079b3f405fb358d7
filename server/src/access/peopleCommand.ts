import { ROLE_WORDS, type Role } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { AuditTrail } from './AuditTrail'
import { Passes } from './Passes'
import { People } from './People'

const LINK_MS = 3_600_000
const AT_MACHINE = 'this machine'

const USE = [
  'npm run people                     lists who works here',
  'npm run people -- password <name>  makes a link by which somebody chooses a new password',
  'npm run people -- owner <name>     makes somebody an owner of all workshops that they work in',
]

/**
 * What whoever runs the machine can do about accounts when nobody can sign in: it needs no password, for whoever may start
 * this may read the records anyway.
 *
 * @param origin where links lead
 * @returns lines to print
 */
export async function peopleCommand(db: Knex, args: readonly string[], origin: string): Promise<string[]> {
  const [what, login = ''] = args
  if (what === undefined) return list(db)
  const people = new People(db)
  const person = await people.byLogin(login)
  if (!person || !['password', 'owner'].includes(what))
    return [...(login ? [`Nobody signs in as “${login}”.`, ''] : []), ...USE]
  const audit = new AuditTrail(db)
  const noted = { workshopId: null, personId: person.id, who: person.name, address: AT_MACHINE }
  if (what === 'owner') {
    const count = await db('members').where({ personId: person.id }).update({ role: 'owner' })
    await audit.note({ ...noted, what: 'roleChanged', about: 'owner' })
    return [`${person.name} owns ${count === 1 ? 'the workshop' : `${count} workshops`} now.`]
  }
  const { token } = await new Passes(db).toReset(person, null, LINK_MS)
  await audit.note({ ...noted, what: 'invited', about: `${person.name}: a new password` })
  return [
    `${person.name} chooses a new password here, once, within an hour:`,
    '',
    `  ${origin}/join/${token}`,
    '',
    'All devices that are signed in now are signed out by it.',
  ]
}

async function list(db: Knex): Promise<string[]> {
  const workshops = (await db('workshops').orderBy(['createdAt', 'id']).select('id', 'name')) as {
    id: string
    name: string
  }[]
  const people = new People(db)
  const lines: string[] = []
  for (const { id, name } of workshops) {
    const members = await people.members(id)
    lines.push(name, ...members.map((m) => `  ${m.login.padEnd(28)} ${m.name}, ${roleOf(m.role)}`))
    if (members.length === 0) lines.push('  nobody: whoever sits at this machine may do everything')
  }
  return [...lines, '', ...USE]
}

const roleOf = (role: Role) => ROLE_WORDS[role].name.toLowerCase()
