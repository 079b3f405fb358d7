import type { Knex } from 'knex'

/** How a part was weighed, what became of it, which line it came from, and where else it is fitted. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  ALTER TABLE lines
    ADD role text NOT NULL DEFAULT 'part' CHECK (role IN ('part', 'allowance')),
    ADD weighing jsonb CHECK (jsonb_array_length(weighing -> 'readings') > 0),
    ADD fate text NOT NULL DEFAULT 'unsaid' CHECK (fate IN ('unsaid', 'stored', 'sold', 'scrapped')),
    ADD from_line uuid,
    ADD also_at jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(also_at) = 'array');
  CREATE INDEX lines_by_name ON lines (workshop_id, lower(name));
  `)
}
