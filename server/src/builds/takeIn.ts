import { buildFile, editBatch, upgradeBatch, upgradeFile, type EditResult } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import type { Hand } from '../access/Caller'
import { parse } from '../http/parse'
import { readJson } from '../http/readJson'
import { addBuild } from './addBuild'
import { applyBatch } from './applyBatch'
import { inTurn } from './inTurn'

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
  return db.transaction((trx) => addBuild(trx, workshopId, file))
}

/** Carries out the edits of a body that was sent. */
export async function takeEdits(
  db: Knex,
  owner: { workshopId: string; buildId: string },
  body: Buffer,
  by: Hand,
): Promise<EditResult> {
  const batch = parse(editBatch, upgradeBatch(readJson(body), owner.buildId))
  // Those of one build would only wait for each other, each with a connection in its hand.
  return inTurn(owner.buildId, () => applyBatch(db, owner, batch, by))
}
