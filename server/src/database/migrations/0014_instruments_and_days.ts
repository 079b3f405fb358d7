import type { Knex } from 'knex'

const SEA_LEVEL = { pressure: 101_325, temperature: 288.15 }

type Fields = Record<string, unknown>
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const within = (record: Fields, group: string, more: (inside: Fields) => Fields): Fields =>
  isFields(record[group]) ? { ...record, [group]: more(record[group]) } : record

/** What a record lacks that was stored in an edit before this step. */
function completed(kind: unknown, record: Fields): Fields {
  switch (kind) {
    case 'build':
      return { lean: null, ...record }
    case 'line':
      return { changedOn: null, ...record }
    case 'outing':
      return { quarterMile: null, topSpeed: null, ...record }
    case 'weighIn':
      return { scale: '', ...record }
    case 'drivetrain':
      return within(record, 'drive', (drive) => ({ slide: null, ...drive }))
    case 'sizing':
      return within(
        within(record, 'cooling', (cooling) => ({ oilCoolerPlace: 'own', heatAhead: 0, ...cooling })),
        'air',
        (air) => within(air, 'compressor', (compressor) => ({ reference: SEA_LEVEL, ...compressor })),
      )
    case 'sheetStock':
      return { coreShear: null, ...record }
    case 'seal':
      return within(record, 'figures', (figures) => ({ expectedWrong: null, ...figures }))
    case 'branch':
      return { ...record, edits: editsOf(record['edits']) }
    default:
      return record
  }
}

const editsOf = (edits: unknown): unknown =>
  Array.isArray(edits)
    ? edits.map((edit: unknown) =>
        isFields(edit) && edit['op'] === 'put' && isFields(edit['record'])
          ? { ...edit, record: completed(edit['kind'], edit['record']) }
          : edit,
      )
    : edits

const SOME = 200

/** Edits that are kept in a table, in portions: a history may be long. */
async function completeEdits(knex: Knex, table: string, columns: readonly string[]): Promise<void> {
  let after: string | null = null
  for (;;) {
    const rows = (await knex(table)
      .select('id', ...columns)
      .modify((q) => after && q.where('id', '>', after))
      .orderBy('id')
      .limit(SOME)) as (Fields & { id: string })[]
    for (const row of rows) {
      const changed = Object.fromEntries(
        columns
          .filter((column) => row[column] !== null)
          .map((column) => [column, JSON.stringify(editsOf(row[column]))]),
      )
      if (Object.keys(changed).length > 0) await knex(table).where({ id: row.id }).update(changed)
    }
    if (rows.length < SOME) return
    after = rows.at(-1)!.id
  }
}

/**
 * Scales and dynos with an error of their own, the days of parts, slides, the air of cores and maps, and cores that shear.
 * What was tried and what was done keep up: their records get what they lack.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
  CREATE TABLE instruments (
    name text NOT NULL CHECK (name <> ''),
    "order" integer NOT NULL,
    kind text NOT NULL CHECK (kind IN ('pads', 'weighbridge', 'partScale', 'dyno')),
    resolution double precision CHECK (resolution > 0),
    repeatability double precision NOT NULL CHECK (repeatability >= 0),
    own_error double precision NOT NULL CHECK (own_error >= 0),
    between_days double precision CHECK (between_days >= 0),
    checked_on text,
    checked_against text NOT NULL,
    note text NOT NULL,
    id uuid PRIMARY KEY,
    workshop_id uuid NOT NULL,
    build_id uuid NOT NULL,
    version integer NOT NULL DEFAULT 1 CHECK (version > 0),
    created_at timestamptz NOT NULL DEFAULT now(),
    updated_at timestamptz NOT NULL DEFAULT now(),
    UNIQUE (id, build_id),
    FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE
  );
  CREATE INDEX instruments_by_build ON instruments (build_id);
  ALTER TABLE builds ADD COLUMN lean jsonb;
  ALTER TABLE outings ADD COLUMN quarter_mile double precision CHECK (quarter_mile > 0);
  ALTER TABLE outings ADD COLUMN top_speed double precision CHECK (top_speed > 0);
  ALTER TABLE lines ADD COLUMN changed_on text;
  ALTER TABLE weigh_ins ADD COLUMN scale text NOT NULL DEFAULT '';
  ALTER TABLE weigh_ins ALTER COLUMN scale DROP DEFAULT;
  ALTER TABLE sheet_stocks ADD COLUMN core_shear double precision CHECK (core_shear > 0);
  UPDATE drivetrains SET drive = '{"slide": null}' || drive;
  UPDATE sizings SET cooling = '{"oilCoolerPlace": "own", "heatAhead": 0}' || cooling
    WHERE jsonb_typeof(cooling) = 'object';
  UPDATE sizings
    SET air = jsonb_set(air, '{compressor}', '{"reference": ${JSON.stringify(SEA_LEVEL)}}' || (air -> 'compressor'))
    WHERE jsonb_typeof(air -> 'compressor') = 'object';
  UPDATE shares SET sheet = jsonb_set(sheet, '{figures}', '{"expectedWrong": null}' || (sheet -> 'figures'))
    WHERE jsonb_typeof(sheet -> 'figures') = 'object';
  UPDATE seals SET figures = '{"expectedWrong": null}' || figures;
  `)
  await completeEdits(knex, 'branches', ['edits'])
  await completeEdits(knex, 'edit_batches', ['edits', 'inverse'])
}
