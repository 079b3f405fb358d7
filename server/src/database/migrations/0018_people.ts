import type { Knex } from 'knex'

/**
 * Who may come in: people, what they are in each workshop, the devices they are signed in on, links that open something
 * once, guesses that were made, who is where at this moment, and what was noted of it all; when the
 * records were dumped; and builds that came along from elsewhere, as they came. Secrets are kept as their hashes. Who made a batch is known
 * by its session from here on.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  CREATE TABLE people (
    id uuid PRIMARY KEY,
    name text NOT NULL CHECK (name <> ''),
    login text NOT NULL UNIQUE CHECK (login = lower(login)),
    password_hash text NOT NULL,
    created_at timestamptz NOT NULL DEFAULT now()
  );
  CREATE TABLE members (
    workshop_id uuid NOT NULL REFERENCES workshops (id) ON DELETE CASCADE,
    person_id uuid NOT NULL REFERENCES people (id) ON DELETE CASCADE,
    role text NOT NULL CHECK (role IN ('owner', 'builder', 'helper', 'guest')),
    created_at timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY (workshop_id, person_id)
  );
  CREATE INDEX members_by_person ON members (person_id);
  CREATE TABLE sessions (
    id uuid PRIMARY KEY,
    person_id uuid NOT NULL REFERENCES people (id) ON DELETE CASCADE,
    token_hash bytea NOT NULL UNIQUE,
    by text NOT NULL,
    device text NOT NULL,
    address text NOT NULL,
    created_at timestamptz NOT NULL DEFAULT now(),
    last_seen_at timestamptz NOT NULL DEFAULT now(),
    ends_at timestamptz NOT NULL,
    ended_at timestamptz
  );
  CREATE INDEX sessions_by_person ON sessions (person_id);
  CREATE TABLE passes (
    id uuid PRIMARY KEY,
    kind text NOT NULL CHECK (kind IN ('invitation', 'reset', 'pairing')),
    token_hash bytea NOT NULL UNIQUE,
    workshop_id uuid REFERENCES workshops (id) ON DELETE CASCADE,
    person_id uuid REFERENCES people (id) ON DELETE CASCADE,
    role text CHECK (role IN ('owner', 'builder', 'helper', 'guest')),
    note text NOT NULL,
    made_by uuid REFERENCES people (id) ON DELETE SET NULL,
    created_at timestamptz NOT NULL DEFAULT now(),
    ends_at timestamptz NOT NULL,
    used_at timestamptz,
    used_by uuid REFERENCES people (id) ON DELETE SET NULL,
    used_session uuid REFERENCES sessions (id) ON DELETE SET NULL,
    withdrawn_at timestamptz
  );
  CREATE INDEX passes_by_workshop ON passes (workshop_id);
  CREATE TABLE audit (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    at timestamptz NOT NULL DEFAULT now(),
    workshop_id uuid REFERENCES workshops (id) ON DELETE CASCADE,
    person_id uuid REFERENCES people (id) ON DELETE SET NULL,
    what text NOT NULL,
    who text NOT NULL,
    about text NOT NULL,
    address text NOT NULL
  );
  CREATE INDEX audit_by_workshop ON audit (workshop_id, id);
  CREATE INDEX audit_by_person ON audit (person_id, id);
  CREATE TABLE guesses (
    key varchar(255) PRIMARY KEY,
    points integer NOT NULL DEFAULT 0,
    expire bigint
  );
  CREATE UNLOGGED TABLE presences (
    tab uuid PRIMARY KEY,
    workshop_id uuid NOT NULL REFERENCES workshops (id) ON DELETE CASCADE,
    build_id uuid NOT NULL REFERENCES builds (id) ON DELETE CASCADE,
    person_id uuid,
    name text NOT NULL,
    room text NOT NULL,
    stage_id uuid,
    record_id uuid,
    seen_at timestamptz NOT NULL
  );
  CREATE INDEX presences_by_build ON presences (build_id);
  CREATE TABLE taken_along (
    build_id uuid PRIMARY KEY REFERENCES builds (id) ON DELETE CASCADE,
    workshop_id uuid NOT NULL REFERENCES workshops (id) ON DELETE CASCADE,
    file jsonb NOT NULL,
    taken_at timestamptz NOT NULL DEFAULT now()
  );
  CREATE TABLE dumps (at timestamptz PRIMARY KEY DEFAULT now());
  ALTER TABLE edit_batches ADD COLUMN person_id uuid REFERENCES people (id) ON DELETE SET NULL;
  `)
}
