import { type BuildDocument } from '@bold-ballast/contract'
import { summariseWhole, summaryWithout } from '@bold-ballast/model'
import type { Knex } from 'knex'
import { madeBy } from './madeBy'
import { readBuildText } from './readBuildText'
import { UnderWay } from './UnderWay'

type Owner = { workshopId: string; buildId: string }
interface Kept {
  readonly state: string
  readonly text: string
}

/**
 * A build's summary as JSON, and what its car weighs at least, kg. One build that leads nowhere must not hide all the
 * others.
 */
export function summaryTextOf(document: BuildDocument): { text: string; lightest: number | null } {
  try {
    const { summary, lightest } = summariseWhole(document)
    return { text: JSON.stringify(summary), lightest }
  } catch {
    return { text: JSON.stringify(summaryWithout(document.build)), lightest: null }
  }
}

/** Keeps a summary of a state; that of the build now, where none is named. */
export async function keepSummaryText(
  db: Knex,
  buildId: string,
  text: string,
  state?: string,
): Promise<void> {
  // Where the build goes at this moment there is nothing to keep it for.
  await db.raw(
    `insert into build_summaries (build_id, state, made_by, summary)
       select id, coalesce(?::uuid, state), ?, ? from builds where id = ?
       on conflict (build_id) do update set state = excluded.state, made_by = excluded.made_by, summary = excluded.summary`,
    [state ?? null, madeBy(), text, buildId],
  )
}

/**
 * Works a build's summary out and keeps it with the state that it is of.
 *
 * @returns null where the build is gone meanwhile
 */
export async function keepSummary(db: Knex, owner: Owner): Promise<Kept | null> {
  const read = await readBuildText(db, owner)
  if (!read) return null
  const { state } = read
  const { text } = summaryTextOf(JSON.parse(read.text) as BuildDocument)
  await keepSummaryText(db, owner.buildId, text, state)
  return { state, text }
}

/** What the Garage lists of each build, worked out anew when a build has changed. */
export class BuildSummaries {
  private readonly kept = new Map<string, Kept>()
  private readonly working = new UnderWay<Kept | null>()
  private last: { key: string; list: Buffer } | null = null

  /** @param workOut the summary of a build, somewhere */
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
    private readonly workOut: (owner: Owner) => Promise<Kept | null>,
  ) {}

  /** All of them as JSON, in the order in which the builds were added. */
  async list(): Promise<Buffer> {
    const states = (await this.db('builds')
      .where({ workshopId: this.workshopId })
      .orderBy(['createdAt', 'id'])
      .select('id', 'state')) as { id: string; state: string }[]
    const key = states.map(({ id, state }) => id + state).join()
    if (this.last?.key === key) return this.last.list
    await this.fetch(states.filter(({ id, state }) => this.kept.get(id)?.state !== state).map(({ id }) => id))
    const texts: string[] = []
    for (const { id, state } of states) {
      const kept = this.kept.get(id)
      if (kept?.state === state) texts.push(kept.text)
      else {
        // One that is gone meanwhile is left out; one that has changed meanwhile is as new as can be.
        const owner = { workshopId: this.workshopId, buildId: id }
        const found = await this.working.get(`${id} ${state}`, () => this.workOut(owner))
        if (found) {
          this.kept.set(id, found)
          texts.push(found.text)
        }
      }
    }
    const list = Buffer.from(`[${texts.join(',')}]`)
    this.last = { key, list }
    const here = new Set(states.map(({ id }) => id))
    for (const id of this.kept.keys()) if (!here.has(id)) this.kept.delete(id)
    return list
  }

  private async fetch(ids: readonly string[]): Promise<void> {
    if (ids.length === 0) return
    const rows = (await this.db('build_summaries')
      .whereIn('buildId', ids)
      .where({ madeBy: madeBy() })
      .select('buildId', 'state', 'summary')) as { buildId: string; state: string; summary: string }[]
    for (const { buildId, state, summary } of rows) this.kept.set(buildId, { state, text: summary })
  }
}
