import { RECORDS, type InstrumentOfWorkshop } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/rowOf'

const MOST = 500
const FIELDS = Object.keys(RECORDS.instrument.shape)

/** The workshop's scales and dynos: what its builds note of them, the newest record of each name and kind. */
export class InstrumentLibrary {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  async list(): Promise<InstrumentOfWorkshop[]> {
    const rows = await ROW_OF.instrument
      .query(this.db)
      .distinctOn(this.db.raw('lower(instruments.name)'), 'instruments.kind')
      .join('builds', 'builds.id', 'instruments.buildId')
      .where('instruments.workshopId', this.workshopId)
      .orderByRaw('lower(instruments.name), instruments.kind, instruments.updated_at desc, instruments.id')
      .limit(MOST)
      .select('instruments.*', 'builds.name as build')
      .castTo<Record<string, unknown>[]>()
    return rows.map((fields) => {
      const instrument = Object.fromEntries(FIELDS.map((field) => [field, fields[field]]))
      return { instrument, build: fields['build'], buildId: fields['buildId'] } as InstrumentOfWorkshop
    })
  }
}
