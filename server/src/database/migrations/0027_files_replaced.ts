import type { Knex } from 'knex'

/**
 * Whose a file beside a record is and when it was made; its digest, worked out once; and the files that were in the place
 * of others before, or were removed, for as long as there is room for them.
 */
export async function up(knex: Knex): Promise<void> {
  const files = ['photos', 'picture_files', 'run_logs']
  for (const table of files)
    await knex.raw(`
  ${table === 'run_logs' ? '' : `ALTER TABLE ${table} RENAME COLUMN created_at TO kept_at;`}
  ALTER TABLE ${table} ADD COLUMN made_at timestamptz,
    ADD COLUMN person_id uuid REFERENCES people (id) ON DELETE SET NULL,
    ADD COLUMN by text NOT NULL DEFAULT '',
    ADD COLUMN sha256 text NOT NULL GENERATED ALWAYS AS (encode(sha256(bytes), 'hex')) STORED;
  `)
  await knex.raw(`
  CREATE TABLE replaced_files (
    id uuid PRIMARY KEY,
    build_id uuid NOT NULL,
    workshop_id uuid NOT NULL,
    kind text NOT NULL CHECK (kind IN ('photo', 'picture', 'log')),
    record_id uuid NOT NULL,
    name text NOT NULL,
    type text NOT NULL,
    bytes bytea,
    by text NOT NULL,
    kept_at timestamptz NOT NULL,
    made_at timestamptz,
    replaced_at timestamptz NOT NULL DEFAULT now(),
    replaced_by text NOT NULL,
    was_removed boolean NOT NULL,
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE
  );
  CREATE INDEX replaced_files_by_build ON replaced_files (build_id, replaced_at);
  CREATE INDEX replaced_files_by_record ON replaced_files (record_id, replaced_at);
  `)
}
