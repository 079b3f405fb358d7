import type { Knex } from 'knex'

/** How long a summary took to be worked out: what is quick is worked out at once, what isn't elsewhere. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`ALTER TABLE build_summaries ADD COLUMN took real`)
}
