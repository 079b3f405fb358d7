import {
  fileOf,
  WORKSHOP_FORMAT,
  WORKSHOP_FORMAT_VERSION,
  type BuildDocument,
  type WorkshopLine,
} from '@bold-ballast/contract'
import type { Knex } from 'knex'
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
  for (const { id } of builds) {
    const lines = await PhotoRow.query(trx).select('lineId').where({ buildId: id }).orderBy('lineId')
    for (const { lineId } of lines) {
      const photo = await PhotoRow.query(trx).findById(lineId)
      if (!photo) continue
      yield {
        kind: 'photo',
        buildId: id,
        lineId,
        type: photo.type as Line<'photo'>['type'],
        base64: photo.bytes.toString('base64'),
      }
    }
    const pictures = await PictureFileRow.query(trx)
      .select('pictureId')
      .where({ buildId: id })
      .orderBy('pictureId')
    for (const { pictureId } of pictures) {
      const picture = await PictureFileRow.query(trx).findById(pictureId)
      if (picture)
        yield {
          kind: 'picture',
          buildId: id,
          pictureId,
          type: picture.type as Line<'picture'>['type'],
          base64: picture.bytes.toString('base64'),
        }
    }
    const runs = await RunLogRow.query(trx).select('runId').where({ buildId: id }).orderBy('runId')
    for (const { runId } of runs) {
      const log = await RunLogRow.query(trx).findById(runId)
      if (log) yield { kind: 'log', buildId: id, runId, base64: log.bytes.toString('base64') }
    }
  }
  yield { kind: 'end' }
}
