import type { BuildDocument, PartKind, RecordOf } from '../records/kinds'
import type { Edit } from './edit'
import { recordOf } from './inverseOf'

/**
 * The edit that writes a record into a document: based on the version that stands there, or new.
 *
 * @example putEdit(document, 'line', newLine({ … }))
 */
export function putEdit<K extends PartKind>(document: BuildDocument, kind: K, record: RecordOf<K>): Edit {
  const version = recordOf(document, kind, record.id)?.version ?? 0
  return { op: 'put', kind, record: { ...record, version } } as unknown as Edit
}
