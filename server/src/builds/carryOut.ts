import {
  areWeighty,
  FORMAT_VERSION,
  lightestMass,
  linesMove,
  frozenFault,
  newMassFault,
  KINDS,
  type BuildDocument,
  type Edit,
  type EditBatch,
  type EditResult,
  type Kind,
  rewind,
  triedDocument,
  type Branch,
  type Line,
  type Problem,
} from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { raw } from 'objection'
import { EditBatchRow } from '../database/models/EditBatchRow'
import { ROW_OF } from '../database/models/parts'
import { notFound, Refusal } from '../http/Refusal'
import { insertRows, stampOf } from './insertRows'
import { readBuildText, type BuildText } from './readBuildText'
import { readRecords } from './readRecords'

type Owner = { workshopId: string; buildId: string }
type Existing = Map<string, { version: number }>

const idOf = (edit: Edit) => (edit.op === 'put' ? edit.record.id : edit.id)
const versionOf = (edit: Edit) => (edit.op === 'put' ? edit.record.version : edit.version)

/**
 * Carries out a batch of edits, all or none.
 *
 * The build's row is locked first, so batches of one build follow each other. A batch that has been carried
 * out before answers as it did then. A removal of what is already gone is no conflict: both wanted it gone.
 *
 * @throws {Refusal} 404 for an unknown build, 409 with both versions where a record has moved on
 */
export async function carryOut(trx: Knex, owner: Owner, batch: EditBatch): Promise<EditResult> {
  const build = (await trx('builds')
    .where({ id: owner.buildId, workshopId: owner.workshopId })
    .forUpdate()
    .first('lightest')) as { lightest: number | null } | undefined
  if (!build) throw notFound('build')
  const before = await EditBatchRow.query(trx).findById(batch.id)
  if (before) {
    if (before.buildId !== owner.buildId)
      throw new Refusal(409, 'conflict', 'It is there already', 'This batch id was used for another build.')
    return before.result
  }
  refuseTwice(batch.edits)

  const existing: Existing = new Map()
  for (const kind of KINDS) {
    const ids = batch.edits.filter((e) => e.kind === kind).map(idOf)
    if (ids.length === 0) continue
    const mine = kind === 'build' ? { id: owner.buildId } : { buildId: owner.buildId }
    const rows = await readRecords(trx, kind, mine, ids)
    for (const row of rows) existing.set(row.id, row)
  }
  refuseConflicts(batch.edits, existing)
  await refuseFrozen(trx, owner, batch.edits)

  const versions: EditResult['versions'] = []
  for (const kind of KINDS) {
    const edits = batch.edits.filter((e) => e.kind === kind)
    const puts = edits.flatMap((e) => (e.op === 'put' ? [e.record] : []))
    await insertRows(
      trx,
      kind,
      puts.filter((r) => r.version === 0),
      owner,
    )
    for (const record of puts) {
      if (record.version > 0) await updateRow(trx, kind, record)
      versions.push({ kind, id: record.id, version: record.version + 1 })
    }
    const gone = edits.filter((e) => e.op === 'remove').map(idOf)
    if (gone.length > 0)
      await ROW_OF[kind].query(trx).delete().whereIn('id', gone).where({ buildId: owner.buildId })
  }
  const lightest = await lightestAfter(trx, owner, batch.edits, existing, build.lightest)
  await trx('builds')
    .where({ id: owner.buildId })
    .update({ state: trx.raw('gen_random_uuid()'), lightest })
  const result = { id: batch.id, versions }
  const { id, label, author, edits } = batch
  await EditBatchRow.query(trx).insert({
    ...{ id, label, author, edits, formatVersion: FORMAT_VERSION },
    ...owner,
    inverse: inverseOf(batch.edits, existing),
    result,
    // The build's row is locked: nobody else takes the same place.
    sequence: raw('(select coalesce(max(sequence), 0) + 1 from edit_batches where build_id = ?)', [
      owner.buildId,
    ]),
  })
  return result
}

/** The edits that take a batch back, the last first: what was there comes back as it was, what is new goes. */
const inverseOf = (edits: readonly Edit[], existing: Existing): Edit[] =>
  edits
    .flatMap((edit): Edit[] => {
      const before = existing.get(idOf(edit))
      if (before) return [{ op: 'put', kind: edit.kind, record: before } as unknown as Edit]
      if (edit.op === 'remove' || edit.kind === 'build') return []
      return [{ op: 'remove', kind: edit.kind, id: edit.record.id, version: 1 }]
    })
    .reverse()

