import type { Knex } from 'knex'

/** The tables of records, as they were when this step was made. */
const TABLES = [
  ...['builds', 'stages', 'swaps', 'lines', 'weigh_ins', 'tilt_tests', 'dyno_days', 'pulls', 'marks'],
  ...['sizings', 'option_sets', 'drivetrains', 'gearsets', 'course_speeds', 'components', 'outings'],
  ...['services', 'jobs', 'seals', 'steerings', 'fitments', 'aero_elements', 'coast_downs'],
  ...['downforce_tests', 'attitudes', 'sheet_stocks', 'rulebooks', 'scrutinies', 'loads', 'conditions'],
  ...['courses', 'instruments', 'branches'],
]

/** Another id than its build's, by the rule that branches, histories and files follow as well. */
const drivetrainIdOf = (buildId: string): string =>
  ((parseInt(buildId.slice(0, 8), 16) ^ 0xd21e7a11) >>> 0).toString(16).padStart(8, '0') + buildId.slice(8)

/**
 * Where whole records are stored, it is said in which version. What was stored before may be of any, and is brought
 * over from the first.
 *
 * No record has another's id, of whatever kind: the database sees to it.
 */
export async function up(knex: Knex): Promise<void> {
  for (const table of ['edit_batches', 'branches', 'shares'])
    await knex.raw(`
    ALTER TABLE ${table} ADD COLUMN format_version integer NOT NULL DEFAULT 1 CHECK (format_version > 0);
    ALTER TABLE ${table} ALTER COLUMN format_version DROP DEFAULT;
    `)
  const shared = (await knex('drivetrains').whereRaw('id = build_id').select('id')) as { id: string }[]
  for (const { id } of shared)
    await knex('drivetrains')
      .where({ id })
      .update({ id: drivetrainIdOf(id) })
  await knex.raw(`
  CREATE TABLE record_ids (id uuid PRIMARY KEY);
  CREATE FUNCTION record_ids_added() RETURNS trigger LANGUAGE plpgsql AS
    'BEGIN INSERT INTO record_ids (id) SELECT id FROM added; RETURN NULL; END';
  CREATE FUNCTION record_ids_gone() RETURNS trigger LANGUAGE plpgsql AS
    'BEGIN DELETE FROM record_ids USING gone WHERE record_ids.id = gone.id; RETURN NULL; END';
  `)
  for (const table of TABLES)
    await knex.raw(`
    INSERT INTO record_ids (id) SELECT id FROM ${table} ON CONFLICT DO NOTHING;
    CREATE TRIGGER ${table}_ids_added AFTER INSERT ON ${table}
      REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION record_ids_added();
    CREATE TRIGGER ${table}_ids_gone AFTER DELETE ON ${table}
      REFERENCING OLD TABLE AS gone FOR EACH STATEMENT EXECUTE FUNCTION record_ids_gone();
    `)
}
