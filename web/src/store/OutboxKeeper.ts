import { FORMAT_VERSION, upgradeEdit } from '@bold-ballast/contract'
import type { DeviceStore, KeptBatch } from './device'
import type { OutboxState, Pending, Refused } from './outbox'

/** What a tab that is closed has left behind. */
export type Found = Pick<OutboxState, 'pending' | 'refused'>

/** A lock that a tab holds for as long as it is open. */
const lockOf = (tab: string) => `bold-ballast.tab.${tab}`

/** What waited since an older version of the application, with its records as they are today. */
function ofToday({ batch, buildId, by = null, formatVersion, problem }: KeptBatch): Pending | Refused {
  const edits =
    formatVersion === FORMAT_VERSION
      ? batch.edits
      : batch.edits.map((edit) => upgradeEdit(edit, formatVersion, buildId))
  const waiting = { buildId, batch: { ...batch, edits }, by }
  return problem ? { ...waiting, problem } : waiting
}

/**
 * Keeps a tab's outbox on the device, so that what was typed outlives a closed tab and a machine that stops, and takes
 * over what tabs have left that are closed.
 *
 * Whose tab is closed is known by locks: each tab holds its own, and waits for those of the others.
 */
export class OutboxKeeper {
  /** What is kept, by the batch's id. */
  private kept = new Map<string, { place: number; entry: Pending | Refused }>()
  private lastPlace = 0
  private latest: Found = { pending: [], refused: [] }
  private writing: Promise<void> = Promise.resolve()
  private writes = 0
  private hasFailed = false

  /**
   * @param tell hears whether all that waits is kept, whenever that changes
   */
  constructor(
    private readonly open: () => Promise<DeviceStore>,
    private readonly tab: string,
    private readonly locks: Pick<LockManager, 'request'> | undefined,
    private readonly tell: (isKept: boolean) => void,
  ) {}

  /** False while something waits that would be lost with this tab. */
  get isKept(): boolean {
    return this.writes === 0 && !this.hasFailed
  }

  /** Keeps the outbox as it is now: all of the change, or none. */
  keep(state: Found): void {
    this.latest = state
    this.writes += 1
    this.writing = this.writing
      .then(() => this.write())
      .then(
        () => this.said(false),
        () => this.said(true),
      )
  }

  /** When all that was to be kept until now has been, or has failed. */
  settled(): Promise<void> {
    return this.writing
  }

  private said(hasFailed: boolean): void {
    this.writes -= 1
    const hasChanged = hasFailed !== this.hasFailed
    this.hasFailed = hasFailed
    if (hasChanged) this.tell(!hasFailed)
  }

  /** After all that this tab has kept, and after what others did earlier: they may write within the same millisecond. */
  private nextPlace(): number {
    this.lastPlace = Math.max(this.lastPlace + 0.001, performance.timeOrigin + performance.now())
    return this.lastPlace
  }

  /** Writes what is there by now: what was found since it was asked for is no more to be forgotten than what was typed. */
  private async write(): Promise<void> {
    const { pending, refused } = this.latest
    const now = new Map<string, Pending | Refused>([...pending, ...refused].map((e) => [e.batch.id, e]))
    const changed = [...now].filter(([id, entry]) => this.kept.get(id)?.entry !== entry)
    const gone = [...this.kept.keys()].filter((id) => !now.has(id))
    if (changed.length + gone.length === 0) return
    const store = await this.open()
    const change = store.transaction('batches', 'readwrite')
    const next = new Map(this.kept)
    const asked: Promise<unknown>[] = []
    for (const id of gone) {
      asked.push(change.store.delete(id))
      next.delete(id)
    }
    for (const [id, entry] of changed) {
      const place = this.kept.get(id)?.place ?? this.nextPlace()
      const { buildId, batch, by } = entry
      const problem = 'problem' in entry ? entry.problem : null
      asked.push(
        change.store.put({
          id,
          place,
          tab: this.tab,
          formatVersion: FORMAT_VERSION,
          buildId,
          batch,
          by,
          problem,
        }),
      )
      next.set(id, { place, entry })
    }
    await Promise.all([...asked, change.done])
    this.kept = next
  }

  /**
   * Holds this tab's lock, and looks for what others have left: at once where they are closed, and else when they are.
   *
   * @param find hears what was found, in the order in which it was done
   */
  async adopt(find: (found: Found) => void): Promise<void> {
    void this.locks?.request(lockOf(this.tab), () => new Promise(() => undefined)).catch(() => undefined)
    const store = await this.open()
    const tabs = new Set((await store.getAll('batches')).map((kept) => kept.tab))
    tabs.delete(this.tab)
    // In turn with what is written, which would else forget what has been taken and not been heard of yet.
    const take = (tab: string) => {
      const taking = this.writing.then(async () => {
        const found = await this.take(tab)
        if (found.pending.length + found.refused.length > 0) find(found)
      })
      this.writing = taking.catch(() => undefined)
      return taking
    }
    for (const tab of tabs)
      if (this.locks) void this.locks.request(lockOf(tab), () => take(tab)).catch(() => undefined)
      else await take(tab)
  }

  /** What a closed tab has left, which is this one's from now on. */
  private async take(tab: string): Promise<Found> {
    const store = await this.open()
    const change = store.transaction('batches', 'readwrite')
    const left = (await change.store.index('tab').getAll(tab)).sort((a, b) => a.place - b.place)
    await Promise.all(left.map((kept) => change.store.put({ ...kept, tab: this.tab })))
    await change.done
    const found = { pending: [] as Pending[], refused: [] as Refused[] }
    for (const kept of left) {
      const entry = ofToday(kept)
      if ('problem' in entry) found.refused.push(entry)
      else found.pending.push(entry)
      this.kept.set(kept.id, { place: kept.place, entry })
      this.lastPlace = Math.max(this.lastPlace, kept.place)
    }
    return found
  }
}
