import type { Knex } from 'knex'
import { readBuildText } from './readBuildText'
import { UnderWay } from './UnderWay'

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
  private readonly reading = new UnderWay<Kept | null>()
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
    const read = this.reading.get(`${owner.buildId} ${row.state}`, () => this.readAnew(owner))
    return (await read)?.text ?? null
  }

  private async readAnew(owner: Owner): Promise<Kept | null> {
    const read = await readBuildText(this.db, owner)
    if (!read) return null
    const kept = { state: read.state, text: Buffer.from(read.text) }
    this.keep(owner.buildId, kept)
    return kept
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
