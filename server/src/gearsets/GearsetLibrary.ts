import type { GearsetOnShelf } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/rowOf'

const MOST = 500

/** What stands on the workshop's shelf: the sets of all its builds, by name. */
export class GearsetLibrary {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  async list(): Promise<GearsetOnShelf[]> {
    const rows = await ROW_OF.gearset
      .query(this.db)
      .join('builds', 'builds.id', 'gearsets.buildId')
      .where('gearsets.workshopId', this.workshopId)
      .orderBy(['gearsets.name', 'gearsets.id'])
      .limit(MOST)
      .select('gearsets.id', 'gearsets.name', 'gearsets.set', 'gearsets.buildId', 'builds.name as build')
      .castTo<GearsetOnShelf[]>()
    return rows.map(({ id, name, set, build, buildId }) => ({ id, name, set, build, buildId }))
  }
}
