import { buildFile, editBatch, type BuildFile } from '@bold-ballast/contract'
import type { demo as Demo } from '@bold-ballast/demo'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { EditBatchRow } from '../database/models/EditBatchRow'
import { PictureFileRow } from '../database/models/PictureFileRow'
import { RunLogRow } from '../database/models/RunLogRow'
import { runLogMore } from '../logs/runLogMore'
import { WorkshopRow } from '../database/models/WorkshopRow'
import { addBuild } from './addBuild'
import { applyBatch } from './applyBatch'
import { keepSummary } from './BuildSummaries'

/**
 * Loads demo builds once in the life of a workshop, through the same checks as a person's import and edits: all of them or
 * none, so that a start that was killed halfway begins anew; of several servers that start at once one does, and the others
 * wait for it.
 */
export async function loadDemo(db: Knex, { id }: WorkshopRow, demo: typeof Demo): Promise<WorkshopRow> {
  return db.transaction(async (trx) => {
    const workshop = await WorkshopRow.query(trx).findById(id).forUpdate().throwIfNotFound()
    if (workshop.demoLoadedAt) return workshop
    for (const file of demo.builds()) {
      await loadBuild(trx, id, file, demo)
      // Whoever opens the Garage for the first time sees its figures.
      await keepSummary(trx, { workshopId: id, buildId: file.build.id })
    }
    return workshop.$query(trx).patchAndFetch({ name: demo.workshop, demoLoadedAt: new Date().toISOString() })
  })
}

/** A build with what was done to it, each at its time. */
async function loadBuild(trx: Knex, workshopId: string, file: BuildFile, demo: typeof Demo): Promise<void> {
  const { before, batches } = demo.historyOf(file)
  const { id } = await addBuild(trx, workshopId, buildFile.parse(before))
  // Where its ids were taken it is a copy, and what was done is about others.
  if (id !== file.build.id) return
  for (const log of demo.logsOf(file))
    await RunLogRow.query(trx).insert({
      ...log,
      buildId: id,
      workshopId,
      ...(await runLogMore(log.bytes)),
    })
  for (const picture of demo.picturesOf(file))
    await PictureFileRow.query(trx).insert({ ...picture, buildId: id, workshopId })
  for (const { at, ...batch } of batches) {
    const done = editBatch.parse({ id: randomUUID(), ...batch })
    await applyBatch(trx, { workshopId, buildId: id }, done)
    await EditBatchRow.query(trx).patch({ createdAt: at }).where({ id: done.id })
  }
}
