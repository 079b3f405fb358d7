import { RECORDS, type Kind } from '@bold-ballast/contract'
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

/** The columns of a kind: its record's fields and the version. */
export const columnsOf = (kind: Kind): string[] => [...Object.keys(RECORDS[kind].shape), 'version']
