import * as z from 'zod'
import * as f from './fields'

/** What a record hangs from: the workshop has builds, a build has everything else. */
export type Within = 'workshop' | 'build' | 'stage' | 'swap' | 'dynoDay' | 'outing' | 'job'

type ParentOf<W extends Within> = W extends 'workshop' | 'build' ? null : { kind: W; field: `${W}Id` }
type ShapeOf<W extends Within, F extends z.ZodRawShape> = { id: typeof f.id } & (W extends
  'workshop' | 'build'
  ? unknown
  : Record<`${W}Id`, typeof f.id>) &
  F
type RecordShape<W extends Within, F extends z.ZodRawShape> = z.ZodObject<
  { [K in keyof ShapeOf<W, F>]: ShapeOf<W, F>[K] },
  z.core.$strict
>

/** All there is to say of one kind of record; document, file, rows, forms, lists and history follow from it. */
export interface RecordKind<
  N extends string = string,
  W extends Within = Within,
  R extends z.ZodObject = z.ZodObject,
  C extends string = string,
  B extends boolean = boolean,
> {
  readonly name: N
  /** Where its records stand in a document and in a file; its table is called after it. */
  readonly collection: C
  readonly parent: ParentOf<W>
  /** A stage has one, which holds until another stage has its own. */
  readonly isCarriedOn: B
  /** A stage that is frozen holds it fast. */
  readonly isFrozen: boolean
  /** It may be part of what is only tried. */
  readonly isTried: boolean
  /** It says what was measured or done, which a helper writes down too; else it says what is to be. */
  readonly isLogged: boolean
  readonly words: { readonly one: string; readonly many: string }
  /** By what its records stand in order in a file. */
  readonly sortedBy: 'order' | 'date' | 'id'
  /** How many a file may hold. */
  readonly most: number
  readonly record: R
}

/**
 * Defines a kind of record. Every record has an id, and names what it hangs from.
 *
 * @param definition.collection where its name with an s isn't right
 * @param definition.isFrozen left out, a frozen stage holds what hangs from it
 * @param definition.check what its fields have to be together
 * @example defineKind({ name: 'tiltTest', within: 'stage', words: { one: 'tilt test', many: 'tilt tests' }, sortedBy: 'date', most: 500, fields })
 */
export function defineKind<
  const N extends string,
  const W extends Within,
  F extends z.ZodRawShape,
  const C extends string = `${N}s`,
  const B extends boolean = false,
>(definition: {
  readonly name: N
  readonly collection?: C
  readonly within: W
  readonly isCarriedOn?: B
  readonly isFrozen?: boolean
  readonly isTried?: boolean
  readonly isLogged?: boolean
  readonly words: { readonly one: string; readonly many: string }
  readonly sortedBy: 'order' | 'date' | 'id'
  readonly most: number
  readonly fields: F
  readonly check?: (record: RecordShape<W, F>) => RecordShape<W, F>
}): RecordKind<N, W, RecordShape<W, F>, C, B> {
  const { name, within, isTried = true, isLogged = false, words, sortedBy, most, fields } = definition
  const hangs = within !== 'workshop' && within !== 'build'
  const shape = { id: f.id, ...(hangs && { [`${within}Id`]: f.id }), ...fields }
  const record = z.strictObject(shape) as RecordShape<W, F>
  return {
    name,
    collection: definition.collection ?? (`${name}s` as C),
    parent: (hangs ? { kind: within, field: `${within}Id` } : null) as ParentOf<W>,
    isCarriedOn: definition.isCarriedOn ?? (false as B),
    isFrozen: definition.isFrozen ?? hangs,
    isTried,
    isLogged,
    words,
    sortedBy,
    most,
    record: definition.check?.(record) ?? record,
  }
}
