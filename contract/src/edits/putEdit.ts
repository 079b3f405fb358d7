import type { BuildDocument, Kind, RecordOf } from '../records/kinds'
import type { Edit } from './edit'
import { recordOf } from './inverseOf'

/**
 * The edit that writes a record into a document: based on the version that stands there, or new.
 *
 * @example putEdit(document, 'line', newLine({ … }))
 */
export function putEdit<K extends Kind>(document: BuildDocument, kind: K, record: RecordOf<K>): Edit
export function putEdit(document: BuildDocument, kind: Kind, record: { readonly id: string }): object {
  const version = recordOf(document, kind, record.id)?.version ?? 0
  return { op: 'put', kind, record: { ...record, version } }
}
