import type { Reckoning } from '@bold-ballast/contract'
import type { Knex } from 'knex'

/** Which builds were reckoned otherwise before, so that their people are told once what reads otherwise. */
export class ReckoningNotes {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  private of(buildId: string) {
    return this.db('reckonedOtherwise').where({ buildId, workshopId: this.workshopId })
  }

  async read(buildId: string): Promise<Reckoning> {
    return { isUntold: (await this.of(buildId).first('buildId')) !== undefined }
  }

  /** They were told. */
  async told(buildId: string): Promise<void> {
    await this.of(buildId).delete()
  }
}
