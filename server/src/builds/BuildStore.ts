import {
  COLLECTION,
  fileOf,
  PART_KINDS,
  summarise,
  summaryWithout,
  withNewIds,
  type BuildDocument,
  type BuildFile,
  type BuildSummary,
  type EditBatch,
  type EditResult,
  type Kind,
} from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/models/parts'
import { notFound } from '../http/Refusal'
import { carryOut } from './carryOut'
import { insertRows } from './insertRows'
import { readBuildText } from './readBuildText'

/** One build that leads nowhere must not hide all the others. */
function summaryOf(document: BuildDocument): BuildSummary {
  try {
    return summarise(document)
  } catch {
    return summaryWithout(document.build)
  }
}

/** The builds of one workshop: read whole, changed by batches, all in transactions. */
export class BuildStore {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  /** One build as JSON, all of it as of one moment. */
  async text(buildId: string, db: Knex = this.db): Promise<string> {
    const text = await readBuildText(db, { workshopId: this.workshopId, buildId })
    if (text === null) throw notFound('build')
    return text
  }

  async list(): Promise<BuildSummary[]> {
    return this.db.transaction(
      async (trx) => {
        const rows = await ROW_OF.build
          .query(trx)
          .select('id')
          .where({ workshopId: this.workshopId })
          .orderBy(['createdAt', 'id'])
        const summaries: BuildSummary[] = []
        for (const { id } of rows) summaries.push(summaryOf(await this.read(trx, id)))
        return summaries
      },
      { isolationLevel: 'repeatable read', readOnly: true },
    )
  }

  async file(buildId: string): Promise<BuildFile> {
    return fileOf(JSON.parse(await this.text(buildId)) as BuildDocument)
  }

  /** Adds a build from a file; it gets new ids where any of the file's are taken. */
  async add(file: BuildFile): Promise<BuildSummary> {
    return this.db.transaction(async (trx) => {
      const wanted = (await this.anyTaken(trx, file)) ? withNewIds(file, randomUUID) : file
      const owner = { workshopId: this.workshopId, buildId: wanted.build.id }
      await insertRows(trx, 'build', [wanted.build], { workshopId: this.workshopId })
      for (const kind of PART_KINDS) await insertRows(trx, kind, wanted[COLLECTION[kind]], owner)
      return summaryOf(await this.read(trx, wanted.build.id))
    })
  }

  async remove(buildId: string): Promise<void> {
    const count = await ROW_OF.build
      .query(this.db)
      .delete()
      .where({ id: buildId, workshopId: this.workshopId })
    if (count === 0) throw notFound('build')
  }

  async edit(buildId: string, batch: EditBatch): Promise<EditResult> {
    return this.db.transaction((trx) => carryOut(trx, { workshopId: this.workshopId, buildId }, batch))
  }

  private async read(trx: Knex, buildId: string): Promise<BuildDocument> {
    return JSON.parse(await this.text(buildId, trx)) as BuildDocument
  }

  private async anyTaken(trx: Knex, file: BuildFile): Promise<boolean> {
    const ids: [Kind, string[]][] = [['build', [file.build.id]]]
    for (const kind of PART_KINDS) ids.push([kind, file[COLLECTION[kind]].map((r) => r.id)])
    for (const [kind, wanted] of ids) {
      if (wanted.length > 0 && (await ROW_OF[kind].query(trx).select('id').whereIn('id', wanted).first()))
        return true
    }
    return false
  }
}
