import type { Knex } from 'knex'
import pg from 'pg'
import type { Logger } from 'pino'

/** What servers of one database tell each other. */
export type Signal =
  | {
      readonly kind: 'edited'
      readonly workshopId: string
      readonly buildId: string
      readonly batchId: string
    }
  | { readonly kind: 'builds'; readonly workshopId: string }
  | { readonly kind: 'present'; readonly workshopId: string; readonly buildId: string }
  | { readonly kind: 'people' }
  /** The database has been brought up to date. */
  | { readonly kind: 'migrated' }
  | {
      readonly kind: 'ordered'
      readonly workshopId: string
      readonly device: 'pads' | 'dyno' | 'logger'
      readonly orders: unknown
    }

const CHANNEL = 'ballast'
const AGAIN_MS = 500
const LONGEST_AGAIN_MS = 10_000

/** The SQL that tells all servers what an expression holds, with the transaction that it stands in. */
export const notifyOf = (payload: string) => `pg_notify('${CHANNEL}', (${payload})::text)`

/** Tells all servers of the database something, this one too. */
export async function tell(db: Knex, signal: Signal): Promise<void> {
  await db.raw(`select ${notifyOf('?')}`, [JSON.stringify(signal)])
}

/**
 * Hears what servers of the database tell each other, over one connection that is held for it. Where that breaks it is
 * made again; whoever listens is told that something may have been missed.
 */
export class Signals {
  private client: pg.Client | null = null
  private isClosed = false
  private attempt = 0
  private readonly listeners = new Set<(signal: Signal) => void>()
  private readonly missed = new Set<() => void>()

  constructor(
    private readonly url: string,
    private readonly log: Logger,
  ) {}

  hear(listener: (signal: Signal) => void, onMissed: () => void): void {
    this.listeners.add(listener)
    this.missed.add(onMissed)
  }

  async open(): Promise<void> {
    const client = new pg.Client({ connectionString: this.url, application_name: 'bold-ballast' })
    client.on('notification', ({ payload }) => {
      if (payload === undefined) return
      const signal = JSON.parse(payload) as Signal
      for (const listener of this.listeners) listener(signal)
    })
    client.on('error', (error) => {
      this.log.warn(error, 'the line on which servers hear each other broke')
      this.again(client)
    })
    client.on('end', () => this.again(client))
    try {
      await client.connect()
      await client.query(`LISTEN ${CHANNEL}`)
    } catch (error) {
      await client.end().catch(() => undefined)
      this.log.warn(error, 'no line on which servers hear each other')
      this.again(null)
      return
    }
    if (this.isClosed) return void (await client.end())
    this.client = client
    if (this.attempt > 0) for (const onMissed of this.missed) onMissed()
    this.attempt = 0
  }

  async close(): Promise<void> {
    this.isClosed = true
    await this.client?.end().catch(() => undefined)
  }

  /** Makes the line again, ever more patiently. */
  private again(broken: pg.Client | null): void {
    if (this.isClosed || (broken !== null && broken !== this.client)) return
    this.client = null
    const wait = Math.min(LONGEST_AGAIN_MS, AGAIN_MS * 2 ** this.attempt)
    this.attempt += 1
    setTimeout(() => void this.open(), wait).unref()
  }
}
