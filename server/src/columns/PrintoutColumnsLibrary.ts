import type { PrintoutColumns } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/rowOf'

/** How each dyno's files were read, over all builds of the workshop: a dyno's export looks alike for every car. */
export class PrintoutColumnsLibrary {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  /** @returns the columns that were matched last for a dyno of this name, or null */
  async of(dyno: string): Promise<PrintoutColumns | null> {
    const row = await ROW_OF.dynoDay
      .query(this.db)
      .where('workshopId', this.workshopId)
      .whereRaw('lower(dyno) = lower(?)', [dyno])
      .whereRaw(`jsonb_typeof(sheet_columns) = 'object'`)
      .orderBy([{ column: 'updatedAt', order: 'desc' }, 'id'])
      .first()
      .castTo<{ sheetColumns: PrintoutColumns } | undefined>()
    return row?.sheetColumns ?? null
  }
}
