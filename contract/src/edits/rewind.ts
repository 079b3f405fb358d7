import {
  COLLECTION,
  PART_KINDS,
  type BuildDocument,
  type PartKind,
  type Stored,
  eachCollection,
} from '../records/kinds'
import type { Edit } from './edit'

/**
 * A document as it was before some batches of edits, from what takes each of them back.
 *
 * All batches are gone through once over maps of the records, so that thousands of changes cost no more than they
 * touch. Versions are those of the records as they stood.
 *
 * @param inverses of the batches, the newest first
 * @example rewind(document, [inverseOfLast, inverseOfTheOneBefore])
 */
export function rewind(document: BuildDocument, inverses: readonly (readonly Edit[])[]): BuildDocument {
  let { build } = document
  const records = new Map<PartKind, Map<string, Stored<PartKind>>>(
    PART_KINDS.map((kind) => [
      kind,
      new Map((document[COLLECTION[kind]] as readonly Stored<PartKind>[]).map((r) => [r.id, r])),
    ]),
  )
  for (const edits of inverses)
    for (const edit of edits) {
      if (edit.kind === 'build') {
        if (edit.op === 'put') build = edit.record
      } else if (edit.op === 'put') records.get(edit.kind)?.set(edit.record.id, edit.record)
      else records.get(edit.kind)?.delete(edit.id)
    }
  const parts: Record<string, object> = eachCollection((kind) => [...(records.get(kind)?.values() ?? [])])
  return { build, ...parts } as BuildDocument
}
