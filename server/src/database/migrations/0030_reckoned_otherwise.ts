import type { Knex } from 'knex'

/**
 * Builds whose verdicts were said by an earlier way of reckoning, and whose people haven't been told yet what reads
 * otherwise now: all that are there when a version comes that reckons otherwise.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  CREATE TABLE reckoned_otherwise (
    build_id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL,
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE
  );
  INSERT INTO reckoned_otherwise (build_id, workshop_id) SELECT id, workshop_id FROM builds;
  `)
}
