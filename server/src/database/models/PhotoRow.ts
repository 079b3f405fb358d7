import { Model } from 'objection'

/** A photograph of a part. It is not part of the build's document: it would make every reading of it heavy. */
export class PhotoRow extends Model {
  static override tableName = 'photos'
  static override idColumn = 'lineId'
  lineId!: string
  buildId!: string
  workshopId!: string
  type!: string
  bytes!: Buffer
}
