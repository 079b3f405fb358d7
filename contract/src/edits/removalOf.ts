import { PARENT, PART_KINDS, partsOf, type BuildDocument, type PartKind } from '../records/kinds'
import type { Edit } from './edit'

/**
 * The edits that remove a record with everything that hangs from it, leaves first.
 *
 * @example removalOf(document, 'swap', id) // its lines, then the swap
 */
export function removalOf(document: BuildDocument, kind: PartKind, id: string): Edit[] {
  const record = partsOf(document, kind).find((r) => r.id === id)
  if (!record) return []
  const below = PART_KINDS.flatMap((child) => {
    const parent = PARENT[child]
    if (parent?.kind !== kind) return []
    return partsOf(document, child)
      .filter((r) => Reflect.get(r, parent.field) === id)
      .flatMap((r) => removalOf(document, child, r.id))
  })
  return [...below, { op: 'remove', kind, id, version: record.version }]
}
