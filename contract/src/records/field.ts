import type { Quantity } from '@bold-ballast/core'
import * as z from 'zod'

/** What a number counts: a quantity with units, money in the build's currency, or a bare number such as a ratio. */
export type FieldQuantity = Quantity | 'number' | 'money'

/** The fields around a value, nearer ones before those further out. */
export type Around = Readonly<Record<string, unknown>>

/** What there is to say of a field besides its bounds, which its schema holds. */
export interface FieldMeta {
  /** Of a number; of one that depends on another field, by the fields around it: nearer ones go before those further out. */
  readonly quantity?: FieldQuantity | ((around: Around) => FieldQuantity)
  /** What a person calls it: over its field in a form, as the title of its column, in its history. */
  readonly label?: string
  /** What helps to fill it in. */
  readonly hint?: string
  /** The unit that it is always shown in, where it isn't left to the person's choice. */
  readonly unit?: string
  /** Of text: a time of day, which has a control of its own. */
  readonly isTime?: true
  /** Of text about a person: what a browser may fill in; a password is not shown. */
  readonly fills?: 'name' | 'username' | 'current-password' | 'new-password'
  /** Of a choice: what each of its values is called. */
  readonly words?: Readonly<Record<string, string>>
  /** Of an id that names another record: of which kind. */
  readonly link?: string
  /** Of a list that is too long to be read out: what it holds. */
  readonly many?: string
  /** Of something that is not read out part by part: what it is. */
  readonly whole?: string
  /** Of what only the program needs: ids, places in a list. */
  readonly isHidden?: true
}

const META = z.registry<FieldMeta>()

/**
 * A field of a record, with what there is to say of it. What was said of the schema before goes on holding, so that a
 * mass is a mass wherever it stands.
 *
 * @example field(f.mass, { label: 'Mass of one piece' })
 */
export function field<S extends z.ZodType>(schema: S, meta: FieldMeta): S {
  const own = schema.clone(schema._zod.def, { parent: true })
  META.add(own, meta)
  return own
}

/** A choice of one of a few values, each with the word for it. */
export const choice = <const T extends string>(
  values: readonly T[],
  words: Readonly<Record<T, string>>,
  label: string,
  wrong?: string,
) => field(z.enum(values, wrong), { label, words })

/** What wraps a schema without changing what its values are called. */
const isWrapped = (schema: z.core.$ZodType): schema is z.core.$ZodNullable | z.core.$ZodOptional =>
  schema._zod.def.type === 'nullable' || schema._zod.def.type === 'optional'

/** A schema without what makes it nullable or optional. */
export function bareSchema(schema: z.core.$ZodType): z.core.$ZodType {
  let bare = schema
  while (isWrapped(bare)) bare = bare._zod.def.innerType
  return bare
}

/** What a text has to be written as, such as a date or an id; `undefined` for free text and for all that is no text. */
export const formatOf = (schema: z.core.$ZodType): string | undefined => {
  const { def } = bareSchema(schema)._zod
  return def.type === 'string' && 'format' in def ? String(def.format) : undefined
}

/** The values that a choice is among; null for what is no choice. */
export function choicesOf(schema: z.core.$ZodType): readonly unknown[] | null {
  const bare = bareSchema(schema)
  if (isEnum(bare)) return Object.values(bare._zod.def.entries)
  return isLiteral(bare) ? bare._zod.def.values : null
}

/** What is said of a field; what was said nearer to the record goes before what was said of the schema inside. */
export function metaOf(schema: z.core.$ZodType): FieldMeta {
  const inside = isWrapped(schema) ? metaOf(schema._zod.def.innerType) : {}
  return { ...inside, ...META.get(schema) }
}

/** The option of a union that a value was written for: the one whose literals it has. */
export const optionFor = (union: z.core.$ZodUnion, value: object): z.core.$ZodType | undefined =>
  union._zod.def.options.find((option) => {
    if (!isObject(option)) return false
    const held = new Map(Object.entries(value))
    return Object.entries(option._zod.def.shape).every(([key, inner]) => {
      const bare = bareSchema(inner)
      return !isLiteral(bare) || bare._zod.def.values.some((literal) => literal === held.get(key))
    })
  })

export const isObject = (schema: z.core.$ZodType): schema is z.core.$ZodObject =>
  schema._zod.def.type === 'object'
export const isArray = (schema: z.core.$ZodType): schema is z.core.$ZodArray =>
  schema._zod.def.type === 'array'
export const isTuple = (schema: z.core.$ZodType): schema is z.core.$ZodTuple =>
  schema._zod.def.type === 'tuple'
export const isKeyed = (schema: z.core.$ZodType): schema is z.core.$ZodRecord =>
  schema._zod.def.type === 'record'
export const isUnion = (schema: z.core.$ZodType): schema is z.core.$ZodUnion =>
  schema._zod.def.type === 'union'
const isEnum = (schema: z.core.$ZodType): schema is z.core.$ZodEnum => schema._zod.def.type === 'enum'
export const isLiteral = (schema: z.core.$ZodType): schema is z.core.$ZodLiteral =>
  schema._zod.def.type === 'literal'
