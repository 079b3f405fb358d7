import type { Knex } from 'knex'
import { recordTable } from '../recordTable'

/** Lines of courses that are drawn or logged, corners that go to one side, and what laps are worked out with. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(
    recordTable(
      'lap_bases',
      `sensitivity double precision NOT NULL CHECK (sensitivity >= 0),
       tyre_load double precision NOT NULL CHECK (tyre_load > 0), differential text NOT NULL,
       lock double precision, drive_front double precision, brake_front double precision,
       braking_used double precision NOT NULL CHECK (braking_used > 0), grip_factor jsonb, power_factor jsonb,
       note text NOT NULL`,
      { table: 'stages', column: 'stage_id' },
    ),
  )
  await knex.raw(`
  ALTER TABLE courses ADD COLUMN line jsonb;
  ALTER TABLE courses ADD COLUMN corners jsonb NOT NULL DEFAULT '[]';
  ALTER TABLE courses ADD COLUMN sectors jsonb NOT NULL DEFAULT '[]';
  ALTER TABLE courses ADD COLUMN stretches jsonb NOT NULL DEFAULT '[]';
  ALTER TABLE courses ADD COLUMN width double precision;
  ALTER TABLE courses ALTER COLUMN corners DROP DEFAULT;
  ALTER TABLE courses ALTER COLUMN sectors DROP DEFAULT;
  ALTER TABLE courses ALTER COLUMN stretches DROP DEFAULT;
  UPDATE courses SET sections = (
    SELECT jsonb_agg(
      CASE WHEN jsonb_typeof(section->'radius') = 'number'
        THEN jsonb_set(section, '{radius}', to_jsonb(-(section->>'radius')::double precision))
        ELSE section END ORDER BY place)
    FROM jsonb_array_elements(sections) WITH ORDINALITY AS each (section, place)
  ) WHERE jsonb_array_length(sections) > 0;
  `)
}
