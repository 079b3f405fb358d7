import { buildSummary, type BuildDocument, type BuildSummary } from '@bold-ballast/contract'
import { summariseWhole, summaryWithout } from '@bold-ballast/model'
import type { Knex } from 'knex'
import { availableParallelism } from 'node:os'
import { ROW_OF } from '../database/rowOf'
import { madeBy } from './madeBy'
import { readBuildText } from './readBuildText'

type Owner = { workshopId: string; buildId: string }
interface Kept {
  readonly state: string
  readonly text: string
  /** What it took to work out, ms; null where nobody looked. */
  readonly took: number | null
}
type Head = Pick<BuildSummary, 'id' | 'name' | 'car' | 'discipline' | 'layout' | 'units'>

/** Of what is known to be quick so much is worked out while the list waits, ms; the rest follows. */
const AT_ONCE_MS = 60
const OTHER_FORMULAS = 'other'
/** Between two words that more has been worked out. */
const TELL_MS = 400

/**
 * A build's summary as JSON, and what its car weighs at least, kg. One build that leads nowhere must not hide all the
 * others.
 */
export function summaryTextOf(document: BuildDocument): {
  text: string
  lightest: number | null
  took: number
} {
  const start = performance.now()
  const told = (summary: BuildSummary, lightest: number | null) => ({
    text: JSON.stringify(summary),
    lightest,
    took: performance.now() - start,
  })
  try {
    const { summary, lightest } = summariseWhole(document)
    return told(summary, lightest)
  } catch {
    return told(summaryWithout(document.build), null)
  }
}

