import {
  RECORDS,
  recordWithoutMoney,
  type PartKind,
  type Stored,
  type WorkOfBuild,
} from '@bold-ballast/contract'
import type { Knex } from 'knex'
import type { Sees } from '../builds/BuildTexts'
import { ROW_OF } from '../database/rowOf'

/** Of one kind; a workshop of fourteen months has some hundreds. */
const MOST = 5000

/** How work goes in the workshop: jobs, waits and parts of all its builds, and what came off and was kept. */
export class WorkLibrary {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  async list(sees: Sees): Promise<WorkOfBuild[]> {
    const builds = await ROW_OF.build
      .query(this.db)
      .where({ workshopId: this.workshopId })
      .orderBy(['name', 'id'])
      .castTo<{ id: string; name: string }[]>()
    const [stages, jobs, waits, parts, stored] = await Promise.all([
      this.recordsOf('stage', {}, sees),
      this.recordsOf('job', {}, sees),
      this.recordsOf('wait', {}, sees),
      this.recordsOf('part', {}, sees),
      this.recordsOf('line', { kind: 'off', fate: 'stored', fitted: true }, sees),
    ])
    return builds.map(({ id, name }) => ({
      buildId: id,
      build: name,
      stages: (stages.get(id) ?? []).map((stage) => ({ id: stage.id, name: stage.name })),
      jobs: jobs.get(id) ?? [],
      waits: waits.get(id) ?? [],
      parts: parts.get(id) ?? [],
      stored: stored.get(id) ?? [],
    }))
  }

  private async recordsOf<K extends PartKind>(
    kind: K,
    where: Readonly<Record<string, string | boolean>>,
    sees: Sees,
  ): Promise<Map<string, Omit<Stored<K>, 'version'>[]>> {
    const rows = await ROW_OF[kind]
      .query(this.db)
      .where({ workshopId: this.workshopId, ...where })
      .orderBy(['order', 'id'])
      .limit(MOST)
      .castTo<(Record<string, unknown> & { buildId: string })[]>()
    const fields = Object.keys(RECORDS[kind].shape)
    const found = new Map<string, Omit<Stored<K>, 'version'>[]>()
    for (const row of rows) {
      const whole = Object.fromEntries(fields.map((field) => [field, row[field]])) as Stored<K>
      const shown = sees === 'all' ? whole : recordWithoutMoney(kind, whole)
      const list = found.get(row.buildId)
      if (shown && list) list.push(shown)
      else if (shown) found.set(row.buildId, [shown])
    }
    return found
  }
}
