import type { Knex } from 'knex'

/**
 * Jobs, frozen stages, and marks on measures of every room: how much they count, and the condition, gear or speed they are for; laps of a day; what was said
 * of a part before it was weighed.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  ALTER TABLE marks
    ADD COLUMN weight double precision NOT NULL DEFAULT 1 CHECK (weight > 0),
    ADD COLUMN condition_id uuid,
    ADD COLUMN place text NOT NULL DEFAULT '',
    ADD COLUMN gear integer CHECK (gear > 0),
    ADD COLUMN speed double precision CHECK (speed > 0),
    DROP CONSTRAINT marks_measure_check,
    DROP CONSTRAINT marks_value_check;
  ALTER TABLE lines ADD COLUMN said jsonb;
  ALTER TABLE edit_batches ADD COLUMN inverse jsonb, ADD COLUMN author text NOT NULL DEFAULT '';
  ALTER TABLE outings ADD COLUMN best_lap double precision CHECK (best_lap > 0);
  CREATE TABLE jobs (
    stage_id uuid NOT NULL,
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    kind text NOT NULL CHECK (kind IN ('measurement', 'work')),
    done boolean NOT NULL,
    work_time double precision CHECK (work_time >= 0),
    "from" text NOT NULL,
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
  CREATE TABLE seals (
    stage_id uuid NOT NULL,
    at text NOT NULL,
    author text NOT NULL CHECK (author <> ''),
    figures jsonb NOT NULL,
    reopened jsonb,
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
  CREATE INDEX seals_by_build ON seals (build_id);
  CREATE INDEX seals_by_stage_id ON seals (stage_id);
  CREATE INDEX jobs_by_build ON jobs (build_id);
  CREATE INDEX jobs_by_stage_id ON jobs (stage_id);
  `)
}
