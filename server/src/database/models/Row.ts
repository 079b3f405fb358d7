import { Model, type JSONSchema } from 'objection'

/** What every table of a workshop carries besides the record itself. */
export class Row extends Model {
  id!: string
  workshopId!: string
  version!: number
  createdAt!: string
  updatedAt!: string

  /** The contract has checked what goes in; a second check here could only disagree with it. */
  static override get jsonSchema(): JSONSchema {
    return {}
  }
}
