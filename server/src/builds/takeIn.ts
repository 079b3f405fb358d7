import { buildFile, editBatch, upgradeBatch, upgradeFile, type EditResult } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import type { Hand } from '../access/Caller'
import { Refusal } from '../http/Refusal'
import { parse } from '../http/parse'
import { readJson } from '../http/readJson'
import { addBuild } from './addBuild'
import { applyBatch } from './applyBatch'
import { inTurn } from './inTurn'
import { keepAsTaken } from './takeHome'

/**
 * Adds the build of a body that was sent.
 *
 * @param isAlong it is taken along, and what it came as is kept for when it is brought home
 * @returns its id, and its summary as JSON
 */
export async function takeBuild(
  db: Knex,
  workshopId: string,
  body: Buffer,
  isAlong: boolean,
): Promise<{ id: string; summary: string }> {
  const file = parse(buildFile, upgradeFile(readJson(body)))
  return db.transaction(async (trx) => {
    const added = await addBuild(trx, workshopId, file)
    if (!isAlong) return added
    // Under other ids nothing of it would be known again at home.
    if (added.id !== file.build.id)
      throw new Refusal(
        409,
        'conflict',
        'It is here already',
        'This build, or a part of it, is here already: bring in what has changed instead of taking it along twice.',
      )
    await keepAsTaken(trx, { workshopId, buildId: added.id }, file)
    return added
  })
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
