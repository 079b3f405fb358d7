import type { Knex } from 'knex'

/** A photograph of a line's part; it goes when its line goes for good. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  CREATE TABLE photos (
    line_id uuid PRIMARY KEY,
    build_id uuid NOT NULL,
    workshop_id uuid NOT NULL,
    type text NOT NULL CHECK (type IN ('image/jpeg', 'image/png', 'image/webp')),
    bytes bytea NOT NULL CHECK (length(bytes) BETWEEN 1 AND 2097152),
    created_at timestamptz NOT NULL DEFAULT now(),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE
  );
  CREATE INDEX photos_by_build ON photos (build_id);
  `)
}
