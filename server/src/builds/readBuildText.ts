import { COLLECTION, KINDS, PART_KINDS, RECORDS, type Kind } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import type { z } from 'zod'
import { ROW_OF } from '../database/models/parts'
import { columnOf } from './readRecords'

/** A column as JSON text, by what the contract says of its field. */
function asJson(field: string, schema: z.core.$ZodType): string {
  const column = `"${columnOf(field)}"`
  let inner = schema
  while (inner._zod.def.type === 'nullable')
    inner = (inner as z.core.$ZodNullable)._zod.def.innerType as z.core.$ZodType
  const { type } = inner._zod.def
  if (type === 'number' || type === 'object' || type === 'array') return `coalesce(${column}::text, 'null')`
  if (type === 'boolean') return `case when ${column} then 'true' else 'false' end`
  return `coalesce(to_json(${column})::text, 'null')`
}

/** A row of a kind as the text of its record. */
const RECORD_TEXT = Object.fromEntries(
  KINDS.map((kind) => {
    const fields = [
      ...Object.entries(RECORDS[kind].shape).map(
        ([field, schema]) => [field, asJson(field, schema)] as const,
      ),
      ['version', 'version'] as const,
    ]
    const parts = fields.map(([field, text], i) => `'${i === 0 ? '{' : ','}"${field}":', ${text}`)
    return [kind, `concat(${parts.join(', ')}, '}')`]
  }),
) as Record<Kind, string>

const STATEMENT = [
  `select 'state' as kind, state::text as record from ${ROW_OF.build.tableName} where id = :buildId and workshop_id = :workshopId`,
  `select 'build', ${RECORD_TEXT.build} from ${ROW_OF.build.tableName} where id = :buildId and workshop_id = :workshopId`,
  ...PART_KINDS.map(
    (kind) =>
      `select '${kind}', ${RECORD_TEXT[kind]} from ${ROW_OF[kind].tableName} where build_id = :buildId and workshop_id = :workshopId`,
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
  const { rows } = (await db.raw(STATEMENT, owner).queryContext({ asNamed: true })) as {
    rows: { kind: Kind | 'state'; record: string }[]
  }
  const records = new Map<Kind | 'state', string[]>([
    ['state', []],
    ...KINDS.map((kind) => [kind, []] as [Kind, string[]]),
  ])
  for (const { kind, record } of rows) records.get(kind)!.push(record)
  const build = records.get('build')![0]
  if (!build) return null
  const parts = PART_KINDS.map((kind) => `"${COLLECTION[kind]}":[${records.get(kind)!.join(',')}]`)
  return { state: records.get('state')![0]!, text: `{"build":${build},${parts.join(',')}}` }
}
