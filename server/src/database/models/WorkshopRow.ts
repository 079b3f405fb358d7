import { Row } from './Row'

export class WorkshopRow extends Row {
  static override tableName = 'workshops'
  name!: string
  demoLoadedAt!: string | null
}
