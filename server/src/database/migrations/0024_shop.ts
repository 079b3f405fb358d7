import type { Knex } from 'knex'
import { recordTable } from '../recordTable'

const STAGE = { table: 'stages', column: 'stage_id' }

/** Jobs with hands, hours and what they wait for; waits, parts to come, hands, dates, budgets, first guesses; what came off. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  ALTER TABLE jobs DROP CONSTRAINT jobs_kind_check, ADD COLUMN state text NOT NULL DEFAULT 'toDo';
  UPDATE jobs SET state = 'done' WHERE done;
  ALTER TABLE jobs ALTER COLUMN state DROP DEFAULT, DROP COLUMN done,
    ADD COLUMN done_on text, ADD COLUMN short_time double precision, ADD COLUMN long_time double precision,
    ADD COLUMN promised jsonb, ADD COLUMN hands integer NOT NULL DEFAULT 1,
    ADD COLUMN who jsonb NOT NULL DEFAULT '[]', ADD COLUMN after jsonb NOT NULL DEFAULT '[]',
    ADD COLUMN waits jsonb NOT NULL DEFAULT '[]', ADD COLUMN parts jsonb NOT NULL DEFAULT '[]',
    ADD COLUMN cure double precision, ADD COLUMN not_before text, ADD COLUMN can_wait boolean NOT NULL DEFAULT false,
    ADD COLUMN place text NOT NULL DEFAULT 'anywhere', ADD COLUMN tools text NOT NULL DEFAULT '',
    ADD COLUMN "group" text NOT NULL DEFAULT '', ADD COLUMN operation text NOT NULL DEFAULT '',
    ADD COLUMN swap_id uuid, ADD COLUMN mark_id uuid, ADD COLUMN spells jsonb NOT NULL DEFAULT '[]';
  ALTER TABLE jobs ALTER COLUMN hands DROP DEFAULT, ALTER COLUMN who DROP DEFAULT, ALTER COLUMN after DROP DEFAULT,
    ALTER COLUMN waits DROP DEFAULT, ALTER COLUMN parts DROP DEFAULT, ALTER COLUMN can_wait DROP DEFAULT,
    ALTER COLUMN place DROP DEFAULT, ALTER COLUMN tools DROP DEFAULT, ALTER COLUMN "group" DROP DEFAULT,
    ALTER COLUMN operation DROP DEFAULT, ALTER COLUMN spells DROP DEFAULT;
  ALTER TABLE lines ADD COLUMN lies_at text NOT NULL DEFAULT '', ADD COLUMN sold_for double precision;
  ALTER TABLE lines ALTER COLUMN lies_at DROP DEFAULT;
  `)
  const dated = `given_on text, lasts double precision, short double precision, long double precision, promised_for text,
       promised_first text, back_on text, cost double precision, note text NOT NULL`
  await knex.raw(
    recordTable(
      'waits',
      `"order" integer NOT NULL, name text NOT NULL, kind text NOT NULL, supplier text NOT NULL, after jsonb NOT NULL, ${dated}`,
      STAGE,
    ),
  )
  await knex.raw(
    recordTable(
      'parts',
      `"order" integer NOT NULL, name text NOT NULL, purpose text NOT NULL, system text NOT NULL, state text NOT NULL,
       quantity integer NOT NULL CHECK (quantity > 0), came integer, supplier text NOT NULL, condition text NOT NULL,
       price double precision, price_grade text NOT NULL, ordered_on text, promised_for text, promised_first text,
       arrived_on text, lead double precision, line_id uuid, component_id uuid, findings jsonb NOT NULL, note text NOT NULL`,
      STAGE,
    ),
  )
  await knex.raw(
    recordTable(
      'budgets',
      'system text, amount double precision NOT NULL CHECK (amount >= 0), note text NOT NULL',
      STAGE,
    ),
  )
  await knex.raw(
    recordTable(
      'first_guesses',
      '"of" text NOT NULL, who text NOT NULL, value double precision NOT NULL CHECK (value > 0), date text NOT NULL, note text NOT NULL',
      STAGE,
    ),
  )
  await knex.raw(
    recordTable(
      'hands',
      `"order" integer NOT NULL, name text NOT NULL, week jsonb NOT NULL, away jsonb NOT NULL, can jsonb NOT NULL, note text NOT NULL`,
    ),
  )
  await knex.raw(
    recordTable(
      'fixed_dates',
      `name text NOT NULL, date text NOT NULL, "time" text, kind text NOT NULL, stage_id uuid, jobs jsonb NOT NULL,
       outing_id uuid, calendar_id text NOT NULL, note text NOT NULL`,
    ),
  )
}
