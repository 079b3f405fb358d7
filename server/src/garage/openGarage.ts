import type { Express } from 'express'
import type { Knex } from 'knex'
import { Passes } from '../access/Passes'
import type { Garage } from './Garage'

/** Long enough to find the phone and read the code off a terminal. */
const PAIRING_MS = 600_000

/** What whoever started it reads. */
export interface OpenedGarage {
  readonly origins: readonly string[]
  readonly fingerprint: string | null
  readonly hindrance: string | null
  /** Pairs one phone with the first owner; null where nobody owns the workshop yet, or nothing was asked for. */
  readonly pairing: { readonly name: string; readonly link: string } | null
  /** It was asked for, and can't be before somebody owns the workshop. */
  readonly needsOwner: boolean
}

/**
 * Goes on serving the local network where it was served before.
 *
 * @param isAsked for at the start: then it is switched on, if somebody owns the workshop
 */
export async function openGarage(
  garage: Garage,
  app: Express,
  db: Knex,
  isAsked: boolean,
): Promise<OpenedGarage> {
  await garage.open(app)
  const owner = (await db('members')
    .join('people', 'people.id', 'members.personId')
    .where({ role: 'owner' })
    .orderBy(['members.createdAt', 'people.id'])
    .first('people.id', 'people.name')) as { id: string; name: string } | undefined
  if (isAsked && owner) await garage.turnOn()
  const { isOn, origins, fingerprint, hindrance: why } = await garage.state()
  // What keeps a garage closed that nobody wants open is nobody's business.
  const hindrance = isAsked || isOn ? why : null
  const opened = { origins, fingerprint, hindrance, pairing: null, needsOwner: isAsked && !owner }
  const origin = garage.origin()
  if (!isAsked || !owner || origin === null) return opened
  const { token } = await new Passes(db).toPair(owner.id, PAIRING_MS)
  return { ...opened, pairing: { name: owner.name, link: `${origin}/join/${token}` } }
}
