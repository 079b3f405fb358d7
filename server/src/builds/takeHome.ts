import {
  documentOf,
  homecoming,
  mergeBuilds,
  upgradeFile,
  upgradeHomecoming,
  type BuildDocument,
  type BuildFile,
  type HomecomingResult,
} from '@bold-ballast/contract'
import type { Knex } from 'knex'
import type { Hand } from '../access/Caller'
import { parse } from '../http/parse'
import { readJson } from '../http/readJson'
import { notFound, Refusal } from '../http/Refusal'
import { applyBatch } from './applyBatch'
import { inTurn } from './inTurn'
import { readBuildText } from './readBuildText'

type Owner = { workshopId: string; buildId: string }

/** How often it is merged anew because somebody has changed a record meanwhile. */
const TRIES = 5

/** What a build came as when it was taken along; null for one that is at home here. */
export async function cameAs(db: Knex, owner: Owner): Promise<BuildFile | null> {
  const row = (await db('taken_along').where(owner).first('file')) as { file: unknown } | undefined
  return row ? (upgradeFile(row.file) as BuildFile) : null
}

/** From now on both sides are taken to have had it so last. */
export async function keepAsTaken(db: Knex, owner: Owner, file: BuildFile): Promise<void> {
  await db('taken_along')
    .insert({ ...owner, file: JSON.stringify(file) })
    .onConflict('build_id')
    .merge({ file: JSON.stringify(file), takenAt: new Date() })
}

/**
 * Takes over what was done to a build elsewhere, all or none: brought home from a laptop, or from home to the laptop that
 * has it along.
 *
 * @returns what was done; or, where it was only looked, or somebody has to choose first, what would be
 */
export function takeHome(db: Knex, owner: Owner, body: Buffer, by: Hand): Promise<HomecomingResult> {
  const { id, from, base, mine, choices, look } = parse(homecoming, upgradeHomecoming(readJson(body)))
  if (mine.build.id !== owner.buildId || (base && base.build.id !== owner.buildId))
    throw new Refusal(422, 'not-valid', 'Another build', 'The file is of another build than this one.')
  return inTurn(owner.buildId, async () => {
    const start = base ?? (await cameAs(db, owner))
    if (!start)
      throw new Refusal(
        422,
        'not-valid',
        'It did not come along',
        'This build was not taken along from elsewhere, so nobody knows what both sides had last. Bring a file that says so.',
      )
    for (let tries = 1; ; tries += 1) {
      const read = await readBuildText(db, owner)
      if (!read) throw notFound('build')
      const theirs = JSON.parse(read.text) as BuildDocument
      const merge = mergeBuilds(documentOf(start), theirs, documentOf(mine), new Map(Object.entries(choices)))
      const { edits, conflicts, kept } = merge
      const result = { edits: [...edits], conflicts: [...conflicts], kept: [...kept] }
      if (look || conflicts.length > 0) return { isDone: false, ...result }
      try {
        if (edits.length > 0) {
          const label = `Brought from ${from}`.slice(0, 200)
          await applyBatch(db, owner, { id, label, author: '', edits: [...edits] }, by)
        }
        if (!base) await keepAsTaken(db, owner, mine)
        return { isDone: true, ...result }
      } catch (error) {
        if (!(error instanceof Refusal) || error.type !== 'conflict' || tries === TRIES) throw error
      }
    }
  })
}
