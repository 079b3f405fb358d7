import type { Knex } from 'knex'
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import { Refusal } from '../http/Refusal'
import { hashOf } from './secrets'

const QUARTER_HOUR_S = 900
const DAY_S = 86_400

/**
 * What is looked at in a time, in seconds: of one name from one address; of an address, and of it however many names are
 * tried; of one name from everywhere; of a name on a device that it has signed in on, or of somebody who is signed in.
 */
const LIMITS = {
  pair: { points: 10, duration: QUARTER_HOUR_S },
  address: { points: 100, duration: QUARTER_HOUR_S },
  flood: { points: 2000, duration: QUARTER_HOUR_S },
  name: { points: 200, duration: DAY_S },
  device: { points: 10, duration: QUARTER_HOUR_S },
  // Of a name that is being guessed at one more is looked at now and then: its owner, on a device that isn't known, gets
  // in once the flood is over. Eighty an hour at most.
  slow: { points: 1, duration: 45 },
}
type Limit = keyof typeof LIMITS
/** Of an address that has guessed too often, a name is still looked at so many times: a flood about others is not its. */
const FIRST_FEW = 3

/**
 * Counts guesses at passwords, for all servers of one database together: each is counted before it is looked at, so that
 * a thousand at once are no more than one after the other. Nobody is locked out by what others guess: on a device that
 * somebody has signed in on, only what is tried there counts.
 */
export class Guesses {
  private readonly limiters: Readonly<Record<Limit, RateLimiterPostgres>>

  constructor(db: Knex) {
    const limiter = (keyPrefix: Limit) =>
      new RateLimiterPostgres({
        storeClient: db,
        storeType: 'knex',
        tableName: 'guesses',
        tableCreated: true,
        keyPrefix,
        ...LIMITS[keyPrefix],
      })
    this.limiters = {
      pair: limiter('pair'),
      address: limiter('address'),
      flood: limiter('flood'),
      name: limiter('name'),
      device: limiter('device'),
      slow: limiter('slow'),
    }
  }

  /**
   * @param own what tells a device that the name has signed in on, or the session of whoever is; null for any other
   * @throws {Refusal} 429 once too many have been made
   */
  async count(login: string, address: string, own: string | null): Promise<void> {
    if (own !== null) {
      const spent = await this.spend('device', ownOf(login, own))
      if (spent.isOver) throw tooMany(spent.ms)
      return
    }
    const flood = await this.spend('flood', address)
    if (flood.isOver) throw tooMany(flood.ms)
    const from = await this.spend('address', address)
    const pair = await this.spend('pair', pairOf(login, address))
    const name = await this.spend('name', nameOf(login))
    const isFlooded = from.isOver && pair.count > FIRST_FEW
    if (!pair.isOver && !name.isOver && !isFlooded) return
    const slow = await this.spend('slow', nameOf(login))
    if (slow.isOver) throw tooMany(slow.ms)
  }

  /** The right one was found: what went before were slips of its owner. */
  async forget(login: string, address: string, own: string | null): Promise<void> {
    if (own !== null) return void (await this.limiters.device.delete(ownOf(login, own)))
    await this.limiters.pair.delete(pairOf(login, address))
    await this.limiters.name.delete(nameOf(login))
    await this.limiters.address.reward(address)
    await this.limiters.flood.reward(address)
  }

  private async spend(limit: Limit, key: string): Promise<{ isOver: boolean; count: number; ms: number }> {
    try {
      const { consumedPoints, msBeforeNext } = await this.limiters[limit].consume(key)
      return { isOver: false, count: consumedPoints, ms: msBeforeNext }
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error
      return { isOver: true, count: error.consumedPoints, ms: error.msBeforeNext }
    }
  }
}

function tooMany(ms: number): Refusal {
  const minutes = Math.max(1, Math.ceil(ms / 60_000))
  return new Refusal(
    429,
    'too-many',
    'Too many guesses',
    `Too many passwords have been tried. Wait ${minutes} min, sign in on a device where you have before, or ask an owner of the workshop for a new one.`,
  )
}

/** Names are what somebody typed: as long as they like, and perhaps a password in the wrong field. */
const nameOf = (login: string) => hashOf(login.trim().toLowerCase()).toString('base64url')
const pairOf = (login: string, address: string) => `${nameOf(login)} ${address}`
const ownOf = (login: string, own: string) => `${nameOf(login)} ${hashOf(own).toString('base64url')}`
