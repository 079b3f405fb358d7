import { bareSchema, KINDS, RECORDS, type Kind } from '@bold-ballast/contract'
import type { z } from 'zod'
import { columnOf } from '../database/columnOf'

/** A column as JSON text, by what the contract says of its field. */
function asJson(field: string, schema: z.core.$ZodType): string {
  const column = `"${columnOf(field)}"`
  const { type } = bareSchema(schema)._zod.def
  if (type === 'number' || type === 'object' || type === 'array') return `coalesce(${column}::text, 'null')`
  if (type === 'boolean') return `case when ${column} then 'true' else 'false' end`
  return `coalesce(to_json(${column})::text, 'null')`
}

/** A row of a kind as the text of its record. */
export const RECORD_TEXT = Object.fromEntries(
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
