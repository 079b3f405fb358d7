import {
  FORMAT_VERSION,
  KINDS,
  RECORDS,
  recordIdOf,
  type Edit,
  type EditBatch,
  type EditResult,
  type Kind,
  type Stored,
} from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { askPrepared, type Prepared } from '../database/askPrepared'
import { ROW_OF } from '../database/rowOf'
import { insertOf, rowsOf, stampOf } from './insertAllRows'
import { columnOf } from '../database/columnOf'
import { notifyOf } from '../live/Signals'
import { RECORD_TEXT } from './recordText'

export type Owner = { workshopId: string; buildId: string }
/** Records by their ids. */
export type Existing = ReadonlyMap<string, Stored<Kind>>

/** What must be known before a batch is carried out, all of it as of one moment. */
export interface Before {
  /** Of the build; it is another one after each change. */
  readonly state: string
  /** What the car weighs at least at any stage, kg; null where nobody worked it out. */
  readonly lightest: number | null
  /** The batch as it was carried out before. */
  readonly done: { readonly buildId: string; readonly result: EditResult } | undefined
  readonly frozen: readonly { readonly id: string; readonly name: string }[]
  /** The records that the edits are about, as far as there are any. */
  readonly existing: Existing
}

const kindsOf = (edits: readonly Edit[]) => KINDS.filter((kind) => edits.some((e) => e.kind === kind))

/**
 * Statements for one kind, nearly all there are, are written once and planned once a connection; of mixtures there are
 * too many.
 */
function forKinds(
  what: string,
  write: (kinds: readonly Kind[]) => string,
): (kinds: readonly Kind[]) => Prepared {
  const written = new Map<Kind, Prepared>()
  return (kinds) => {
    const [only] = kinds
    if (!only || kinds.length !== 1) return { text: write(kinds) }
    const found = written.get(only) ?? { name: `${what} ${only}`, text: write(kinds) }
    written.set(only, found)
    return found
  }
}

/** $1 the build, $2 the ids, $3 the workshop, $4 the batch. */
const beforeStatement = forKinds('before', (kinds) => {
  const records = kinds.map(
    (kind) =>
      `select '${kind}', ${RECORD_TEXT[kind]} from ${ROW_OF[kind].tableName}
       where ${kind === 'build' ? 'id' : 'build_id'} = $1 and id = any($2)`,
  )
  return [
    `select 'state' as what, json_build_object('state', state, 'lightest', lightest)::text as value
     from builds where id = $1::uuid and workshop_id = $3::uuid`,
    `select 'done', json_build_object('buildId', build_id, 'result', result)::text
     from edit_batches where id = $4::uuid`,
    `select 'frozen', json_build_object('id', stages.id, 'name', stages.name)::text
     from seals join stages on stages.id = seals.stage_id where seals.build_id = $1 and seals.reopened is null`,
    ...records,
  ].join(' union all ')
})

/** @returns null where there is no such build */
export async function findBefore(
  db: Knex,
  owner: Owner,
  batch: Pick<EditBatch, 'id' | 'edits'>,
): Promise<Before | null> {
  const kinds = kindsOf(batch.edits)
  const values = [owner.buildId, batch.edits.map(recordIdOf), owner.workshopId, batch.id]
  const rows = await askPrepared<{ what: string; value: string }>(db, beforeStatement(kinds), values)
  const valuesOf = <T>(what: string) =>
    rows.filter((r) => r.what === what).map((r) => JSON.parse(r.value) as T)
  const build = valuesOf<Pick<Before, 'state' | 'lightest'>>('state')[0]
  if (!build) return null
  const found = kinds.flatMap((kind) => valuesOf<Stored<Kind>>(kind))
  return {
    ...build,
    done: valuesOf<NonNullable<Before['done']>>('done')[0],
    frozen: valuesOf('frozen'),
    existing: new Map(found.map((record) => [record.id, record])),
  }
}

const assignments = (kind: Kind) =>
  [...Object.keys(RECORDS[kind].shape), ...Object.keys(stampOf(kind)), 'version']
    .filter((field) => field !== 'id')
    .map((field) => `"${columnOf(field)}" = put."${columnOf(field)}"`)
    .join(', ')

/** What was given for a kind, once the build has been found as it was. */
const given = (key: string) => `(select given -> '${key}' from given, changed)`

