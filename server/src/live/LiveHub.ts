import {
  editsWithoutMoney,
  may,
  type Edit,
  type LiveEvent,
  type Present,
  type Role,
} from '@bold-ballast/contract'
import type { Response } from 'express'
import type { Knex } from 'knex'
import type { Logger } from 'pino'
import { inTurn } from '../builds/inTurn'
import { whenClosed } from '../http/whenClosed'
import { Presences } from './Presences'
import type { Signal, Signals } from './Signals'

/** A line on which nothing moves is cut by whatever stands in between; it also shows who has gone. */
const BEAT_MS = 10_000
/** More than that is not told to everybody: whoever needs it asks. Characters. */
const MOST_TOLD = 100_000
/** Not taken by a listener: one that takes nothing is cut. Bytes. */
const MOST_WAITING = 4e6

/** As whom a stream was opened: it ends when that is over. */
export interface OpenedAs {
  readonly workshopId: string
  readonly role: Role
  /** Null without accounts. */
  readonly sessionId: string | null
}
export interface Listening extends OpenedAs {
  /** The build that is looked at; null for the list of all. */
  readonly buildId: string | null
}
interface Listener extends Listening {
  readonly response: Response
}
/** A stream of another kind, such as a device's. */
interface Held extends OpenedAs {
  readonly response: Response
}

/**
 * Tells whoever looks at a build what others do to it, whichever server they do it at: what is heard on the signals is
 * read once, and written to all who listen here. Nothing is kept that another server would miss.
 */
export class LiveHub {
  private readonly listeners = new Set<Listener>()
  private readonly held = new Set<Held>()
  private readonly beat: NodeJS.Timeout
  private ordered: ((signal: Signal & { kind: 'ordered' }) => void) | null = null
  readonly presences: Presences

  constructor(
    private readonly db: Knex,
    signals: Signals | null,
    private readonly log: Logger,
  ) {
    this.presences = new Presences(db)
    signals?.hear(
      (signal) => void this.heard(signal).catch((error: unknown) => log.warn(error, 'a change was not told')),
      // Something may have been done that nobody here heard of: everybody asks anew.
      () =>
        this.listeners.forEach((listener) =>
          listener.buildId === null
            ? this.write(listener, 'builds', {})
            : this.write(listener, 'changed', changedOf(listener.buildId)),
        ),
    )
    this.beat = setInterval(() => void this.onBeat().catch(() => undefined), BEAT_MS)
    this.beat.unref()
  }

  get count(): number {
    return this.listeners.size
  }

  /** Hears what simulated devices are told, at whichever server. */
  onOrdered(listener: (signal: Signal & { kind: 'ordered' }) => void): void {
    this.ordered = listener
  }

  /** Streams events to a response until its client hangs up. */
  async listen(response: Response, listening: Listening): Promise<void> {
    response.writeHead(200, { 'content-type': 'text/event-stream', 'x-accel-buffering': 'no' })
    const listener = { ...listening, response }
    this.listeners.add(listener)
    whenClosed(response, () => this.listeners.delete(listener))
    this.write(listener, 'hello', { present: await this.presentOf(listening) })
  }

  /** Ends a stream that tells something else when whoever opened it may no longer have it. */
  hold(response: Response, as: OpenedAs): void {
    const held = { ...as, response }
    this.held.add(held)
    whenClosed(response, () => this.held.delete(held))
  }

  close(): void {
    clearInterval(this.beat)
    for (const { response } of [...this.listeners, ...this.held]) response.end()
  }

  private write({ response }: Listener, name: LiveEvent, data: object): void {
    this.send(response, `event: ${name}\ndata: ${JSON.stringify(data)}\n\n`)
  }

  private send(response: Response, text: string): void {
    if (response.writableLength > MOST_WAITING) response.destroy()
    else response.write(text)
  }

  private in(workshopId: string): Listener[] {
    return [...this.listeners].filter((listener) => listener.workshopId === workshopId)
  }

