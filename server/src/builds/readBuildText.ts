import { COLLECTION, KINDS, PART_KINDS, type Kind } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { askPrepared } from '../database/askPrepared'
import { ROW_OF } from '../database/rowOf'
import { RECORD_TEXT } from './recordText'

const STATEMENT = [
  `select 'state' as kind, state::text as record from ${ROW_OF.build.tableName} where id = $1::uuid and workshop_id = $2::uuid`,
  `select 'build', ${RECORD_TEXT.build} from ${ROW_OF.build.tableName} where id = $1::uuid and workshop_id = $2::uuid`,
  ...PART_KINDS.map(
    (kind) =>
      `select '${kind}', ${RECORD_TEXT[kind]} from ${ROW_OF[kind].tableName} where build_id = $1::uuid and workshop_id = $2::uuid`,
  ),
].join(' union all ')

export interface BuildText {
  /** Another one after each change. */
  readonly state: string
  readonly text: string
}

/**
 * A whole build as the JSON that the API answers with, or null where there is none.
 *
 * One statement, so it is all as of one moment, and the database writes the text: a build is sent far more
 * often than anything here looks into it, and two thousand lines needn't become objects on the way.
 */
export async function readBuildText(
  db: Knex,
  owner: { workshopId: string; buildId: string },
): Promise<BuildText | null> {
  const rows = await askPrepared<{ kind: Kind | 'state'; record: string }>(
    db,
    { name: 'read build', text: STATEMENT },
    [owner.buildId, owner.workshopId],
  )
  const records = new Map<Kind | 'state', string[]>([
    ['state', []],
    ...KINDS.map((kind) => [kind, []] as [Kind, string[]]),
  ])
  for (const { kind, record } of rows) records.get(kind)?.push(record)
  const [build, state] = [records.get('build')?.[0], records.get('state')?.[0]]
  if (!build || !state) return null
  const parts = PART_KINDS.map((kind) => `"${COLLECTION[kind]}":[${records.get(kind)?.join(',') ?? ''}]`)
  return { state, text: `{"build":${build},${parts.join(',')}}` }
}
