import { documentWithoutMoney, type BuildDocument } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { readBuildText } from './readBuildText'
import { UnderWay } from './UnderWay'

type Owner = { workshopId: string; buildId: string }
/** What of a build is shown: what things cost is not for everybody. */
export type Sees = 'all' | 'noMoney'

interface Kept {
  readonly state: string
  readonly text: Buffer
}

export const withoutMoneyText = (text: string): string =>
  JSON.stringify(documentWithoutMoney(JSON.parse(text) as BuildDocument))

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
  async read(owner: Owner, sees: Sees = 'all'): Promise<Buffer | null> {
    const row = (await this.db('builds')
      .where({ id: owner.buildId, workshopId: owner.workshopId })
      .first('state')) as { state: string } | undefined
    if (!row) return null
    const key = `${owner.buildId} ${sees}`
    const kept = this.kept.get(key)
    if (kept?.state === row.state) {
      this.kept.delete(key)
      this.kept.set(key, kept)
      return kept.text
    }
    // Whoever asks while it is being read gets what they would have read a moment later.
    const read = this.reading.get(`${key} ${row.state}`, () => this.readAnew(owner, key, sees))
    return (await read)?.text ?? null
  }

  private async readAnew(owner: Owner, key: string, sees: Sees): Promise<Kept | null> {
    const read = await readBuildText(this.db, owner)
    if (!read) return null
    const kept = {
      state: read.state,
      text: Buffer.from(sees === 'all' ? read.text : withoutMoneyText(read.text)),
    }
    this.keep(key, kept)
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