  private async heard(signal: Signal): Promise<void> {
    switch (signal.kind) {
      case 'edited':
        // In the order in which it was done.
        return inTurn(`tell ${signal.buildId}`, () => this.tellEdits(signal))
      case 'builds':
        return this.in(signal.workshopId).forEach((listener) => this.write(listener, 'builds', {}))
      case 'present': {
        const here = this.in(signal.workshopId).filter(({ buildId }) => buildId === signal.buildId)
        return this.tellPresent(here)
      }
      case 'people':
        return this.endOthers()
      case 'ordered':
        return this.ordered?.(signal)
      case 'migrated':
        return
    }
  }

  private async tellEdits({ workshopId, buildId, batchId }: Signal & { kind: 'edited' }): Promise<void> {
    const listeners = this.in(workshopId)
    if (listeners.length === 0) return
    const row = (await this.db('edit_batches')
      .where({ id: batchId, workshopId, buildId })
      .first('author', 'edits')) as { author: string; edits: Edit[] } | undefined
    if (!row) return
    const changed = changedOf(buildId, [...new Set(row.edits.map((edit) => edit.kind))])
    const textOf = (edits: readonly Edit[]) => {
      const text = JSON.stringify({ batchId, author: row.author, edits })
      const isModest = text.length <= MOST_TOLD
      return isModest ? `event: edited\ndata: ${text}\n\n` : textOfChanged
    }
    const textOfChanged = `event: changed\ndata: ${JSON.stringify(changed)}\n\n`
    let all: string | null = null
    let noMoney: string | null = null
    for (const { response, buildId: open, role } of listeners)
      if (open !== buildId) this.send(response, textOfChanged)
      else if (may(role, 'money')) this.send(response, (all ??= textOf(row.edits)))
      else this.send(response, (noMoney ??= textOf(editsWithoutMoney(row.edits))))
  }

  /** Who is in the build that is looked at. */
  private async presentOf({ workshopId, buildId }: Listening): Promise<Present[]> {
    return buildId === null ? [] : this.presences.of({ workshopId, buildId })
  }

  private async tellPresent(listeners: readonly Listener[]): Promise<void> {
    const [first] = listeners
    if (!first) return
    const present = await this.presentOf(first)
    for (const listener of listeners) this.write(listener, 'present', { present })
  }

  /**
   * Ends the streams of sessions that are over, or whose role is another now; and those that were opened before there were
   * accounts, once there are.
   */
  private async endOthers(): Promise<void> {
    const open: (Held | Listener)[] = [...this.listeners, ...this.held]
    const nobodys = open.filter(({ sessionId }) => sessionId === null)
    const someones = open.filter(({ sessionId }) => sessionId !== null)
    if (nobodys.length > 0 && (await this.db('people').first('id'))) nobodys.forEach((one) => this.end(one))
    if (someones.length === 0) return
    const rows = (await this.db('sessions')
      .join('members', 'members.personId', 'sessions.personId')
      .whereIn(
        'sessions.id',
        someones.map(({ sessionId }) => sessionId),
      )
      .whereNull('sessions.endedAt')
      .where('sessions.endsAt', '>', this.db.fn.now())
      .select('sessions.id', 'members.workshopId', 'members.role')) as {
      id: string
      workshopId: string
      role: Role
    }[]
    const still = new Set(rows.map(({ id, workshopId, role }) => `${id} ${workshopId} ${role}`))
    for (const one of someones)
      if (!still.has(`${one.sessionId} ${one.workshopId} ${one.role}`)) this.end(one)
  }

  private end(one: Held | Listener): void {
    if ('buildId' in one) this.write(one, 'ended', {})
    one.response.end()
  }

  private byBuild(): Map<string, Listener[]> {
    const groups = new Map<string, Listener[]>()
    for (const listener of this.listeners) {
      if (listener.buildId === null) continue
      const group = groups.get(listener.buildId)
      if (group) group.push(listener)
      else groups.set(listener.buildId, [listener])
    }
    return groups
  }

  private async onBeat(): Promise<void> {
    if (this.listeners.size + this.held.size === 0) return
    for (const { response } of this.listeners) this.send(response, ': \n\n')
    await this.endOthers()
    if (this.listeners.size === 0) return
    // Who has gone without a word is seen to be gone by those who stay.
    for (const listeners of this.byBuild().values())
      if (listeners.length > 1) await this.tellPresent(listeners)
    await this.presences.sweep()
  }
}

const changedOf = (buildId: string, kinds: readonly string[] = []) => ({ buildId, kinds })
