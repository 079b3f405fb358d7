import type { Knex } from 'knex'

/**
 * Devices that somebody has signed in on with their password: guesses made elsewhere are not counted against them. Only
 * the hash of what such a device holds is kept.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  CREATE TABLE known_devices (
    token_hash bytea NOT NULL,
    person_id uuid NOT NULL REFERENCES people (id) ON DELETE CASCADE,
    ends_at timestamptz NOT NULL,
    PRIMARY KEY (token_hash, person_id)
  );
  CREATE INDEX known_devices_by_person ON known_devices (person_id);
  `)
}
