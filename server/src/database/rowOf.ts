import { bareSchema, KINDS, REGISTRY, type Kind } from '@bold-ballast/contract'
import type * as z from 'zod'
import { columnOf } from './columnOf'
import { Row } from './models/Row'

/** What a column holds as JSON: all that isn't one word, one number, or yes or no. */
const isNested = (schema: z.core.$ZodType) =>
  ['object', 'array', 'record', 'tuple', 'union'].includes(bareSchema(schema)._zod.def.type)

/** The rows of a kind of record, as its definition says: the table is called after its collection. */
function rowsOfKind(kind: Kind): typeof Row {
  const { collection, record } = REGISTRY[kind]
  const fields: Readonly<Record<string, z.core.$ZodType>> = record.shape
  return class extends Row {
    static override tableName = columnOf(collection)
    static override jsonAttributes = Object.entries(fields).flatMap(([field, schema]) =>
      isNested(schema) ? [field] : [],
    )
  }
}

/** The rows of each kind of record. */
export const ROW_OF = Object.fromEntries(KINDS.map((kind) => [kind, rowsOfKind(kind)])) as Readonly<
  Record<Kind, typeof Row>
>
