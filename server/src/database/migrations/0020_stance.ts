import type { Knex } from 'knex'
import { recordTable } from '../recordTable'

const STAGE = { table: 'stages', column: 'stage_id' }
const NOTE = 'note text NOT NULL'

/** Set-up, springs, brakes and geometry by stage, and what is measured of them. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(
    [
      recordTable(
        'geometries',
        `wheelbase double precision NOT NULL CHECK (wheelbase > 0),
         track_front double precision NOT NULL CHECK (track_front > 0),
         track_rear double precision NOT NULL CHECK (track_rear > 0),
         tank jsonb NOT NULL, seat jsonb NOT NULL, cut jsonb, ${NOTE}`,
        STAGE,
      ),
      recordTable(
        'body_checks',
        `date date NOT NULL, name text NOT NULL CHECK (name <> ''), datum text NOT NULL,
         allowed double precision NOT NULL CHECK (allowed > 0), points jsonb NOT NULL, ${NOTE}`,
        STAGE,
      ),
      recordTable(
        'suspensions',
        `front jsonb NOT NULL, rear jsonb NOT NULL,
         turn_step double precision NOT NULL CHECK (turn_step > 0), ${NOTE}`,
        STAGE,
      ),
      recordTable(
        'setups',
        `"order" integer NOT NULL, date date NOT NULL, name text NOT NULL, course text NOT NULL,
         weather text NOT NULL, why text NOT NULL, meant text NOT NULL, driver text NOT NULL,
         fuel double precision, springs jsonb NOT NULL, perches jsonb NOT NULL, bars jsonb NOT NULL,
         packers jsonb NOT NULL, dampers jsonb NOT NULL, heights jsonb NOT NULL, heights_at text NOT NULL,
         camber jsonb NOT NULL, caster jsonb NOT NULL, toe jsonb NOT NULL,
         toe_width double precision NOT NULL CHECK (toe_width > 0), tyres jsonb NOT NULL,
         cold jsonb NOT NULL, hot jsonb NOT NULL, brake_bar double precision, differential text NOT NULL,
         wings jsonb NOT NULL, ${NOTE}`,
        STAGE,
      ),
      recordTable(
        'alignments',
        `date date NOT NULL, by text NOT NULL, toe_width double precision NOT NULL CHECK (toe_width > 0),
         driver double precision NOT NULL CHECK (driver >= 0), heights jsonb NOT NULL, toe jsonb NOT NULL,
         camber jsonb NOT NULL, sweeps jsonb NOT NULL, step double precision NOT NULL CHECK (step > 0),
         setup_id uuid, ${NOTE}`,
        STAGE,
      ),
      recordTable(
        'tyre_readings',
        `date date NOT NULL, time text, name text NOT NULL CHECK (name <> ''), setup_id uuid,
         air double precision NOT NULL CHECK (air > 0), barometer double precision, cold jsonb NOT NULL,
         hot jsonb NOT NULL, treads jsonb NOT NULL, ${NOTE}`,
        STAGE,
      ),
      recordTable(
        'brakes',
        `pedal_ratio double precision NOT NULL CHECK (pedal_ratio > 0),
         servo double precision NOT NULL CHECK (servo >= 1), bar_share double precision NOT NULL,
         bar_least double precision NOT NULL, bar_most double precision NOT NULL,
         cylinder_front double precision NOT NULL CHECK (cylinder_front > 0),
         cylinder_rear double precision NOT NULL CHECK (cylinder_rear > 0), valve jsonb,
         front jsonb NOT NULL, rear jsonb NOT NULL, wheel_radius jsonb NOT NULL, grip double precision,
         air double precision NOT NULL CHECK (air > 0), stops jsonb NOT NULL, alternatives jsonb NOT NULL,
         ${NOTE}`,
        STAGE,
      ),
      recordTable(
        'brake_readings',
        `date date NOT NULL, name text NOT NULL CHECK (name <> ''), laps integer, linings jsonb NOT NULL,
         discs jsonb NOT NULL, pressures jsonb, ${NOTE}`,
        STAGE,
      ),
    ].join('\n'),
  )
  await knex.raw(`
  ALTER TABLE outings ADD COLUMN setup_id uuid;
  ALTER TABLE attitudes ALTER COLUMN pitch DROP NOT NULL;
  ALTER TABLE attitudes ALTER COLUMN roll DROP NOT NULL;
  ALTER TABLE attitudes ADD COLUMN braking double precision NOT NULL DEFAULT 9.80665;
  ALTER TABLE attitudes ADD COLUMN cornering double precision NOT NULL DEFAULT 9.80665;
  ALTER TABLE attitudes ALTER COLUMN braking DROP DEFAULT;
  ALTER TABLE attitudes ALTER COLUMN cornering DROP DEFAULT;
  `)
}
