import type { Knex } from 'knex'

/** What aero lacked: shapes to cut, what a wing is made of, factors, stance at speed, own sheets, logs of downforce. */
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
  ALTER TABLE builds
    ADD COLUMN air_loads jsonb NOT NULL DEFAULT '{"gust": 1.25, "kerb": 1.2, "wanted": 2}';
  ALTER TABLE aero_elements ADD COLUMN correction jsonb, ADD COLUMN line_id uuid;
  UPDATE aero_elements
    SET panel = panel || '{"stockId": null, "under": 0, "rearWidth": null, "cornerRadius": 0}'
    WHERE jsonb_typeof(panel) = 'object';
  UPDATE aero_elements
    SET panel = jsonb_set(panel, '{struts,kind}', '"strut"')
    WHERE jsonb_typeof(panel -> 'struts') = 'object';
  UPDATE aero_elements
    SET mount = mount || '{"topBolts": 2, "topBoltDiameter": 0.006, "spar": null, "footing": null}'
    WHERE jsonb_typeof(mount) = 'object';
  CREATE TABLE downforce_tests (
    date date NOT NULL,
    name text NOT NULL CHECK (name <> ''),
    sensor text NOT NULL,
    motion_ratio jsonb NOT NULL,
    wheel_rate jsonb NOT NULL,
    air jsonb NOT NULL,
    speed_factor double precision NOT NULL CHECK (speed_factor > 0),
    runs jsonb NOT NULL CHECK (jsonb_array_length(runs) > 0),
    ${ofStage}
  );
  CREATE TABLE attitudes (
    pitch double precision NOT NULL,
    roll double precision NOT NULL CHECK (roll >= 0),
    bump double precision NOT NULL CHECK (bump >= 0),
    wheel_rate jsonb,
    ${ofStage}
  );
  CREATE TABLE sheet_stocks (
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    build text NOT NULL,
    stiffness double precision NOT NULL CHECK (stiffness > 0),
    strength double precision NOT NULL CHECK (strength > 0),
    density double precision NOT NULL CHECK (density > 0),
    core_density double precision,
    skin double precision,
    thicknesses jsonb NOT NULL,
    across double precision NOT NULL CHECK (across > 0),
    price jsonb NOT NULL,
    ${part}
  );
  CREATE INDEX downforce_tests_by_build ON downforce_tests (build_id);
  CREATE INDEX downforce_tests_by_stage_id ON downforce_tests (stage_id);
  CREATE INDEX attitudes_by_build ON attitudes (build_id);
  CREATE INDEX attitudes_by_stage_id ON attitudes (stage_id);
  CREATE INDEX sheet_stocks_by_build ON sheet_stocks (build_id);
  `)
}
