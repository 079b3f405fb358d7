import {
  COLLECTION,
  PART_KINDS,
  withNewIds,
  type BuildDocument,
  type BuildFile,
  type Kind,
  eachCollection,
} from '@bold-ballast/contract'
import { orWhy } from '@bold-ballast/core'
import { lightestMass } from '@bold-ballast/model'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { setImmediate } from 'node:timers/promises'
import { keepSummaryText, summaryTextOf } from './BuildSummaries'
import { allRowsOf, insertAllRows } from './insertAllRows'

/** A build of a file, and what can be made of it without the database. */
export interface ReadyBuild {
  readonly file: BuildFile
  readonly document: BuildDocument
  /** As `allRowsOf` gives them. */
  readonly rows: string
}

/** Makes a build ready to be inserted under the ids that it has. */
export function readyBuild(workshopId: string, file: BuildFile): ReadyBuild {
  const parts = PART_KINDS.map((kind) => [kind, file[COLLECTION[kind]]] as const)
  const records = Object.fromEntries([['build', [file.build]], ...parts]) as Record<Kind, readonly object[]>
  const rows = allRowsOf(records, { workshopId, buildId: file.build.id })
  return { file, document: firstDocument(records), rows }
}

/**
 * Adds a build from a file; it gets new ids where any of the file's are taken.
 *
 * @returns the id of the build, and its summary as JSON
 */
export async function addBuild(
  trx: Knex,
  workshopId: string,
  file: BuildFile,
): Promise<{ id: string; summary: string }> {
  const { document, rows } = await withFreeIds(trx, workshopId, readyBuild(workshopId, file))
  const { id } = document.build
  const inserted = insertAllRows(trx, rows)
  // While the database is at it, the processor works the summary out.
  await setImmediate()
  const found = summaryTextOf(document)
  await inserted
  await trx('builds').where({ id }).update({ lightest: found.lightest })
  await keepSummaryText(trx, id, found)
  return { id, summary: found.text }
}

/**
 * The same of one of many: what the Garage lists of it is worked out when somebody looks.
 *
 * @param createdAt when it was first there
 * @param meanwhile is called while the database is at it: what the processor has to do next
 * @returns the id of the build
 */
export async function addBuildOfMany(
  trx: Knex,
  workshopId: string,
  ready: ReadyBuild,
  createdAt: string,
  meanwhile: () => void,
): Promise<{ id: string }> {
  const { document, rows } = await withFreeIds(trx, workshopId, ready)
  const { id } = document.build
  const inserted = insertAllRows(trx, rows)
  await setImmediate()
  meanwhile()
  const lightest = orWhy(
    () => lightestMass(document),
    () => null,
  )
  await inserted
  await trx('builds').where({ id }).update({ lightest, created_at: createdAt })
  return { id }
}

async function withFreeIds(trx: Knex, workshopId: string, ready: ReadyBuild): Promise<ReadyBuild> {
  const { file } = ready
  const ids = [file.build.id, ...PART_KINDS.flatMap((kind) => file[COLLECTION[kind]].map((r) => r.id))]
  const taken = await trx('record_ids').whereRaw('id = any(?::uuid[])', [ids]).first('id')
  return taken ? readyBuild(workshopId, withNewIds(file, randomUUID)) : ready
}

/** The document that a build's records make when all are new. */
function firstDocument(records: Readonly<Record<Kind, readonly object[]>>): BuildDocument {
  const stored = (kind: Kind) => records[kind].map((record) => ({ ...record, version: 1 }))
  const [build] = stored('build')
  if (!build) throw new TypeError('a build is among its own records')
  const document: Record<string, object> = { build, ...eachCollection(stored) }
  return document as BuildDocument
}
