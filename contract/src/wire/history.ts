import * as z from 'zod'
import { editBatch, type Edit } from '../edits/edit'
import * as f from '../records/fields'

const entry = z.strictObject({
  id: f.id,
  /** When it arrived. */
  at: z.iso.datetime(),
  /** When it was done, by the device's clock, where that was well before it arrived. */
  madeAt: z.iso.datetime().nullable().default(null),
  label: z.string(),
  author: z.string(),
  /** How many records it touched. */
  records: z.int(),
  /** False for what was done before its taking back was kept: a build can't be brought back to before it. */
  isKept: z.boolean(),
  /** Of a file beside a record that another took the place of, or that was removed: the entry's id is the earlier file's. */
  file: z
    .strictObject({
      kind: z.enum(['photo', 'picture', 'log']),
      recordId: f.id,
      /** False where there was no more room for it. */
      isKept: z.boolean(),
    })
    .nullable()
    .default(null),
})
/** What was done to a build, the newest first. */
export const historyPage = z.strictObject({ entries: z.array(entry), isMore: z.boolean() })
export type HistoryPage = z.infer<typeof historyPage>
export type HistoryEntry = z.infer<typeof entry>

const edits = editBatch.shape.edits as z.ZodType<Edit[]>
/** Edits as they were kept, which may be of records that have another shape today. */
function anyEdits(): z.ZodType<Edit[]>
function anyEdits(): z.ZodType {
  return z.array(z.unknown())
}

/** One batch with what it did and what takes it back. */
export const historyDetail = z.strictObject({
  id: f.id,
  edits,
  inverse: anyEdits(),
})
export type HistoryDetail = z.infer<typeof historyDetail>
