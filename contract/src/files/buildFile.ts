import * as z from 'zod'
import { branchToWrite } from '../edits/edit'
import {
  COLLECTION,
  eachCollection,
  PARENT,
  PART_KINDS,
  RECORDS,
  withoutVersion,
  type BuildDocument,
  type PartKind,
  type RecordOf,
} from '../records/kinds'
import { REGISTRY } from '../records/registry'
import { FORMAT_VERSION } from '../versions/formatVersion'

export const BUILD_FILE_FORMAT = 'bold-ballast/build'

const listOf = (kind: PartKind): z.ZodType => {
  const records = z.array<z.ZodType>(kind === 'branch' ? branchToWrite : RECORDS[kind])
  const list = kind === 'stage' ? records.min(1, 'A build has at least one stage.') : records
  return list.max(REGISTRY[kind].most)
}
const lists: Record<string, z.ZodType> = eachCollection(listOf)
type Lists = { [K in PartKind as (typeof COLLECTION)[K]]: z.ZodType<RecordOf<K>[]> }

/** A whole build as one file: the same records as in the document, without versions. */
export const buildFile = z
  .strictObject({
    format: z.literal(BUILD_FILE_FORMAT, `The file must say "format": "${BUILD_FILE_FORMAT}".`),
    formatVersion: z.literal(FORMAT_VERSION, `Only format versions up to ${FORMAT_VERSION} are known here.`),
    build: RECORDS.build,
    ...(lists as Lists),
  })
  .superRefine((file, context) => {
    const ids = new Map<PartKind, Set<string>>()
    const all = new Set([file.build.id])
    for (const kind of PART_KINDS) {
      const seen = new Set<string>()
      file[COLLECTION[kind]].forEach((record, i) => {
        if (all.has(record.id)) {
          context.addIssue({
            code: 'custom',
            path: [COLLECTION[kind], i, 'id'],
            message: 'This id stands twice in the file.',
          })
        }
        seen.add(record.id)
        all.add(record.id)
      })
      ids.set(kind, seen)
    }
    for (const kind of PART_KINDS) {
      const parent = PARENT[kind]
      if (!parent) continue
      file[COLLECTION[kind]].forEach((record: object, i) => {
        if (!ids.get(parent.kind)?.has(String(Reflect.get(record, parent.field)))) {
          context.addIssue({
            code: 'custom',
            path: [COLLECTION[kind], i, parent.field],
            message: `No ${parent.kind} with this id stands in the file.`,
          })
        }
      })
    }
  })
export type BuildFile = z.infer<typeof buildFile>

interface Sortable {
  readonly id: string
  readonly order?: number
  readonly date?: string
}
const byId = (a: Sortable, b: Sortable) => a.id.localeCompare(b.id)
/** What a file's lists stand in order by. */
const SORTED: Record<'order' | 'date' | 'id', (a: Sortable, b: Sortable) => number> = {
  order: (a, b) => (a.order ?? 0) - (b.order ?? 0) || byId(a, b),
  date: (a, b) => (a.date ?? '').localeCompare(b.date ?? '') || byId(a, b),
  id: byId,
}

/** A document as a file, in a settled order, so that exporting twice gives the same bytes. */
export function fileOf(document: BuildDocument): BuildFile {
  const parts: Record<string, object[]> = eachCollection((kind) => {
    const records: readonly (Sortable & { version: number })[] = document[COLLECTION[kind]]
    return [...records].sort(SORTED[REGISTRY[kind].sortedBy]).map(withoutVersion)
  })
  return {
    format: BUILD_FILE_FORMAT,
    formatVersion: FORMAT_VERSION,
    build: withoutVersion(document.build),
    ...(parts as Pick<BuildFile, (typeof COLLECTION)[PartKind]>),
  }
}
