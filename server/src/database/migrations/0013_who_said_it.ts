import type { Knex } from 'knex'

/** Where a figure is from, how doubtful guesses are, and a weigh ticket among what is signed. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  ALTER TABLE lines ADD COLUMN source text NOT NULL DEFAULT '';
  ALTER TABLE lines ALTER COLUMN source DROP DEFAULT;
  UPDATE lines SET said = said || '{"source": ""}' WHERE jsonb_typeof(said) = 'object';
  ALTER TABLE builds ADD COLUMN doubts jsonb;
  UPDATE seals SET figures = figures || '{"ticket": null}' WHERE figures -> 'ticket' IS NULL;
  `)
}
