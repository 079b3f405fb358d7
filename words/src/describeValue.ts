import {
  bareSchema,
  isArray,
  isKeyed,
  isObject,
  isTuple,
  isUnion,
  metaOf,
  optionFor,
  RECORDS,
  type Around,
  type FieldMeta,
  type Kind,
} from '@bold-ballast/contract'
import { formatPlace, formatQuantity, preferredUnit, type Position } from '@bold-ballast/core'
import type * as z from 'zod'
import { labelOf } from './fieldLabel'
import { formatMoney } from './formatMoney'
import type { Wording } from './wording'

const isPlace = (value: object): value is Position =>
  'x' in value && 'y' in value && 'z' in value && Object.keys(value).length === 3

function describeNumber(value: number, meta: FieldMeta, { units, currency = '' }: Wording, around: Around) {
  const quantity = typeof meta.quantity === 'function' ? meta.quantity(around) : meta.quantity
  if (quantity === 'money') return formatMoney(value, currency)
  if (quantity === undefined || quantity === 'number') return String(value)
  return formatQuantity(value, preferredUnit(quantity, meta.unit ? { [quantity]: meta.unit } : units))
}

const isNothing = (value: unknown) =>
  value === null ||
  value === undefined ||
  value === '' ||
  (typeof value === 'object' && Object.keys(value).length === 0)

/** The parts of an object, each with what it is called; what only the program needs, and what is empty, is left out. */
function describeParts(schema: z.core.$ZodType, value: object, wording: Wording, around: Around): string {
  if (isPlace(value)) {
    const unit = preferredUnit('length', wording.units)
    return `${formatPlace(value, unit)} ${unit.symbol}`
  }
  const parts = Object.entries(value)
  const inside = { ...around, ...Object.fromEntries(parts) }
  const shown = parts.flatMap(([name, part]) => {
    const inner = isObject(schema) ? schema._zod.def.shape[name] : undefined
    if (!inner || metaOf(inner).isHidden || isNothing(part)) return []
    return [`${labelOf(name, inner)} ${describeBySchema(inner, part, wording, inside)}`]
  })
  return shown.join(', ')
}

function describeKeyed(schema: z.core.$ZodRecord, value: object, wording: Wording): string {
  const { keyType, valueType } = schema._zod.def
  const { link } = metaOf(keyType)
  const parts = Object.entries(value).map(([key, part]) => {
    const name = (link && wording.nameOf?.(link, key)) ?? (link ? `another ${link}` : key)
    return `${name} ${describeBySchema(valueType, part, wording, {})}`
  })
  return parts.join(', ')
}

/** A value of a schema as a person would say it. */
export function describeBySchema(
  schema: z.core.$ZodType,
  value: unknown,
  wording: Wording,
  around: Around,
): string {
  const meta = metaOf(schema)
  if (isNothing(value)) return Array.isArray(value) && meta.many ? `no ${meta.many}` : 'nothing'
  if (meta.whole) return meta.whole
  const bare = bareSchema(schema)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') return describeNumber(value, meta, wording, around)
  if (typeof value === 'string')
    return (
      meta.words?.[value] ??
      (meta.link ? (wording.nameOf?.(meta.link, value) ?? `another ${meta.link}`) : value)
    )
  if (Array.isArray(value)) {
    if (meta.many) return `${value.length} ${meta.many}`
    const each = (i: number) =>
      isTuple(bare) ? bare._zod.def.items[i] : isArray(bare) && bare._zod.def.element
    return value.map((one, i) => describeBySchema(each(i) || schema, one, wording, around)).join('; ')
  }
  const option = isUnion(bare) ? optionFor(bare, value as object) : bare
  if (!option) return 'something else'
  return isKeyed(option)
    ? describeKeyed(option, value as object, wording)
    : describeParts(option, value as object, wording, around)
}

/**
 * The value of a record's field as a person would say it, in the units they chose.
 *
 * @param record that holds it: what some figures are in follows from another field
 * @example describeValue('line', 'mass', 19.05, { units: { mass: 'lb' } }, {}) // '42.0 lb'
 */
export function describeValue(
  kind: Kind,
  field: string,
  value: unknown,
  wording: Wording,
  record: Around,
): string {
  const shape: Readonly<Record<string, z.core.$ZodType>> = RECORDS[kind].shape
  const schema = shape[field]
  return schema ? describeBySchema(schema, value, wording, record) : String(value)
}
