import knex, { type Knex } from 'knex'
import pg from 'pg'
import { knexSnakeCaseMappers } from 'objection'
import { completeStored } from './completeStored'
import * as firstTables from './migrations/0001_first_tables'
import * as scalesWhole from './migrations/0002_scales_whole'
import * as conditions from './migrations/0004_conditions'
import * as photos from './migrations/0005_photos'
import * as powerWhole from './migrations/0006_power_whole'
import * as drivelineWhole from './migrations/0008_driveline_whole'
import * as aero from './migrations/0009_aero'
import * as aeroWhole from './migrations/0010_aero_whole'
import * as marksOnAnything from './migrations/0011_marks_on_anything'
import * as tried from './migrations/0012_tried_and_shared'
import * as whoSaidIt from './migrations/0013_who_said_it'
import * as instrumentsAndDays from './migrations/0014_instruments_and_days'
import * as historyInOrder from './migrations/0015_history_in_order'
import * as formatsAndIds from './migrations/0016_formats_and_ids'
import * as statesAndSummaries from './migrations/0017_states_and_summaries'
import * as people from './migrations/0018_people'
import * as homes from './migrations/0019_homes'
import * as stance from './migrations/0020_stance'
import * as course from './migrations/0021_course'
import * as days from './migrations/0022_days'
import * as logsTravel from './migrations/0023_logs_travel'
import * as shop from './migrations/0024_shop'
import * as pictures from './migrations/0025_pictures'
import * as knownDevices from './migrations/0026_known_devices'
import * as filesReplaced from './migrations/0027_files_replaced'
import * as summariesTake from './migrations/0028_summaries_take'
import * as batchesMade from './migrations/0029_batches_made'
import * as reckonedOtherwise from './migrations/0030_reckoned_otherwise'
import * as components from './migrations/0007_components'
import * as linesWithAHistory from './migrations/0003_lines_with_a_history'

const DATE_OID = 1082
// A calendar date is text here: a Date would bring a time zone with it.
pg.types.setTypeParser(DATE_OID, (text) => text)

/** The tables, newest step last. A step that has been released is never changed; a new one is added. */
const STEPS: Record<string, { up: (knex: Knex) => Promise<void> }> = {
  '0001_first_tables': firstTables,
  '0002_scales_whole': scalesWhole,
  '0003_lines_with_a_history': linesWithAHistory,
  '0004_conditions': conditions,
  '0005_photos': photos,
  '0006_power_whole': powerWhole,
  '0007_components': components,
  '0008_driveline_whole': drivelineWhole,
  '0009_aero': aero,
  '0010_aero_whole': aeroWhole,
  '0011_marks_on_anything': marksOnAnything,
  '0012_tried_and_shared': tried,
  '0013_who_said_it': whoSaidIt,
  '0014_instruments_and_days': instrumentsAndDays,
  '0015_history_in_order': historyInOrder,
  '0016_formats_and_ids': formatsAndIds,
  '0017_states_and_summaries': statesAndSummaries,
  '0018_people': people,
  '0019_homes': homes,
  '0020_stance': stance,
  '0021_course': course,
  '0022_days': days,
  '0023_logs_travel': logsTravel,
  '0024_shop': shop,
  '0025_pictures': pictures,
  '0026_known_devices': knownDevices,
  '0027_files_replaced': filesReplaced,
  '0028_summaries_take': summariesTake,
  '0029_batches_made': batchesMade,
  '0030_reckoned_otherwise': reckonedOtherwise,
}

const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: async () => Object.keys(STEPS),
  getMigrationName: (name) => name,
  getMigration: async (name) => ({
    up: async (knex: Knex) => {
      // All steps of a start are one transaction. What a step leaves to be checked at its end would keep the next
      // from changing the same table.
      const step = STEPS[name]
      if (!step) throw new TypeError(`no step ${name}`)
      await step.up(knex)
      await knex.raw('SET CONSTRAINTS ALL IMMEDIATE')
      await knex.raw('SET CONSTRAINTS ALL DEFERRED')
    },
    down: async () => {
      throw new Error('Migrations only go forward.')
    },
  }),
}

const names = knexSnakeCaseMappers()

/**
 * A connection pool to the database at a URL. Queries in the context `asNamed` bring their rows as they come.
 *
 * @param options.connections that it has at most
 * @param options.statementMs that one statement may take; 0 for as long as it takes
 */
export const connect = (url: string, { connections = 10, statementMs = 0 } = {}): Knex =>
  knex({
    client: 'pg',
    connection: {
      connectionString: url,
      application_name: 'bold-ballast',
      statement_timeout: statementMs,
      // Everything is asked for by ids: one plan fits all, and none is worth compiling.
      options: '-c plan_cache_mode=force_generic_plan -c jit=off',
    },
    pool: { min: 0, max: connections },
    acquireConnectionTimeout: 4000,
    ...names,
    postProcessResponse: (response: unknown, context?: { asNamed?: boolean }) =>
      context?.asNamed ? response : names.postProcessResponse(response),
  })

/** The lock that whoever brings a database up to date holds, among all that ever ask for one. */
const MIGRATION_LOCK = [4610, 2]

/** As much of the driver's own connection as is asked of it. */
interface Held {
  query(text: string, values: readonly number[]): Promise<unknown>
}

/** Does something that only one server of a database may do at a time; the others wait for it. */
async function byOneAtATime<T>(db: Knex, work: () => Promise<T>): Promise<T> {
  const held = (await db.client.acquireConnection()) as Held
  try {
    await held.query('select pg_advisory_lock($1, $2)', MIGRATION_LOCK)
    return await work()
  } finally {
    await held.query('select pg_advisory_unlock($1, $2)', MIGRATION_LOCK).catch(() => undefined)
    await db.client.releaseConnection(held)
  }
}

/** Steps that a database has gone and this version knows nothing of: a newer one has been at it. */
export async function stepsUnknown(db: Knex): Promise<string[]> {
  if (!(await db.schema.hasTable('knex_migrations'))) return []
  const rows = (await db('knex_migrations').orderBy('id').select('name')) as { name: string }[]
  return rows.map(({ name }) => name).filter((name) => !(name in STEPS))
}

/** Why a version can't work on records that a newer one has brought up to date, and what helps. */
export const outgrown = (steps: readonly string[]): string =>
  `A newer version of Bold Ballast has brought these records up to date (${steps.join(', ')}). Start that version; or put back a dump from before: npm run restore.`

/**
 * Brings the tables, and the records that are stored whole in them, up to date; harmless when they are. Of several
 * servers that start at once one does, and the others wait.
 *
 * @throws where a newer version has been at them
 * @returns whether anything had to be done
 */
export async function migrate(db: Knex): Promise<boolean> {
  return byOneAtATime(db, async () => {
    const unknown = await stepsUnknown(db)
    if (unknown.length > 0) throw new Error(outgrown(unknown))
    // Whoever left the query builder's own mark there was killed: nobody else is at it.
    if (await db.schema.hasTable('knex_migrations_lock'))
      await db.migrate.forceFreeMigrationsLock({ migrationSource })
    const [, steps] = (await db.migrate.latest({ migrationSource })) as [number, string[]]
    await completeStored(db)
    return steps.length > 0
  })
}
