import type { Knex } from 'knex'
import { readBuildText } from './readBuildText'

type Owner = { workshopId: string; buildId: string }
interface Kept {
  readonly state: string
  readonly text: Buffer
}

/** Kept in memory at most, bytes. */
const MOST_BYTES = 64e6

/**
 * Builds as they are sent, kept for as long as they are of now: a build is read many times between two changes, and
 * asking for its state is a hundredth of reading it.
 */
export class BuildTexts {
  /** The longest unasked first. */
  private readonly kept = new Map<string, Kept>()
  private readonly reading = new Map<string, Promise<Kept | null>>()
  private bytes = 0

  constructor(
    private readonly db: Knex,
    private readonly most = MOST_BYTES,
  ) {}

  /** @returns null where there is no such build */
  async read(owner: Owner): Promise<Buffer | null> {
    const row = (await this.db('builds')
      .where({ id: owner.buildId, workshopId: owner.workshopId })
      .first('state')) as { state: string } | undefined
    if (!row) return null
    const kept = this.kept.get(owner.buildId)
    if (kept?.state === row.state) {
      this.kept.delete(owner.buildId)
      this.kept.set(owner.buildId, kept)
      return kept.text
    }
    // Whoever asks while it is being read gets what they would have read a moment later.
    const key = `${owner.buildId} ${row.state}`
    const underWay = this.reading.get(key) ?? this.readAnew(owner, key)
    return (await underWay)?.text ?? null
  }

  private readAnew(owner: Owner, key: string): Promise<Kept | null> {
    const reading = readBuildText(this.db, owner).then((read) => {
      if (!read) return null
      const kept = { state: read.state, text: Buffer.from(read.text) }
      this.keep(owner.buildId, kept)
      return kept
    })
    this.reading.set(key, reading)
    void reading.finally(() => this.reading.delete(key)).catch(() => undefined)
    return reading
  }

  private keep(id: string, kept: Kept): void {
    this.drop(id)
    if (kept.text.length > this.most) return
    this.kept.set(id, kept)
    this.bytes += kept.text.length
    for (const oldest of this.kept.keys()) {
      if (this.bytes <= this.most) break
      this.drop(oldest)
    }
  }

  private drop(id: string): void {
    this.bytes -= this.kept.get(id)?.text.length ?? 0
    this.kept.delete(id)
  }
}
