import { COLLECTION, PART_KINDS, withNewIds, type BuildFile } from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { insertRows } from './insertRows'

/**
 * Adds a build from a file; it gets new ids where any of the file's are taken.
 *
 * @returns the id of the build
 */
export async function addBuild(trx: Knex, workshopId: string, file: BuildFile): Promise<string> {
  const ids = [file.build.id, ...PART_KINDS.flatMap((kind) => file[COLLECTION[kind]].map((r) => r.id))]
  const taken = await trx('record_ids').whereRaw('id = any(?::uuid[])', [ids]).first('id')
  const wanted = taken ? withNewIds(file, randomUUID) : file
  const owner = { workshopId, buildId: wanted.build.id }
  await insertRows(trx, 'build', [wanted.build], { workshopId })
  for (const kind of PART_KINDS) await insertRows(trx, kind, wanted[COLLECTION[kind]], owner)
  return wanted.build.id
}