/** Keeps a summary of a state; that of the build now, where none is named. */
export async function keepSummaryText(
  db: Knex,
  buildId: string,
  { text, took }: Pick<Kept, 'text' | 'took'>,
  state?: string,
): Promise<void> {
  // Where the build goes at this moment there is nothing to keep it for.
  await db.raw(
    `insert into build_summaries (build_id, state, made_by, summary, took)
       select id, coalesce(?::uuid, state), ?, ?, ? from builds where id = ?
       on conflict (build_id) do update set state = excluded.state, made_by = excluded.made_by,
         summary = excluded.summary, took = excluded.took`,
    [state ?? null, madeBy(), text, took, buildId],
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
  const found = summaryTextOf(JSON.parse(read.text) as BuildDocument)
  await keepSummaryText(db, owner.buildId, found, state)
  return { state, text: found.text, took: found.took }
}

/**
 * What the Garage lists of each build. The list never waits for what takes long: a build that has changed is listed with
 * what was last known of it, and marked; it is worked out meanwhile, on threads, and whoever looks is told.
 */
export class BuildSummaries {
  private readonly kept = new Map<string, Kept>()
  private last: { key: string; list: Buffer } | null = null
  /** Builds that wait to be worked out, and those that are. */
  private readonly waiting = new Set<string>()
  private readonly working = new Set<string>()
  private telling: NodeJS.Timeout | null = null

  /**
   * @param workOut the summary of a build, beside the thread that answers
   * @param tell hears that more has been worked out
   */
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
    private readonly workOut: (owner: Owner) => Promise<Kept | null>,
    private readonly tell: () => void,
  ) {}

  /** All of them as JSON, in the order in which the builds were added. */
  async list(): Promise<Buffer> {
    const states = (await this.db('builds')
      .where({ workshopId: this.workshopId })
      .orderBy(['createdAt', 'id'])
      .select('id', 'state')) as { id: string; state: string }[]
    const key = states.map(({ id, state }) => id + state).join()
    if (this.last?.key === key) return this.last.list
    const changed = states.filter(({ id, state }) => this.kept.get(id)?.state !== state)
    await this.fetch(changed.map(({ id }) => id))
    const stale = changed.filter(({ id, state }) => this.kept.get(id)?.state !== state).map(({ id }) => id)
    const left = new Set(await this.workOutQuick(stale))
    const heads = await this.heads([...left])
    const texts = states.flatMap(({ id }) => {
      const kept = this.kept.get(id)
      const head = heads.get(id)
      if (!left.has(id)) return kept ? [kept.text] : []
      // One that is gone meanwhile is left out.
      return head ? [stillWorking(head, kept)] : []
    })
    const list = Buffer.from(`[${texts.join(',')}]`)
    this.last = left.size === 0 ? { key, list } : null
    const here = new Set(states.map(({ id }) => id))
    for (const id of this.kept.keys()) if (!here.has(id)) this.kept.delete(id)
    for (const id of left) this.waiting.add(id)
    this.goOn()
    return list
  }

  /** What is known to be quick is worked out at once, as long as that doesn't add up; ids of the others. */
  private async workOutQuick(ids: readonly string[]): Promise<string[]> {
    const took = (id: string) => this.kept.get(id)?.took ?? Infinity
    const left: string[] = []
    let spent = 0
    for (const id of [...ids].sort((a, b) => took(a) - took(b))) {
      if (spent + took(id) > AT_ONCE_MS) {
        left.push(id)
        continue
      }
      const start = performance.now()
      const found = await keepSummary(this.db, { workshopId: this.workshopId, buildId: id })
      spent += performance.now() - start
      if (found) this.kept.set(id, found)
      else this.kept.delete(id)
    }
    return left
  }

  /** Works out what waits, as many at once as there are threads. */
  private goOn(): void {
    const most = Math.max(1, Math.min(2, availableParallelism()))
    for (const id of this.waiting) {
      if (this.working.size >= most) return
      this.waiting.delete(id)
      if (this.working.has(id)) continue
      this.working.add(id)
      const over = (found: Kept | null) => {
        this.working.delete(id)
        if (found) {
          this.kept.set(id, found)
          this.tellSoon()
        }
        this.goOn()
      }
      // One that can't be worked out now is tried again when the list is next asked for.
      this.workOut({ workshopId: this.workshopId, buildId: id }).then(over, () => over(null))
    }
  }

  private tellSoon(): void {
    this.telling ??= setTimeout(() => {
      this.telling = null
      this.tell()
    }, TELL_MS)
    this.telling.unref()
  }

  /** What is known of builds without working anything out. */
  private async heads(ids: readonly string[]): Promise<ReadonlyMap<string, Head>> {
    if (ids.length === 0) return new Map()
    const rows = await ROW_OF.build
      .query(this.db)
      .whereIn('id', [...ids])
      .select('id', 'name', 'car', 'discipline', 'layout', 'units')
      .castTo<Head[]>()
    return new Map(
      rows.map(({ id, name, car, discipline, layout, units }) => [
        id,
        { id, name, car, discipline, layout, units },
      ]),
    )
  }

  private async fetch(ids: readonly string[]): Promise<void> {
    if (ids.length === 0) return
    const rows = (await this.db('build_summaries')
      .whereIn('buildId', ids)
      .select('buildId', 'state', 'madeBy', 'summary', 'took')) as {
      buildId: string
      state: string
      madeBy: string
      summary: string
      took: number | null
    }[]
    for (const row of rows) {
      // What other formulas made of it is what was last known, and of no state that there is.
      const state = row.madeBy === madeBy() ? row.state : OTHER_FORMULAS
      this.kept.set(row.buildId, { state, text: row.summary, took: row.took })
    }
  }
}

/** What was last known of a build, with what it is called now, marked as of before. */
function stillWorking(head: Head, kept: Kept | undefined): string {
  const before = kept && readSummary(kept.text)
  return JSON.stringify({
    ...(before ?? { ...summaryWithout(head), fault: null }),
    ...head,
    isWorkingOut: true,
  })
}

/** A summary that was kept; null for one of another shape, which a version before this had. */
function readSummary(text: string): BuildSummary | null {
  try {
    return buildSummary.safeParse(JSON.parse(text)).data ?? null
  } catch {
    return null
  }
}
