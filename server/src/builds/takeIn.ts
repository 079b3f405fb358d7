import { buildFile, editBatch, upgradeBatch, upgradeFile, type EditResult } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { parse } from '../http/parse'
import { readJson } from '../http/readJson'
import { addBuild } from './addBuild'
import { keepSummary } from './BuildSummaries'
import { carryOut } from './carryOut'

/**
 * Adds the build of a body that was sent.
 *
 * @returns its id, and its summary as JSON
 */
export async function takeBuild(
  db: Knex,
  workshopId: string,
  body: Buffer,
): Promise<{ id: string; summary: string }> {
  const file = parse(buildFile, upgradeFile(readJson(body)))
  return db.transaction(async (trx) => {
    const buildId = await addBuild(trx, workshopId, file)
    const kept = await keepSummary(trx, { workshopId, buildId })
    return { id: buildId, summary: kept!.text }
  })
}

/** Carries out the edits of a body that was sent. */
export async function takeEdits(
  db: Knex,
  owner: { workshopId: string; buildId: string },
  body: Buffer,
): Promise<EditResult> {
  const batch = parse(editBatch, upgradeBatch(readJson(body), owner.buildId))
  return db.transaction((trx) => carryOut(trx, owner, batch))
}
