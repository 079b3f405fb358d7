import {
  fileOf,
  WORKSHOP_FORMAT,
  WORKSHOP_FORMAT_VERSION,
  type BuildDocument,
  type WorkshopLine,
} from '@bold-ballast/contract'
import type { Knex } from 'knex'
import type { Model } from 'objection'
import { readBuildText } from '../builds/readBuildText'
import { EditBatchRow } from '../database/models/EditBatchRow'
import { ROW_OF } from '../database/rowOf'
import { PhotoRow } from '../database/models/PhotoRow'
import { PictureFileRow } from '../database/models/PictureFileRow'
import { RunLogRow } from '../database/models/RunLogRow'

type Line<K extends WorkshopLine['kind']> = Extract<WorkshopLine, { kind: K }>

/**
 * A whole workshop, line by line, all of it as of one moment: builds with their histories, photographs, pictures, and logs of runs.
 *
 * @param trx a transaction that sees one state of the database
 */
export async function* exportWorkshop(
  trx: Knex,
  workshop: { id: string; name: string },
  now: Date,
): AsyncGenerator<WorkshopLine> {
  const builds = await ROW_OF.build
    .query(trx)
    .select('id', 'createdAt')
    .where({ workshopId: workshop.id })
    .orderBy(['createdAt', 'id'])
    .castTo<{ id: string; createdAt: Date }[]>()
  yield {
    kind: 'workshop',
    format: WORKSHOP_FORMAT,
    formatVersion: WORKSHOP_FORMAT_VERSION,
    name: workshop.name,
    exportedAt: now.toISOString(),
    builds: builds.length,
  }
  for (const { id, createdAt } of builds) {
    const read = await readBuildText(trx, { workshopId: workshop.id, buildId: id })
    if (!read) continue
    const history = (await EditBatchRow.query(trx)
      .where({ buildId: id })
      .orderBy('sequence')) as (EditBatchRow & { createdAt: Date })[]
    yield {
      kind: 'build',
      createdAt: createdAt.toISOString(),
      file: fileOf(JSON.parse(read.text) as BuildDocument),
      history: history.map(({ id: batchId, createdAt: at, label, author, edits, inverse, result }) => ({
        id: batchId,
        at: at.toISOString(),
        label,
        author,
        ...({ edits, inverse, result } as Pick<
          Line<'build'>['history'][number],
          'edits' | 'inverse' | 'result'
        >),
      })),
    }
  }
  for (const { id: buildId } of builds) {
    for await (const { lineId, type, bytes } of eachOf(trx, PhotoRow, buildId))
      yield {
        kind: 'photo',
        buildId,
        lineId,
        type: type as Line<'photo'>['type'],
        base64: bytes.toString('base64'),
      }
    for await (const { pictureId, type, bytes } of eachOf(trx, PictureFileRow, buildId))
      yield {
        kind: 'picture',
        buildId,
        pictureId,
        type: type as Line<'picture'>['type'],
        base64: bytes.toString('base64'),
      }
    for await (const { runId, bytes } of eachOf(trx, RunLogRow, buildId))
      yield { kind: 'log', buildId, runId, base64: bytes.toString('base64') }
  }
  yield { kind: 'end' }
}

/** What stands beside a build, one after the other: all of it at once could be more than there is room for. */
async function* eachOf<M extends Model>(
  trx: Knex,
  row: (new () => M) & typeof Model & { readonly idColumn: string },
  buildId: string,
): AsyncGenerator<M> {
  const { idColumn } = row
  const ids = await row
    .query(trx)
    .select(idColumn)
    .where({ buildId })
    .orderBy(idColumn)
    .castTo<Record<string, string>[]>()
  for (const { [idColumn]: id } of ids) {
    const found = id && (await row.query(trx).findById(id).castTo<M | undefined>())
    if (found) yield found
  }
}
