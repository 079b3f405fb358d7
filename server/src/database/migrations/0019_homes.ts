import type { Knex } from 'knex'

/** Other workshops' servers, which builds are taken along from; and what takes removals back, as edits are written. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  CREATE TABLE homes (
    id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL REFERENCES workshops (id) ON DELETE CASCADE,
    origin text NOT NULL,
    authority text,
    cookie text NOT NULL,
    person text NOT NULL,
    created_at timestamptz NOT NULL DEFAULT now()
  );
  CREATE INDEX homes_by_workshop ON homes (workshop_id);
  ALTER TABLE taken_along ADD COLUMN photos jsonb NOT NULL DEFAULT '{}';
  `)
  // What brings a removed record back had been kept with the removal's own id and version.
  await knex.raw(`
  UPDATE edit_batches SET inverse = (
    SELECT jsonb_agg(CASE edit ->> 'op' WHEN 'put' THEN edit - 'id' - 'version' ELSE edit END ORDER BY place)
    FROM jsonb_array_elements(inverse) WITH ORDINALITY AS kept (edit, place)
  )
  WHERE EXISTS (
    SELECT FROM jsonb_array_elements(inverse) AS kept (edit)
    WHERE edit ->> 'op' = 'put' AND edit -> 'id' IS NOT NULL
  );
  `)
}
