import type { Knex } from 'knex'

/** What was done has an order of its own: clocks are set back, and two things happen within one tick of them. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  ALTER TABLE edit_batches ADD COLUMN sequence integer;
  UPDATE edit_batches SET sequence = ordered.place
  FROM (
    SELECT id, row_number() OVER (PARTITION BY build_id ORDER BY created_at, id) AS place FROM edit_batches
  ) ordered
  WHERE edit_batches.id = ordered.id;
  ALTER TABLE edit_batches ALTER COLUMN sequence SET NOT NULL;
  ALTER TABLE edit_batches ADD CONSTRAINT edit_batches_in_order UNIQUE (build_id, sequence);
  DROP INDEX edit_batches_by_build;
  `)
}
