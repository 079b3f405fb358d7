import { partsOf, PART_KINDS, type BuildDocument, type Kind, type Stored } from '../records/kinds'
import { sameRecord } from './sameRecord'

/** A record that is not the same in two documents; null where it isn't there. */
export interface RecordChange {
  readonly kind: Kind
  readonly id: string
  readonly before: Stored<Kind> | null
  readonly after: Stored<Kind> | null
}

/** Every record that differs between two documents of one build, versions apart. */
export function changesBetween(before: BuildDocument, after: BuildDocument): RecordChange[] {
  const found: RecordChange[] = sameRecord(before.build, after.build)
    ? []
    : [{ kind: 'build', id: after.build.id, before: before.build, after: after.build }]
  for (const kind of PART_KINDS) {
    const old = new Map(partsOf(before, kind).map((r) => [r.id, r as Stored<Kind>]))
    for (const record of partsOf(after, kind) as readonly Stored<Kind>[]) {
      const was = old.get(record.id) ?? null
      old.delete(record.id)
      if (!was || !sameRecord(was, record)) found.push({ kind, id: record.id, before: was, after: record })
    }
    for (const [id, was] of old) found.push({ kind, id, before: was, after: null })
  }
  return found
}
