import type { BuildDocument, Kind, RecordOf, Stored } from '../records/kinds'
import type { Edit } from './edit'
import { recordOf } from './inverseOf'
import { sameRecord } from './sameRecord'

type Fields = Readonly<Record<string, unknown>>

/**
 * What two have made of one record, field by field: what only one of them changed stays changed.
 *
 * @param base the record that both began from
 * @returns null where both changed one field, and not alike
 */
export function mergeFields<T extends object>(base: T, theirs: T, mine: T): T | null
export function mergeFields(base: Fields, theirs: Fields, mine: Fields): Fields | null {
  const merged: Record<string, unknown> = {}
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    if (key === 'version' || sameRecord(mine[key], base[key]) || sameRecord(mine[key], theirs[key]))
      merged[key] = theirs[key]
    else if (sameRecord(theirs[key], base[key])) merged[key] = mine[key]
    else return null
  }
  return merged
}

/**
 * The edit that saves what was typed, though the record may have been changed by somebody else since the form was
 * opened: fields that only they changed stay as they are. Where both changed one, the edit names the version that the
 * form began from, so that the server shows both and nothing is written over unseen.
 *
 * @param base the record that the form began from; null for a new one
 */
export function rebasedEdit<K extends Kind>(
  document: BuildDocument,
  kind: K,
  base: Stored<K> | null,
  typed: RecordOf<K>,
): Edit
export function rebasedEdit(
  document: BuildDocument,
  kind: Kind,
  base: Stored<Kind> | null,
  typed: RecordOf<Kind>,
): object {
  const put = (record: object, version: number) => ({ op: 'put', kind, record: { ...record, version } })
  const now = recordOf(document, kind, typed.id)
  // What is new here may have been saved once already, where a form stays open.
  if (!base) return put(typed, now?.version ?? 0)
  if (!now || now.version === base.version) return put(typed, base.version)
  const merged = mergeFields<object>(base, now, typed)
  return merged ? put(merged, now.version) : put(typed, base.version)
}
