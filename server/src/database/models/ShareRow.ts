import type { SharedSheet } from '@bold-ballast/contract'
import { Model } from 'objection'

/** A proof sheet that somebody outside may read, as it was when it was shared. */
export class ShareRow extends Model {
  static override tableName = 'shares'
  static override jsonAttributes = ['sheet']
  id!: string
  workshopId!: string
  buildId!: string
  stageId!: string
  token!: string
  sheet!: SharedSheet
  /** Version of the figures on its sheet. */
  formatVersion!: number
  createdAt!: Date
  endsAt!: Date
  withdrawnAt!: Date | null
}
