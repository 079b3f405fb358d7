import type { Knex } from 'knex'

/** Components with their ratings. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  CREATE TABLE components (
    stage_id uuid NOT NULL,
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    kind text NOT NULL CHECK (kind IN ('torque', 'power', 'speed', 'temperature', 'current', 'load')),
    shaft text CHECK (shaft IN ('engine', 'gearbox', 'propshaft', 'finalDrive', 'halfshaft')),
    rating double precision NOT NULL CHECK (rating > 0),
    grade text NOT NULL CHECK (grade IN ('guess', 'claim', 'measured', 'proven')),
    demand double precision CHECK (demand > 0),
    wanted_margin double precision NOT NULL CHECK (wanted_margin > 0),
    note text NOT NULL,
    CHECK (kind <> 'torque' OR shaft IS NOT NULL),
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
  CREATE INDEX components_by_build ON components (build_id);
  CREATE INDEX components_by_stage_id ON components (stage_id);
  `)
}
