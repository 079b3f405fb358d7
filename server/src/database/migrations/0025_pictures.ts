import type { Knex } from 'knex'
import { recordTable } from '../recordTable'

/** Pictures of jobs, with their files; what a quick release would make of what comes again. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(
    recordTable('pictures', 'what text NOT NULL, date text NOT NULL', { table: 'jobs', column: 'job_id' }),
  )
  await knex.raw(
    recordTable(
      'quick_releases',
      'operation text NOT NULL, takes double precision, making double precision, note text NOT NULL',
    ),
  )
  await knex.raw(`
  CREATE TABLE picture_files (
    picture_id uuid PRIMARY KEY,
    build_id uuid NOT NULL,
    workshop_id uuid NOT NULL,
    type text NOT NULL CHECK (type IN ('image/jpeg', 'image/png', 'image/webp')),
    bytes bytea NOT NULL CHECK (length(bytes) BETWEEN 1 AND 2097152),
    created_at timestamptz NOT NULL DEFAULT now(),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE
  );
  CREATE INDEX picture_files_by_build ON picture_files (build_id);
  ALTER TABLE taken_along ADD COLUMN pictures jsonb NOT NULL DEFAULT '{}';
  `)
}