/** The parts of the statement that add, put and remove records of a kind. */
function writesOf(kind: Kind): string {
  const table = ROW_OF[kind].tableName
  return `
    ${kind}_added as (${insertOf(kind, given(`${kind} added`))}),
    ${kind}_put as (
      update ${table} set ${assignments(kind)}, updated_at = now()
      from jsonb_populate_recordset(null::${table}, ${given(`${kind} put`)}) put
      where ${table}.id = put.id and ${table}.id = any($12::uuid[])),
    ${kind}_removed as (
      delete from ${table} where id = any($13::uuid[]) and build_id = (select id from changed)),`
}

const CHANGED = 'update builds set state = gen_random_uuid(), lightest = $3::double precision'
const AS_IT_WAS = `where builds.id = $1::uuid and builds.state = $2::uuid
  returning builds.id, builds.workshop_id`

/** $1 the build, $2 its state, $3 what it weighs at least, $4 the records; from $5 on the batch; $12 the ids of what is put in place, $13 of what goes; $14 whose hand it is, $15 when it was done there. */
const writeStatement = forKinds('write', (kinds) => {
  const changed = kinds.includes('build')
    ? `${CHANGED}, ${assignments('build')}, updated_at = now()
       from given, jsonb_populate_recordset(null::builds, given -> 'build put') put ${AS_IT_WAS}`
    : `${CHANGED} ${AS_IT_WAS}`
  const writes = kinds.filter((kind) => kind !== 'build').map(writesOf)
  // A parameter that nothing names has no type.
  const unnamed = writes.length > 0 ? '' : ' where $12::uuid[] is not null and $13::uuid[] is not null'
  return `with given as materialized (select $4::jsonb as given),
    changed as (${changed}), ${writes.join('')}
    kept as (
      insert into edit_batches
        (id, workshop_id, build_id, label, author, format_version, edits, inverse, result, person_id, made_at, sequence)
      select $5::uuid, workshop_id, id, $6, $7, $8::integer, $9::jsonb, $10::jsonb, $11::jsonb, $14::uuid, case when $15::timestamptz < now() then $15::timestamptz end,
        (select coalesce(max(sequence), 0) + 1 from edit_batches where build_id = $1::uuid)
      from changed returning id, build_id, workshop_id)
    select id, ${notifyOf(`json_build_object('kind', 'edited', 'workshopId', workshop_id, 'buildId', build_id, 'batchId', id)`)} from kept${unnamed}`
})

/**
 * Carries out edits and remembers their batch, with what takes it back, as the last of its build: by one statement, if
 * the build is still in the state in which everything was looked at.
 *
 * @returns false where it is not, and nothing has happened
 */
export async function writeBatch(
  db: Knex,
  owner: Owner,
  state: string,
  batch: EditBatch & { inverse: Edit[]; result: EditResult },
  lightest: number | null,
  personId: string | null,
): Promise<boolean> {
  const { id, label, author, madeAt, edits, inverse, result } = batch
  const kinds = kindsOf(edits)
  const puts = (kind: Kind) =>
    edits.flatMap((e) =>
      e.kind === kind && e.op === 'put' ? [e.record as { id: string; version: number }] : [],
    )
  const raised = (kind: Kind, isNew: boolean) =>
    rowsOf(
      kind,
      puts(kind)
        .filter((record) => (record.version === 0) === isNew)
        .map((record) => ({ ...record, version: record.version + 1 })),
      owner,
    )
  const lists = kinds.flatMap((kind) => [
    [`${kind} added`, raised(kind, true)],
    [`${kind} put`, raised(kind, false)],
  ])
  const rows = await askPrepared(db, writeStatement(kinds), [
    owner.buildId,
    state,
    lightest,
    JSON.stringify(Object.fromEntries(lists)),
    id,
    label,
    author,
    FORMAT_VERSION,
    ...[edits, inverse, result].map((list) => JSON.stringify(list)),
    edits.flatMap((e) => (e.op === 'put' && e.record.version > 0 ? [e.record.id] : [])),
    edits.flatMap((e) => (e.op === 'remove' ? [e.id] : [])),
    personId,
    madeAt ?? null,
  ])
  return rows.length > 0
}

/** Those of some records that a person added to a build. */
export async function addedBy(
  db: Knex,
  { buildId, workshopId }: Owner,
  personId: string,
  ids: readonly string[],
): Promise<string[]> {
  if (ids.length === 0) return []
  const rows = (await db('edit_batches')
    .joinRaw('cross join lateral jsonb_array_elements(edits) edit')
    .where({ buildId, workshopId, personId })
    .whereRaw(`edit->>'op' = 'put' and edit->'record'->>'version' = '0'`)
    .whereRaw(`edit->'record'->>'id' = any(?::text[])`, [[...ids]])
    .select(db.raw(`edit->'record'->>'id' as id`))) as { id: string }[]
  return rows.map(({ id }) => id)
}
