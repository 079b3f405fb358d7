import type * as z from 'zod'
import type { Edit } from '../edits/edit'
import { keptEdits, triedEdits } from '../edits/edit'
import { bareSchema, isArray, isObject, isUnion, metaOf, optionFor, type Around } from '../records/field'
import {
  eachCollection,
  partsOf,
  RECORDS,
  type Branch,
  type BuildDocument,
  type Kind,
  type PartKind,
  type Seal,
  type Stored,
} from '../records/kinds'

const isMoney = (schema: z.core.$ZodType, around: Around): boolean => {
  const { quantity } = metaOf(schema)
  return (typeof quantity === 'function' ? quantity(around) : quantity) === 'money'
}

const isKnown = (value: unknown): value is object => typeof value === 'object' && value !== null

/** By what one of a list is known again: its id, its name, or nothing. */
const nameOf = (one: unknown): unknown =>
  isKnown(one) ? (Reflect.get(one, 'id') ?? Reflect.get(one, 'name')) : undefined

/**
 * What each of a list was before: the one of the same id or name; else the one in its place, where that one is gone from
 * the list and so has been called otherwise.
 */
function wereOf(list: readonly unknown[], before: unknown): readonly unknown[] {
  if (!Array.isArray(before)) return []
  const were = before as readonly unknown[]
  const named = new Map(were.map((was) => [nameOf(was), was]))
  const names = new Set(list.map(nameOf))
  return list.map((one, place) => {
    const name = nameOf(one)
    if (name !== undefined && named.has(name)) return named.get(name)
    const was = were[place]
    return name === undefined || !names.has(nameOf(was)) ? was : undefined
  })
}

/** A value with every amount of money in it taken from what was there before; where nothing was, nobody has said. */
function withMoney(schema: z.core.$ZodType, value: unknown, before: unknown, around: Around): unknown {
  if (isMoney(schema, around)) return before ?? (schema._zod.def.type === 'nullable' ? null : 0)
  if (!isKnown(value)) return value
  const bare = bareSchema(schema)
  if (isArray(bare) && Array.isArray(value)) {
    const { element } = bare._zod.def
    const list = value as readonly unknown[]
    const were = wereOf(list, before)
    return list.map((one, i) => withMoney(element, one, were[i], around))
  }
  const object = isUnion(bare) ? optionFor(bare, value) : bare
  if (!object || !isObject(object)) return value
  const inside = { ...around, ...value }
  return Object.fromEntries(
    Object.entries(value).map(([key, held]) => {
      const inner = object._zod.def.shape[key]
      const was = isKnown(before) ? (Reflect.get(before, key) as unknown) : undefined
      return [key, inner ? withMoney(inner, held, was, inside) : held]
    }),
  )
}

/** Whether a kind of record holds any money, found out once. */
const HOLDS = new Map<Kind, boolean>()
function holdsMoney(kind: Kind): boolean {
  const known = HOLDS.get(kind)
  if (known !== undefined) return known
  const within = (schema: z.core.$ZodType): boolean => {
    const { quantity } = metaOf(schema)
    if (quantity === 'money') return true
    const bare = bareSchema(schema)
    if (isArray(bare)) return within(bare._zod.def.element)
    if (isUnion(bare)) return bare._zod.def.options.some(within)
    return isObject(bare) && Object.values(bare._zod.def.shape).some(within)
  }
  const found = within(RECORDS[kind])
  HOLDS.set(kind, found)
  return found
}

/** What says nothing but money: a budget, a mark for one, a guess of one. Without its amount nothing is left of it. */
const isAllMoney = (kind: Kind, record: object): boolean =>
  kind === 'budget' ||
  (kind === 'mark' && Reflect.get(record, 'measure') === 'price') ||
  (kind === 'firstGuess' && Reflect.get(record, 'of') === 'money')

/**
 * A record as it is written by somebody who sees no money: the amounts are those that were there.
 *
 * @param before the record as it is stored; undefined for a new one
 */
export function withMoneyOf<K extends Kind>(
  kind: K,
  record: Stored<K>,
  before: Stored<K> | undefined,
): Stored<K>
export function withMoneyOf(kind: Kind, record: object, before: object | undefined): unknown {
  return holdsMoney(kind) ? withMoney(RECORDS[kind], record, before, {}) : record
}

/** A record as it is shown to somebody who sees no money; null where nothing is left of it. */
export function recordWithoutMoney<K extends Kind>(kind: K, record: Stored<K>): Stored<K> | null
export function recordWithoutMoney(kind: Kind, record: Stored<Kind>): Stored<Kind> | null {
  if (isAllMoney(kind, record)) return null
  if (kind === 'branch') return branchWithoutMoney(record as Branch)
  if (kind === 'seal') return sealWithoutMoney(record as Seal)
  return withMoneyOf(kind, record, undefined)
}

const branchWithoutMoney = (branch: Branch): Branch => ({
  ...branch,
  edits: keptEdits(editsWithoutMoney(triedEdits(branch))),
})

const sealWithoutMoney = (seal: Seal): Seal => ({
  ...seal,
  figures: { ...seal.figures, marks: seal.figures.marks.filter(({ measure }) => measure !== 'price') },
})

/** Edits as they are shown to somebody who sees no money. */
export const editsWithoutMoney = (edits: readonly Edit[]): Edit[] =>
  edits.flatMap((edit): Edit[] => {
    if (edit.op === 'remove') return [edit]
    const record = recordWithoutMoney(edit.kind, edit.record)
    return record ? [{ ...edit, record } as Edit] : []
  })

/** A build as it is shown to somebody who sees no money: no amount is in it, and no mark for one. */
export function documentWithoutMoney(document: BuildDocument): BuildDocument
export function documentWithoutMoney(document: BuildDocument): object {
  const shown = (kind: PartKind) =>
    partsOf(document, kind).flatMap((record) => recordWithoutMoney(kind, record) ?? [])
  return { build: recordWithoutMoney('build', document.build), ...eachCollection(shown) }
}
