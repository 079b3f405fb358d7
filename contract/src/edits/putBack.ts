import { PARENT, type BuildDocument, type Kind, type RecordOf } from '../records/kinds'
import type { Edit } from './edit'
import { recordOf } from './inverseOf'

/**
 * The edits that put a record back which somebody removed meanwhile, with what it hung from where that is gone, too.
 *
 * @param before the document as it was while the record was there
 * @example putBack(now, before, 'line', line) // its swap first, where it went along
 */
export function putBack<K extends Kind>(
  now: BuildDocument,
  before: BuildDocument,
  kind: K,
  record: RecordOf<K>,
): Edit[]
export function putBack(
  now: BuildDocument,
  before: BuildDocument,
  kind: Kind,
  record: { readonly id: string },
): object[] {
  const parent = kind === 'build' ? null : PARENT[kind]
  const parentId: unknown = parent && Reflect.get(record, parent.field)
  const gone =
    parent && typeof parentId === 'string' && !recordOf(now, parent.kind, parentId)
      ? recordOf(before, parent.kind, parentId)
      : undefined
  const above: object[] = parent && gone ? putBack(now, before, parent.kind, gone as RecordOf<Kind>) : []
  return [...above, { op: 'put', kind, record: { ...record, version: 0 } }]
}
