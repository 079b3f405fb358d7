import type { Knex } from 'knex'

const own = `
    id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL,
    build_id uuid NOT NULL,
    version integer NOT NULL DEFAULT 1 CHECK (version > 0),
    created_at timestamptz NOT NULL DEFAULT now(),
    updated_at timestamptz NOT NULL DEFAULT now(),
    UNIQUE (id, build_id),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE`

/** Courses, what was tried apart from a build, and proof sheets that somebody outside may read. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  CREATE TABLE courses (
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    sections jsonb NOT NULL,
    closed boolean NOT NULL,
    note text NOT NULL,${own}
  );
  CREATE TABLE branches (
    stage_id uuid NOT NULL,
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    step_id uuid,
    edits jsonb NOT NULL,
    adopted_at text,
    note text NOT NULL,${own},
    FOREIGN KEY (stage_id, build_id) REFERENCES stages (id, build_id) DEFERRABLE INITIALLY DEFERRED
  );
  CREATE TABLE shares (
    id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL,
    build_id uuid NOT NULL,
    stage_id uuid NOT NULL,
    token text NOT NULL UNIQUE CHECK (length(token) >= 32),
    sheet jsonb NOT NULL,
    ends_at timestamptz NOT NULL,
    withdrawn_at timestamptz,
    created_at timestamptz NOT NULL DEFAULT now(),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE
  );
  CREATE INDEX courses_by_build ON courses (build_id);
  CREATE INDEX branches_by_build ON branches (build_id);
  CREATE INDEX branches_by_stage_id ON branches (stage_id);
  CREATE INDEX shares_by_build ON shares (build_id);
  `)
}