async function updateRow(trx: Knex, kind: Kind, record: { id: string; version: number }): Promise<void> {
  const { id, version, ...fields } = record
  await ROW_OF[kind]
    .query(trx)
    .patch({ ...fields, ...stampOf(kind), version: version + 1, updatedAt: new Date().toISOString() })
    .where({ id })
}

function refuseTwice(edits: readonly Edit[]): void {
  const seen = new Set<string>()
  for (const edit of edits) {
    const id = idOf(edit)
    if (seen.has(id))
      throw new Refusal(
        422,
        'not-valid',
        'Something doesn’t fit',
        `The batch changes ${edit.kind} ${id} twice.`,
      )
    seen.add(id)
  }
}

/** Builds without a frozen stage, nearly all of them, are not read for this. */
async function refuseFrozen(trx: Knex, owner: Owner, edits: readonly Edit[]): Promise<void> {
  const seal = await ROW_OF.seal.query(trx).select('id').where({ buildId: owner.buildId }).first()
  if (!seal && !edits.some((e) => e.kind === 'seal')) return
  const fault = frozenFault(documentIn(await readBuildText(trx, owner)), edits)
  if (fault) throw new Refusal(422, 'not-valid', 'It is frozen', fault)
}

/**
 * What the car weighs at least after edits, kg, or null where nobody knows.
 *
 * A car weighs something at every stage; one that doesn't already may be mended step by step. While what lines move at
 * most leaves the car some weight, nothing is read for that.
 *
 * @param lightest what it weighed at least before, over all stages
 * @throws {Refusal} 422 where more comes off than there is
 */
async function lightestAfter(
  trx: Knex,
  owner: Owner,
  edits: readonly Edit[],
  existing: Existing,
  lightest: number | null,
): Promise<number | null> {
  const branches = edits.flatMap((e) => (e.op === 'put' && e.kind === 'branch' ? [e.record] : []))
  const weighty = edits.filter((e) => areWeighty([e]))
  if (weighty.length === 0 && branches.length === 0) return lightest
  if (lightest !== null && branches.length === 0 && weighty.every((e) => e.kind === 'line')) {
    const moved = weighty.flatMap((e) => [
      ...(existing.has(idOf(e)) ? [existing.get(idOf(e)) as unknown as Line] : []),
      ...(e.op === 'put' ? [e.record as Line] : []),
    ])
    const left = lightest - linesMove(moved)
    if (left > 0) return left
  }
  const after = documentIn(await readBuildText(trx, owner))
  const tried = branches.flatMap((branch) => {
    const before = existing.get(branch.id) as Branch | undefined
    const was = () => (before ? triedDocument(after, before) : after)
    return newMassFault(was, triedDocument(after, branch)) ?? []
  })
  const fault = tried[0] ?? newMassFault(() => rewind(after, [inverseOf(edits, existing)]), after)
  if (fault)
    throw new Refusal(
      422,
      'not-valid',
      'More comes off than the car weighs',
      `At ${fault.stage} the car would weigh ${Math.round(fault.mass)} kg. Check the mass, its unit, and whether the part comes off or goes on.`,
    )
  return lightestMass(after)
}

const documentIn = (read: BuildText | null) => JSON.parse(read!.text) as BuildDocument

function refuseConflicts(edits: readonly Edit[], existing: Existing): void {
  const conflicts: NonNullable<Problem['conflicts']> = []
  for (const edit of edits) {
    const theirs = existing.get(idOf(edit))
    if (edit.op === 'remove' && !theirs) continue
    if ((theirs?.version ?? 0) !== versionOf(edit)) {
      conflicts.push({
        kind: edit.kind,
        id: idOf(edit),
        yours: edit.op === 'put' ? edit.record : null,
        theirs: theirs ?? null,
      })
    }
  }
  if (conflicts.length > 0) {
    throw new Refusal(
      409,
      'conflict',
      'Changed by somebody else',
      'The record has changed since you saw it. Choose which version stays.',
      { conflicts },
    )
  }
}
