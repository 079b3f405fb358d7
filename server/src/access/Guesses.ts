import type { Knex } from 'knex'
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import { Refusal } from '../http/Refusal'
import { hashOf } from './secrets'

const QUARTER_HOUR_S = 900
const DAY_S = 86_400

/** Of one sign-in name from one address, of one address, and of one name from everywhere. */
const MOST = { pair: 10, address: 100, name: 200 }

/**
 * Counts guesses at passwords, for all servers of one database together: each is counted before it is looked at, so that
 * a thousand at once are no more than one after the other.
 */
export class Guesses {
  private readonly limiters: Readonly<Record<keyof typeof MOST, RateLimiterPostgres>>

  constructor(db: Knex) {
    const limiter = (keyPrefix: keyof typeof MOST, duration: number) =>
      new RateLimiterPostgres({
        storeClient: db,
        storeType: 'knex',
        tableName: 'guesses',
        tableCreated: true,
        keyPrefix,
        points: MOST[keyPrefix],
        duration,
      })
    this.limiters = {
      pair: limiter('pair', QUARTER_HOUR_S),
      address: limiter('address', QUARTER_HOUR_S),
      name: limiter('name', DAY_S),
    }
  }

  /** @throws {Refusal} 429 once too many have been made */
  async count(login: string, address: string): Promise<void> {
    try {
      await this.limiters.address.consume(address)
      await this.limiters.pair.consume(pairOf(login, address))
      await this.limiters.name.consume(nameOf(login))
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error
      const minutes = Math.max(1, Math.ceil(error.msBeforeNext / 60_000))
      throw new Refusal(
        429,
        'too-many',
        'Too many guesses',
        `Too many passwords have been tried. Wait ${minutes} min, or ask an owner of the workshop for a new one.`,
      )
    }
  }

  /** The right one was found: what went before were slips of its owner. */
  async forget(login: string, address: string): Promise<void> {
    await this.limiters.pair.delete(pairOf(login, address))
    await this.limiters.name.delete(nameOf(login))
    await this.limiters.address.reward(address)
  }
}

/** Names are what somebody typed: as long as they like, and perhaps a password in the wrong field. */
const nameOf = (login: string) => hashOf(login.trim().toLowerCase()).toString('base64url')
const pairOf = (login: string, address: string) => `${nameOf(login)} ${address}`
