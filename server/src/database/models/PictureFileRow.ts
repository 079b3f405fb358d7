import { Model } from 'objection'

/** The photograph of a picture of a job, beside the build's document like those of parts. */
export class PictureFileRow extends Model {
  static override tableName = 'pictureFiles'
  static override idColumn = 'pictureId'
  pictureId!: string
  buildId!: string
  workshopId!: string
  type!: string
  bytes!: Buffer
}
