import { KINDS, RECORDS, type Kind } from '@bold-ballast/contract'
import type { z } from 'zod'

const COLUMN = new Map<string, string>()

/** The column that holds a record's field. */
export function columnOf(field: string): string {
  const known = COLUMN.get(field)
  if (known !== undefined) return known
  const column = field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)
  COLUMN.set(field, column)
  return column
}

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
