import type { Knex } from 'knex'

/** When something was done, by the clock of the device: what was done without a network arrives later. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`ALTER TABLE edit_batches ADD COLUMN made_at timestamptz`)
}
