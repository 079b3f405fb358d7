import type { Knex } from 'knex'

/**
 * A build has another state after each change, by which what was read or worked out of it is known to be of now. What the
 * Garage lists is kept with the state that it is of, and the source text that worked it out.
 *
 * `lightest` is a mass that the car is not below at any stage, kg; null where nobody worked it out.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  ALTER TABLE builds ADD COLUMN state uuid NOT NULL DEFAULT gen_random_uuid();
  ALTER TABLE builds ADD COLUMN lightest double precision;
  CREATE TABLE build_summaries (
    build_id uuid PRIMARY KEY REFERENCES builds (id) ON DELETE CASCADE,
    state uuid NOT NULL,
    made_by text NOT NULL,
    summary text NOT NULL
  );
  `)
}
