import type { Knex } from 'knex'

/**
 * How a log's file was read, when it was kept, and which logs came along with a build that was taken along; marks on parts
 * of a lap and on readings; what is done after a run, and what goes along to a day.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  ALTER TABLE run_logs ADD COLUMN columns jsonb;
  ALTER TABLE run_logs RENAME COLUMN created_at TO kept_at;
  CREATE INDEX run_logs_by_workshop ON run_logs (workshop_id, kept_at) WHERE columns IS NOT NULL;
  ALTER TABLE marks ADD COLUMN part text NOT NULL DEFAULT '';
  ALTER TABLE marks ALTER COLUMN part DROP DEFAULT;
  ALTER TABLE runs ADD COLUMN corners jsonb NOT NULL DEFAULT '[]';
  ALTER TABLE runs ALTER COLUMN corners DROP DEFAULT;
  ALTER TABLE runs ADD COLUMN checks jsonb NOT NULL DEFAULT '[]';
  ALTER TABLE runs ALTER COLUMN checks DROP DEFAULT;
  ALTER TABLE outings ADD COLUMN take jsonb NOT NULL DEFAULT '[]';
  ALTER TABLE outings ALTER COLUMN take DROP DEFAULT;
  ALTER TABLE outings ADD COLUMN fuel_cost double precision;
  ALTER TABLE outings ADD COLUMN tyre_cost double precision;
  ALTER TABLE taken_along ADD COLUMN logs jsonb NOT NULL DEFAULT '{}';
  `)
}
