import type { Knex } from 'knex'

const GRADES = `('guess','claim','measured','proven')`
const CORRECTIONS = `('observed','j1349','iso1585','din70020','j607')`

/**
 * Workshops own builds; builds own everything else. A part's foreign key carries the build with it, so that
 * a row can't hang from another build's row. Links are checked at commit: within one batch of edits their
 * order doesn't matter.
 */
export async function up(knex: Knex): Promise<void> {
  const upkeep = `
    version integer NOT NULL DEFAULT 1 CHECK (version > 0),
    created_at timestamptz NOT NULL DEFAULT now(),
    updated_at timestamptz NOT NULL DEFAULT now()`
  const part = (parent?: { table: string; column: string }) => `
    id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL,
    build_id uuid NOT NULL,
    ${upkeep},
    UNIQUE (id, build_id),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE
    ${parent ? `, FOREIGN KEY (${parent.column}, build_id) REFERENCES ${parent.table} (id, build_id) DEFERRABLE INITIALLY DEFERRED` : ''}`
  const onStage = part({ table: 'stages', column: 'stage_id' })

  await knex.raw(`
  CREATE TABLE workshops (
    id uuid PRIMARY KEY,
    name text NOT NULL CHECK (name <> ''),
    demo_loaded_at timestamptz,
    ${upkeep}
  );
  CREATE TABLE builds (
    id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL REFERENCES workshops (id),
    name text NOT NULL CHECK (name <> ''),
    car text NOT NULL,
    discipline text NOT NULL CHECK (discipline IN ('track','drift','timeAttack')),
    layout text NOT NULL CHECK (layout IN ('front','rear','all')),
    wheelbase double precision NOT NULL CHECK (wheelbase > 0),
    track_front double precision NOT NULL CHECK (track_front > 0),
    track_rear double precision NOT NULL CHECK (track_rear > 0),
    base_mass double precision NOT NULL CHECK (base_mass > 0),
    base_grade text NOT NULL CHECK (base_grade IN ${GRADES}),
    base_sigma double precision CHECK (base_sigma >= 0),
    base_centre jsonb NOT NULL,
    base_fuel double precision NOT NULL CHECK (base_fuel >= 0),
    fuel_density double precision NOT NULL CHECK (fuel_density > 0),
    tank jsonb NOT NULL,
    seat jsonb NOT NULL,
    driver_mass double precision NOT NULL CHECK (driver_mass >= 0),
    reference jsonb NOT NULL,
    power_basis text NOT NULL CHECK (power_basis IN ${CORRECTIONS}),
    units jsonb NOT NULL,
    note text NOT NULL,
    ${upkeep},
    UNIQUE (id, workshop_id)
  );
  CREATE TABLE stages (
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    planned_wheel_power double precision CHECK (planned_wheel_power > 0),
    planned_power_grade text NOT NULL CHECK (planned_power_grade IN ${GRADES}),
    note text NOT NULL,
    ${part()}
  );
  CREATE TABLE swaps (
    stage_id uuid NOT NULL,
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    note text NOT NULL,
    ${onStage}
  );
  CREATE TABLE lines (
    swap_id uuid NOT NULL,
    kind text NOT NULL CHECK (kind IN ('off','on','moved','carried')),
    name text NOT NULL CHECK (name <> ''),
    system text NOT NULL CHECK (system <> ''),
    mass double precision NOT NULL CHECK (mass >= 0 AND mass <= 20000),
    sigma double precision CHECK (sigma >= 0),
    grade text NOT NULL CHECK (grade IN ${GRADES}),
    quantity integer NOT NULL CHECK (quantity > 0),
    fitted boolean NOT NULL,
    position jsonb,
    moved_to jsonb,
    "order" integer NOT NULL,
    ${part({ table: 'swaps', column: 'swap_id' })}
  );
  CREATE TABLE weigh_ins (
    stage_id uuid NOT NULL,
    date date NOT NULL,
    corners jsonb NOT NULL,
    resolution double precision NOT NULL CHECK (resolution > 0),
    accuracy double precision NOT NULL CHECK (accuracy >= 0),
    condition jsonb NOT NULL,
    tyre_pressures jsonb,
    note text NOT NULL,
    ${onStage}
  );
  CREATE TABLE dyno_days (
    stage_id uuid NOT NULL,
    date date NOT NULL,
    dyno text NOT NULL CHECK (dyno <> ''),
    kind text NOT NULL CHECK (kind IN ('hub','rollerInertia','rollerLoaded','engine')),
    repeatability double precision NOT NULL CHECK (repeatability > 0),
    fuel text NOT NULL,
    ethanol double precision CHECK (ethanol BETWEEN 0 AND 1),
    ambient jsonb,
    sheet_correction text NOT NULL CHECK (sheet_correction IN ${CORRECTIONS}),
    note text NOT NULL,
    ${onStage}
  );
  CREATE TABLE pulls (
    dyno_day_id uuid NOT NULL,
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    grade text NOT NULL CHECK (grade IN ${GRADES}),
    stands_for_stage boolean NOT NULL,
    points jsonb,
    peak_power double precision CHECK (peak_power > 0),
    peak_power_speed double precision CHECK (peak_power_speed > 0),
    peak_torque double precision CHECK (peak_torque > 0),
    peak_torque_speed double precision CHECK (peak_torque_speed > 0),
    note text NOT NULL,
    CHECK (points IS NOT NULL OR peak_power IS NOT NULL),
    ${part({ table: 'dyno_days', column: 'dyno_day_id' })}
  );
  CREATE TABLE marks (
    stage_id uuid NOT NULL,
    measure text NOT NULL CHECK (measure IN ('mass','wheelPower','powerToWeight')),
    comparator text NOT NULL CHECK (comparator IN ('atMost','atLeast','within')),
    value double precision NOT NULL CHECK (value > 0),
    tolerance double precision NOT NULL CHECK (tolerance >= 0),
    ${onStage}
  );
  CREATE TABLE edit_batches (
    id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL,
    build_id uuid NOT NULL,
    label text NOT NULL,
    edits jsonb NOT NULL,
    result jsonb NOT NULL,
    created_at timestamptz NOT NULL DEFAULT now(),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE
  );
  CREATE INDEX edit_batches_by_build ON edit_batches (build_id, created_at);
  CREATE INDEX builds_by_workshop ON builds (workshop_id);
  `)
  const links = {
    stages: 'build_id',
    swaps: 'stage_id',
    lines: 'swap_id',
    weigh_ins: 'stage_id',
    dyno_days: 'stage_id',
    pulls: 'dyno_day_id',
    marks: 'stage_id',
  }
  for (const [table, link] of Object.entries(links)) {
    await knex.raw(`CREATE INDEX ${table}_by_build ON ${table} (build_id)`)
    if (link !== 'build_id') await knex.raw(`CREATE INDEX ${table}_by_${link} ON ${table} (${link})`)
  }
}
