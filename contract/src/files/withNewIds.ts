import { triedEdits, type Edit } from '../edits/edit'
import {
  bareSchema,
  formatOf,
  isArray,
  isKeyed,
  isObject,
  isTuple,
  isUnion,
  optionFor,
} from '../records/field'
import { COLLECTION, eachCollection, RECORDS, type Branch, type Kind, type PartKind } from '../records/kinds'
import type { BuildFile } from './buildFile'
import type * as z from 'zod'

type Rename = (id: string) => string

/** A value with every id in it renamed, wherever its schema says that one stands. */
function renamed(schema: z.core.$ZodType, value: unknown, rename: Rename): unknown {
  if (value === null || value === undefined) return value
  const bare = bareSchema(schema)
  if (typeof value === 'string') return formatOf(bare) === 'uuid' ? rename(value) : value
  if (Array.isArray(value)) {
    if (isTuple(bare))
      return value.map((one, i) => {
        const item = bare._zod.def.items[i]
        return item ? renamed(item, one, rename) : one
      })
    return isArray(bare) ? value.map((one) => renamed(bare._zod.def.element, one, rename)) : value
  }
  if (typeof value !== 'object') return value
  if (isUnion(bare)) {
    const option = optionFor(bare, value)
    return option ? renamed(option, value, rename) : value
  }
  const entries = Object.entries(value)
  if (isKeyed(bare)) {
    const { keyType, valueType } = bare._zod.def
    return Object.fromEntries(
      entries.map(([key, one]) => [renamed(keyType, key, rename), renamed(valueType, one, rename)]),
    )
  }
  if (!isObject(bare)) return value
  const { shape } = bare._zod.def
  return Object.fromEntries(
    entries.map(([key, one]) => [key, shape[key] ? renamed(shape[key], one, rename) : one]),
  )
}

/** A record under new ids, with all that it names. What a branch tries names records itself. */
function renamedRecord(kind: Kind, record: object, rename: Rename): object {
  const whole = renamed(RECORDS[kind], record, rename) as object
  if (kind !== 'branch') return whole
  const edits = triedEdits(record as Pick<Branch, 'edits'>).map((edit: Edit) =>
    edit.op === 'remove'
      ? { ...edit, id: rename(edit.id) }
      : { ...edit, record: renamedRecord(edit.kind, edit.record, rename) },
  )
  return { ...whole, edits }
}

/**
 * The same file under new ids, for a second copy in the same place.
 *
 * @param newId makes an id; handed in, because nothing here reads a random source
 */
export function withNewIds(file: BuildFile, newId: () => string): BuildFile {
  const given = new Map<string, string>()
  const rename = (old: string) => {
    const known = given.get(old) ?? newId()
    given.set(old, known)
    return known
  }
  const parts = eachCollection((kind) =>
    file[COLLECTION[kind]].map((record) => renamedRecord(kind, record, rename)),
  )
  return {
    ...file,
    build: renamedRecord('build', file.build, rename) as BuildFile['build'],
    ...(parts as Pick<BuildFile, (typeof COLLECTION)[PartKind]>),
  }
}
