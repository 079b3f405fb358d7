import type { Knex } from 'knex'

/** What may be aboard besides fuel and driver, and conditions with a name. */
export async function up(knex: Knex): Promise<void> {
  const part = `
    id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL,
    build_id uuid NOT NULL,
    "order" integer NOT NULL,
    version integer NOT NULL DEFAULT 1 CHECK (version > 0),
    created_at timestamptz NOT NULL DEFAULT now(),
    updated_at timestamptz NOT NULL DEFAULT now(),
    UNIQUE (id, build_id),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE`
  await knex.raw(`
  CREATE TABLE loads (
    name text NOT NULL CHECK (name <> ''),
    kind text NOT NULL CHECK (kind IN ('fluid', 'person', 'thing')),
    density double precision CHECK (density > 0),
    capacity double precision CHECK (capacity >= 0),
    mass double precision CHECK (mass >= 0),
    position jsonb NOT NULL,
    base double precision NOT NULL CHECK (base BETWEEN 0 AND 1),
    CHECK (kind <> 'fluid' OR (density IS NOT NULL AND capacity IS NOT NULL)),
    ${part}
  );
  CREATE TABLE conditions (
    name text NOT NULL CHECK (name <> ''),
    fuel double precision NOT NULL CHECK (fuel >= 0),
    driver double precision NOT NULL CHECK (driver >= 0),
    amounts jsonb NOT NULL,
    ${part}
  );
  CREATE INDEX loads_by_build ON loads (build_id);
  CREATE INDEX conditions_by_build ON conditions (build_id);
  UPDATE builds SET reference = reference || '{"amounts": {}}';
  UPDATE weigh_ins SET condition = condition || '{"amounts": {}}';
  `)
}
