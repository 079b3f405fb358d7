import { bareSchema, isArray, isObject, isTuple, isUnion } from '@bold-ballast/contract'
import type * as z from 'zod'

/**
 * The schema of a form's field, by its name: `tilts.0.lift` is the lift of a tilt. Of a union it is that of the first
 * option that has such a field.
 *
 * @throws {TypeError} when the record has no such field
 */
export function schemaAt(schema: z.core.$ZodType, name: string): z.core.$ZodType {
  const found = name
    .split('.')
    .reduce<z.core.$ZodType | undefined>((at, part) => at && within(at, part), schema)
  if (!found) throw new TypeError(`No field ${name} in this record`)
  return found
}

function within(schema: z.core.$ZodType, part: string): z.core.$ZodType | undefined {
  const bare = bareSchema(schema)
  if (isObject(bare)) return bare._zod.def.shape[part]
  if (isArray(bare)) return bare._zod.def.element
  if (isTuple(bare)) return bare._zod.def.items[Number(part)]
  if (!isUnion(bare)) return undefined
  return bare._zod.def.options.map((option) => within(option, part)).find(Boolean)
}
