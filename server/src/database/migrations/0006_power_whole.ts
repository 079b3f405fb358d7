import type { Knex } from 'knex'

/**
 * Dyno days with several readings of the air, gear and limits; pulls with their configuration, time and
 * channels; the drivetrain of a build and bridges between dynos; sizing and options of a stage.
 */
export async function up(knex: Knex): Promise<void> {
  const part = `
    stage_id uuid NOT NULL,
    note text NOT NULL,
    id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL,
    build_id uuid NOT NULL,
    version integer NOT NULL DEFAULT 1 CHECK (version > 0),
    created_at timestamptz NOT NULL DEFAULT now(),
    updated_at timestamptz NOT NULL DEFAULT now(),
    UNIQUE (id, build_id),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE,
    FOREIGN KEY (stage_id, build_id) REFERENCES stages (id, build_id) DEFERRABLE INITIALLY DEFERRED`
  await knex.raw(`
  ALTER TABLE builds
    ADD drivetrain jsonb,
    ADD bridges jsonb NOT NULL DEFAULT '[]';
  ALTER TABLE dyno_days
    ADD boost_control text NOT NULL DEFAULT 'none' CHECK (boost_control IN ('none', 'spring', 'controlled')),
    ADD gear integer CHECK (gear BETWEEN 1 AND 10),
    ADD air jsonb NOT NULL DEFAULT '[]',
    ADD limits jsonb,
    ADD sheet_columns jsonb;
  UPDATE dyno_days SET air = jsonb_build_array(ambient || '{"time": null}') WHERE jsonb_typeof(ambient) = 'object';
  ALTER TABLE dyno_days DROP ambient;
  ALTER TABLE pulls
    ADD configuration text NOT NULL DEFAULT '',
    ADD "time" text,
    ADD source text NOT NULL DEFAULT 'file' CHECK (source IN ('file', 'peaks', 'points', 'photo', 'live')),
    ADD channels jsonb;
  UPDATE pulls SET source = 'peaks' WHERE points IS NULL OR jsonb_typeof(points) = 'null';
  CREATE TABLE sizings (
    engine jsonb,
    fuel jsonb,
    air jsonb,
    cooling jsonb,
    electrics jsonb,
    ${part}
  );
  CREATE TABLE option_sets (
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    options jsonb NOT NULL CHECK (jsonb_array_length(options) > 0),
    ${part}
  );
  CREATE INDEX sizings_by_build ON sizings (build_id);
  CREATE INDEX sizings_by_stage_id ON sizings (stage_id);
  CREATE INDEX option_sets_by_build ON option_sets (build_id);
  CREATE INDEX option_sets_by_stage_id ON option_sets (stage_id);
  `)
}
