import type { Knex } from 'knex'
import { hashOf, newSecret } from './secrets'

const DAY_MS = 86_400_000
/** How long a device is known after somebody has last signed in on it with their password. */
export const KNOWN_DAYS = 400

/**
 * Devices that somebody has signed in on with their password. What such a device holds opens nothing; guesses that are
 * made elsewhere just aren't counted against it, so that nobody can lock somebody out of their own phone.
 *
 * @source OWASP, Slow Down Online Guessing Attacks with Device Cookies (from memory)
 */
export class KnownDevices {
  constructor(private readonly db: Knex) {}

  /** Whether somebody who signs in so has done so on this device. */
  async isKnown(secret: string, login: string): Promise<boolean> {
    const row = (await this.db('knownDevices')
      .join('people', 'people.id', 'knownDevices.personId')
      .where({ tokenHash: hashOf(secret), login: login.trim().toLowerCase() })
      .where('endsAt', '>', this.db.fn.now())
      .first('personId')) as { personId: string } | undefined
    return row !== undefined
  }

  /**
   * Knows a device from now on.
   *
   * @param secret that it holds already; several people may sign in on one
   * @returns what it is to hold
   */
  async know(secret: string | null, personId: string): Promise<{ secret: string; endsAt: Date }> {
    const holds = secret ?? newSecret()
    const endsAt = new Date(Date.now() + KNOWN_DAYS * DAY_MS)
    await this.db('knownDevices').where('endsAt', '<=', this.db.fn.now()).delete()
    await this.db('knownDevices')
      .insert({ tokenHash: hashOf(holds), personId, endsAt })
      .onConflict(['token_hash', 'person_id'])
      .merge()
    return { secret: holds, endsAt }
  }
}
