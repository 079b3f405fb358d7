import type { LogColumns } from '@bold-ballast/contract'
import { Model } from 'objection'

/** What a logger recorded of a run, packed. It is not part of the build's document: it would make every reading of it heavy. */
export class RunLogRow extends Model {
  static override tableName = 'runLogs'
  static override idColumn = 'runId'
  runId!: string
  buildId!: string
  workshopId!: string
  bytes!: Buffer
  columns!: LogColumns | null
  keptAt!: Date
}
