import type { Knex } from 'knex'

/**
 * Other ways to weigh than four pads, with the set-up written down; the springs and ballast of a build; tilt
 * tests; and what a swap took in hours and money.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  ALTER TABLE builds
    ADD springs jsonb,
    ADD ballast jsonb,
    ADD growth jsonb,
    ADD currency text NOT NULL DEFAULT '';
  ALTER TABLE swaps
    ADD work_time double precision CHECK (work_time >= 0),
    ADD cost double precision;
  ALTER TABLE weigh_ins
    ADD readings jsonb,
    ADD checklist jsonb;
  UPDATE weigh_ins SET readings = jsonb_build_object('method', 'fourPads', 'corners', corners);
  ALTER TABLE weigh_ins
    DROP corners,
    ALTER readings SET NOT NULL,
    ADD CHECK (readings ->> 'method' IN ('fourPads', 'threePads', 'twoPads', 'axles'));
  CREATE TABLE tilt_tests (
    stage_id uuid NOT NULL,
    date date NOT NULL,
    raised text NOT NULL CHECK (raised IN ('front', 'rear')),
    mass double precision NOT NULL CHECK (mass > 0),
    radius double precision NOT NULL CHECK (radius > 0),
    tilts jsonb NOT NULL CHECK (jsonb_array_length(tilts) > 0),
    gain_sigma double precision NOT NULL CHECK (gain_sigma > 0),
    lift_sigma double precision NOT NULL CHECK (lift_sigma >= 0),
    note text NOT NULL,
    id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL,
    build_id uuid NOT NULL,
    version integer NOT NULL DEFAULT 1 CHECK (version > 0),
    created_at timestamptz NOT NULL DEFAULT now(),
    updated_at timestamptz NOT NULL DEFAULT now(),
    UNIQUE (id, build_id),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE,
    FOREIGN KEY (stage_id, build_id) REFERENCES stages (id, build_id) DEFERRABLE INITIALLY DEFERRED
  );
  CREATE INDEX tilt_tests_by_build ON tilt_tests (build_id);
  CREATE INDEX tilt_tests_by_stage_id ON tilt_tests (stage_id);
  `)
}
