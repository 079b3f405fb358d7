import type * as z from 'zod'
import {
  bareSchema,
  isArray,
  isObject,
  isKeyed,
  isTuple,
  isUnion,
  type Around,
  type FieldMeta,
  type FieldQuantity,
} from './field'

/**
 * The schema of a field within another, by its path: `tilts.0.lift` is the lift of a tilt. Of a union it is that of the
 * first option that has such a field.
 *
 * @throws {TypeError} when there is no such field
 * @example schemaAt(RECORDS.outing, 'amounts.hours')
 */
export function schemaAt(schema: z.core.$ZodType, path: string): z.core.$ZodType {
  const found = path
    .split('.')
    .reduce<z.core.$ZodType | undefined>((at, part) => at && within(at, part), schema)
  if (!found) throw new TypeError(`No field ${path} in this record`)
  return found
}

function within(schema: z.core.$ZodType, part: string): z.core.$ZodType | undefined {
  const bare = bareSchema(schema)
  if (isObject(bare)) return bare._zod.def.shape[part]
  if (isArray(bare)) return bare._zod.def.element
  if (isTuple(bare)) return bare._zod.def.items[Number(part)]
  if (isKeyed(bare)) return bare._zod.def.valueType
  if (!isUnion(bare)) return undefined
  return bare._zod.def.options.map((option) => within(option, part)).find(Boolean)
}

const inside = (at: unknown, name: string): unknown =>
  typeof at === 'object' && at !== null ? new Map(Object.entries(at)).get(name) : undefined

/** What stands at a path of a record; `undefined` where nothing does. */
export const valueAt = (record: unknown, path: string): unknown => path.split('.').reduce(inside, record)

/** What the number at a path of a record counts, as far as the fields around it say. */
export function quantityAt({ quantity }: FieldMeta, record: object, path: string): FieldQuantity | undefined {
  if (typeof quantity !== 'function') return quantity
  let around: Around = { ...record }
  let at: unknown = record
  for (const name of path.split('.').slice(0, -1)) {
    at = inside(at, name)
    if (typeof at === 'object') around = { ...around, ...at }
  }
  return quantity(around)
}
