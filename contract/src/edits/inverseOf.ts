import { partsOf, type BuildDocument, type Stored, type Kind } from '../records/kinds'
import { recordIdOf, type Edit } from './edit'

/** The record an edit is about, as a document has it now. */
export function recordOf(document: BuildDocument, kind: Kind, id: string): Stored<Kind> | undefined {
  if (kind === 'build') return document.build.id === id ? document.build : undefined
  return partsOf(document, kind).find((r) => r.id === id)
}

/**
 * The edits that take a document back to where it was before some edits.
 *
 * @param document as it was before the edits
 * @param edits what is about to be carried out
 * @returns edits in reverse order; a removed record comes back as a new one under its old id
 */
export function inverseOf(document: BuildDocument, edits: readonly Edit[]): Edit[] {
  return edits
    .map((edit): Edit | null => {
      const id = recordIdOf(edit)
      const before = recordOf(document, edit.kind, id)
      if (edit.op === 'remove') {
        return before ? ({ op: 'put', kind: edit.kind, record: { ...before, version: 0 } } as Edit) : null
      }
      if (before) return { op: 'put', kind: edit.kind, record: before } as Edit
      return edit.kind === 'build' ? null : { op: 'remove', kind: edit.kind, id, version: 0 }
    })
    .filter((edit) => edit !== null)
    .reverse()
}
