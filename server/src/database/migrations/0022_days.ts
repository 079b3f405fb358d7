import type { Knex } from 'knex'
import { recordTable } from '../recordTable'

/** Runs of a day, limits that readings are held to, where a day was, what it cost and how it ended. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(
    recordTable(
      'runs',
      `"order" integer NOT NULL, session text NOT NULL, kind text NOT NULL, purpose text NOT NULL,
       planned boolean NOT NULL, lasts double precision CHECK (lasts > 0), time text, driver text NOT NULL,
       setup_id uuid, change text NOT NULL, tyres text NOT NULL, tyre_laps integer, fuel double precision, air jsonb,
       track text NOT NULL, laps jsonb NOT NULL, cold jsonb NOT NULL, hot jsonb NOT NULL, treads jsonb NOT NULL,
       discs jsonb NOT NULL, bottle double precision, words jsonb NOT NULL, readings jsonb NOT NULL,
       fault text NOT NULL, added jsonb NOT NULL, note text NOT NULL`,
      { table: 'outings', column: 'outing_id' },
    ),
  )
  await knex.raw(
    recordTable(
      'limits',
      `"order" integer NOT NULL, name text NOT NULL, quantity text NOT NULL, by text NOT NULL,
       low jsonb NOT NULL, high jsonb NOT NULL, look double precision NOT NULL, note text NOT NULL`,
    ),
  )
  await knex.raw(`
  CREATE TABLE run_logs (
    run_id uuid PRIMARY KEY,
    build_id uuid NOT NULL,
    workshop_id uuid NOT NULL,
    bytes bytea NOT NULL CHECK (length(bytes) BETWEEN 2 AND 16777216),
    created_at timestamptz NOT NULL DEFAULT now(),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE
  );
  CREATE INDEX run_logs_by_build ON run_logs (build_id);
  CREATE INDEX runs_by_setup ON runs (setup_id) WHERE setup_id IS NOT NULL;
  ALTER TABLE outings ADD COLUMN course_id uuid;
  ALTER TABLE outings ADD COLUMN cost double precision;
  ALTER TABLE outings ADD COLUMN result jsonb;
  UPDATE courses SET line = line || '{"origin": null}' WHERE jsonb_typeof(line) = 'object';
  `)
}
