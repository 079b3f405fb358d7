import type { Knex } from 'knex'

/**
 * Gears by stage instead of one set a build; the workshop's shelf of gears and speeds of courses; lives and
 * replacements of components, the season that they wear by; steering and wheels.
 */
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
  CREATE TABLE drivetrains (
    drive jsonb NOT NULL,
    ${ofStage}
  );
  CREATE TABLE gearsets (
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    set jsonb NOT NULL,
    ${part}
  );
  CREATE TABLE course_speeds (
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    points jsonb NOT NULL CHECK (jsonb_array_length(points) > 1),
    ${part}
  );
  ALTER TABLE components
    ALTER rating DROP NOT NULL,
    DROP CONSTRAINT components_check,
    ADD CHECK (rating IS NULL OR kind <> 'torque' OR shaft IS NOT NULL),
    ADD axle text CHECK (axle IN ('front', 'rear')),
    ADD flow text CHECK (flow IN ('fuel', 'air')),
    ADD stated_ethanol double precision NOT NULL DEFAULT 0 CHECK (stated_ethanol BETWEEN 0 AND 1),
    ADD mass double precision CHECK (mass >= 0),
    ADD life jsonb,
    ADD spares integer NOT NULL DEFAULT 0 CHECK (spares >= 0),
    ADD replacement jsonb,
    ADD replaces uuid;
  CREATE TABLE outings (
    name text NOT NULL CHECK (name <> ''),
    date date NOT NULL,
    planned boolean NOT NULL,
    amounts jsonb NOT NULL,
    ${ofStage}
  );
  CREATE TABLE services (
    date date NOT NULL,
    kind text NOT NULL CHECK (kind IN ('service', 'failure')),
    component_id uuid,
    renewed boolean NOT NULL,
    what text NOT NULL CHECK (what <> ''),
    changed_then text NOT NULL,
    parts jsonb NOT NULL,
    fluids jsonb NOT NULL,
    ${ofStage}
  );
  CREATE TABLE steerings (
    date date NOT NULL,
    lock_inside double precision,
    lock_outside double precision,
    lock_wanted double precision,
    rack_travel double precision,
    rack_available double precision,
    tie_rod_angle double precision,
    tie_rod_binds double precision,
    rod_to_arm double precision,
    wheel_to_arm double precision,
    wheel_to_arm_wanted double precision,
    rear_toe jsonb,
    rear_toe_allowed double precision,
    halfshaft_angle double precision,
    halfshaft_binds double precision,
    rear_wheel_to_arm double precision,
    slide_radius double precision NOT NULL CHECK (slide_radius > 0),
    ${ofStage}
  );
  CREATE TABLE fitments (
    front jsonb NOT NULL,
    rear jsonb NOT NULL,
    candidates jsonb NOT NULL,
    ${ofStage}
  );
  `)
  for (const table of [
    'drivetrains',
    'gearsets',
    'course_speeds',
    'outings',
    'services',
    'steerings',
    'fitments',
  ])
    await knex.raw('CREATE INDEX ?? ON ?? (build_id)', [`${table}_by_build`, table])
  for (const table of ['drivetrains', 'outings', 'services', 'steerings', 'fitments'])
    await knex.raw('CREATE INDEX ?? ON ?? (stage_id)', [`${table}_by_stage_id`, table])
  // Last: with rows that wait for their stage to be checked, a table takes no index.
  await knex.raw(`
  INSERT INTO drivetrains (id, workshop_id, build_id, stage_id, drive, note)
    SELECT b.id, b.workshop_id, b.id, s.id,
      '{"rollOut": null, "tyreDiameter": null, "rearSplit": 0.5, "clutchTorque": null, "clutchMass": 9}'
        || b.drivetrain,
      ''
    FROM builds b
    JOIN LATERAL (
      SELECT id FROM stages WHERE build_id = b.id ORDER BY "order", id LIMIT 1
    ) s ON true
    WHERE jsonb_typeof(b.drivetrain) = 'object';
  ALTER TABLE builds DROP drivetrain;
  `)
}
