import { applyEdits } from './applyEdits'
import { recordOf } from './inverseOf'
import { recordIdOf, type Edit } from './edit'
import type { BuildDocument } from '../records/kinds'

/**
 * A document with what somebody else has done to it, as the server tells it: edits with the versions that they were
 * based on. What is here already stays, so that hearing of one's own change, or of one twice, does nothing.
 *
 * @returns null where something between was missed: then the document has to be asked for
 */
export function followEdits(document: BuildDocument, edits: readonly Edit[]): BuildDocument | null {
  const news: Edit[] = []
  for (const edit of edits) {
    const id = recordIdOf(edit)
    const base = edit.op === 'put' ? edit.record.version : edit.version
    const now = recordOf(document, edit.kind, id)?.version ?? 0
    if (edit.op === 'remove') {
      if (now === 0) continue
      if (now !== base) return null
      news.push(edit)
    } else {
      if (now > base) continue
      if (now !== base) return null
      news.push({ ...edit, record: { ...edit.record, version: base + 1 } } as Edit)
    }
  }
  return news.length === 0 ? document : applyEdits(document, news)
}
