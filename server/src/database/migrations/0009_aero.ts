import type { Knex } from 'knex'

/** Elements that the air presses on, cars that rolled out, and the rules of classes. */
export async function up(knex: Knex): Promise<void> {
  const part = `
    note text NOT NULL,
    id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL,
    build_id uuid NOT NULL,
    version integer NOT NULL DEFAULT 1 CHECK (version > 0),
    created_at timestamptz NOT NULL DEFAULT now(),
    updated_at timestamptz NOT NULL DEFAULT now(),
    UNIQUE (id, build_id),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE`
  const ofStage = `
    stage_id uuid NOT NULL,
    ${part},
    FOREIGN KEY (stage_id, build_id) REFERENCES stages (id, build_id) DEFERRABLE INITIALLY DEFERRED`
  await knex.raw(`
  CREATE TABLE aero_elements (
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    kind text NOT NULL,
    x double precision NOT NULL,
    z double precision NOT NULL CHECK (z >= 0),
    span double precision NOT NULL CHECK (span > 0),
    chord double precision NOT NULL CHECK (chord > 0),
    lift double precision NOT NULL,
    drag double precision NOT NULL,
    wing jsonb,
    panel jsonb,
    mount jsonb,
    sealed boolean NOT NULL,
    grade text NOT NULL CHECK (grade IN ('guess', 'claim', 'measured', 'proven')),
    spread double precision NOT NULL CHECK (spread > 0),
    "from" text NOT NULL,
    replaces uuid,
    off_stage_id uuid,
    CHECK (kind <> 'wing' OR wing IS NOT NULL),
    ${ofStage}
  );
  CREATE TABLE coast_downs (
    date date NOT NULL,
    name text NOT NULL CHECK (name <> ''),
    mass double precision NOT NULL CHECK (mass > 0),
    equivalent_mass double precision NOT NULL CHECK (equivalent_mass >= 0),
    air jsonb NOT NULL,
    runs jsonb NOT NULL CHECK (jsonb_array_length(runs) > 0),
    ${ofStage}
  );
  CREATE TABLE rulebooks (
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    date date NOT NULL,
    edition text NOT NULL,
    rules jsonb NOT NULL,
    ${part}
  );
  CREATE TABLE scrutinies (
    rulebook_id uuid,
    roof_height double precision,
    bumper_front double precision,
    bumper_rear double precision,
    overall_width double precision,
    ground_clearance double precision,
    tyre_width double precision,
    cage_outside double precision,
    cage_wall double precision,
    noise double precision,
    ${ofStage}
  );
  CREATE INDEX rulebooks_by_build ON rulebooks (build_id);
  CREATE INDEX scrutinies_by_build ON scrutinies (build_id);
  CREATE INDEX scrutinies_by_stage_id ON scrutinies (stage_id);
  CREATE INDEX coast_downs_by_build ON coast_downs (build_id);
  CREATE INDEX coast_downs_by_stage_id ON coast_downs (stage_id);
  CREATE INDEX aero_elements_by_build ON aero_elements (build_id);
  CREATE INDEX aero_elements_by_stage_id ON aero_elements (stage_id);
  `)
}
