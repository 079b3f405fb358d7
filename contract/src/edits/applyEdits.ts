import { COLLECTION, type BuildDocument, type PartKind, type Stored } from '../records/kinds'
import type { Edit } from './edit'

/**
 * A document with edits carried out, leaving the given one as it was.
 *
 * The server does the same in its tables; the client lays pending edits over what the server last said, so
 * that rolling one back is nothing but leaving it out.
 *
 * @example applyEdits(document, [{ op: 'remove', kind: 'line', id, version: 3 }])
 */
export function applyEdits(document: BuildDocument, edits: readonly Edit[]): BuildDocument {
  if (edits.length === 0) return document
  let build = document.build
  const changed = new Map<PartKind, Map<string, Stored<PartKind> | null>>()
  for (const edit of edits) {
    if (edit.kind === 'build') {
      if (edit.op === 'put') build = edit.record
      continue
    }
    const ofKind = changed.get(edit.kind) ?? new Map<string, Stored<PartKind> | null>()
    changed.set(edit.kind, ofKind)
    if (edit.op === 'put') ofKind.set(edit.record.id, edit.record)
    else ofKind.set(edit.id, null)
  }
  const next: Record<string, object> = { ...document, build }
  for (const [kind, records] of changed) {
    const key = COLLECTION[kind]
    const kept: Stored<PartKind>[] = []
    for (const record of document[key] as readonly Stored<PartKind>[]) {
      const change = records.get(record.id)
      if (change === undefined) kept.push(record)
      else if (change) kept.push(change)
      records.delete(record.id)
    }
    for (const added of records.values()) if (added) kept.push(added)
    next[key] = kept
  }
  return next as BuildDocument
}
