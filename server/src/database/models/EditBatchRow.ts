import type { Edit, EditResult } from '@bold-ballast/contract'
import { Model, type RawBuilder } from 'objection'

/** A batch of edits that was carried out: the answer to a repeated sending, and the build's history. */
export class EditBatchRow extends Model {
  static override tableName = 'edit_batches'
  static override jsonAttributes = ['edits', 'inverse', 'result']
  id!: string
  workshopId!: string
  buildId!: string
  /** Its place among what was done to the build; times may run backwards, this doesn't. */
  sequence!: number | RawBuilder
  createdAt!: string | Date
  /** Version of the records in its edits. */
  formatVersion!: number
  label!: string
  author!: string
  edits!: Edit[]
  /** What takes it back; null for batches from before it was kept. */
  inverse!: Edit[] | null
  result!: EditResult
}
