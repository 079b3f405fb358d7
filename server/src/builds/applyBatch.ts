import {
  applyEdits,
  editsFault,
  may,
  recordWithoutMoney,
  withMoneyOf,
  COLLECTION,
  PART_KINDS,
  triedDocument,
  eachCollection,
  PARENT,
  recordIdOf,
  drivenFault,
  frozenFault,
  setOtherwise,
  type Branch,
  type BuildDocument,
  type Edit,
  type EditBatch,
  type EditResult,
  type Line,
  type PartKind,
  type Kind,
  type Problem,
  type Seal,
  type Stored,
  type FrozenPart,
  type Outing,
  type Run,
  type Setup,
} from '@bold-ballast/contract'
import { areWeighty, lightestMass, linesMove, newMassFault } from '@bold-ballast/model'
import { columnOf } from '../database/columnOf'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { setTimeout } from 'node:timers/promises'
import { notFound, Refusal } from '../http/Refusal'
import type { Hand } from '../access/Caller'
import { addedBy, findBefore, writeBatch, type Before, type Existing, type Owner } from './batchStatements'
import { readBuildText } from './readBuildText'
import { signSeals } from './signSeals'

const versionOf = (edit: Edit) => (edit.op === 'put' ? edit.record.version : edit.version)

/** How often a batch is looked at anew because its build has changed under it. */
const TRIES = 40
const LONGEST_WAIT_MS = 20

/**
 * Carries out a batch of edits, all or none.
 *
 * What the batch is about is looked at, then everything is written by one statement, if the build is still in the same
 * state; if it isn't, all is looked at again. A batch that has been carried out before answers as it did then. A removal
 * of what is already gone is no conflict: both wanted it gone.
 *
 * @throws {Refusal} 404 for an unknown build, 409 with both versions where a record has moved on
 */
export async function applyBatch(
  trx: Knex,
  owner: Owner,
  given: EditBatch,
  by: Hand = AT_MACHINE,
): Promise<EditResult> {
  // Who did it is known by the session, where there is one.
  const batch = by.person ? { ...given, author: by.person.name } : given
  refuseTwice(batch.edits)
  refuseOtherBuild(owner, batch.edits)
  for (let i = 0; i < TRIES; i += 1) {
    const result = await attempt(trx, owner, batch, by).catch((error: unknown) => {
      if (error instanceof MovedOn) return null
      throw error
    })
    if (result) return result
    await setTimeout(Math.random() * LONGEST_WAIT_MS)
  }
  throw new Refusal(
    503,
    'too-many',
    'One after the other',
    'Many change this build at this moment. It is tried again shortly.',
  )
}

/** Whoever sits at the machine of an installation without accounts. */
const AT_MACHINE: Hand = { person: null, role: 'owner' }

/** @returns null where the build has changed meanwhile */
async function attempt(trx: Knex, owner: Owner, batch: EditBatch, by: Hand): Promise<EditResult | null> {
  const before = await findBefore(trx, owner, batch)
  if (!before) throw notFound('build')
  if (before.done) {
    if (before.done.buildId !== owner.buildId)
      throw new Refusal(409, 'conflict', 'It is there already', 'This batch id was used for another build.')
    return before.done.result
  }
  await refuseBeyond(trx, owner, batch.edits, before.existing, by)
  refuseConflicts(batch.edits, before.existing, by)
  const typed = byHand(batch.edits, before.existing, by)
  const whole = wholeOnce(trx, owner, before.state)
  const frozen = await frozenIn(trx, owner, typed, before, whole)
  if (frozen) throw new Refusal(422, 'not-valid', 'It is frozen', frozen)
  const driven = await drivenIn(trx, owner, typed, before.existing)
  if (driven) throw new Refusal(422, 'not-valid', 'It was driven on', driven)
  const edits = await signSeals(typed, whole, may(by.role, 'money'))
  const lightest = await lightestAfter(edits, before, whole)
  const versions = edits.flatMap((e) =>
    e.op === 'put' ? [{ kind: e.kind, id: e.record.id, version: e.record.version + 1 }] : [],
  )
  const result = { id: batch.id, versions }
  const kept = { ...batch, edits: [...edits], inverse: inverseOf(edits, before.existing), result }
  return (await writeBatch(trx, owner, before.state, kept, lightest, by.person?.id ?? null)) ? result : null
}

/** @throws {Refusal} 403 where somebody may not do what the edits do */
async function refuseBeyond(
  trx: Knex,
  owner: Owner,
  edits: readonly Edit[],
  existing: Existing,
  { person, role }: Hand,
): Promise<void> {
  if (may(role, 'plan')) return
  const untouched = edits.flatMap((e) =>
    e.op === 'remove' && existing.get(e.id)?.version === 1 ? [e.id] : [],
  )
  const own = new Set(person ? await addedBy(trx, owner, person.id, untouched) : [])
  const gone = (edit: Edit) => !existing.has(recordIdOf(edit))
  const fault = editsFault(role, edits, (edit) => gone(edit) || own.has(recordIdOf(edit)))
  if (fault) throw new Refusal(403, 'not-allowed', 'Not yours to do', fault)
}

/** Edits as they are written for whoever does them: what they don't see stays, and what they sign has their name. */
const byHand = (edits: readonly Edit[], existing: Existing, { person, role }: Hand): readonly Edit[] => {
  if (!person) return edits
  const seesMoney = may(role, 'money')
  return edits.map((edit): Edit => {
    if (edit.op === 'remove') return edit
    const before = existing.get(edit.record.id)
    if (edit.kind === 'seal')
      return { ...edit, record: signedBy(edit.record, before as Seal | undefined, person.name) }
    return seesMoney
      ? edit
      : ({ ...edit, record: withMoneyOf(edit.kind, edit.record, before as never) } as Edit)
  })
}

/** A seal carries the name of whoever signs it, and of whoever opens it again. */
function signedBy(seal: Seal, before: Seal | undefined, name: string): Seal {
  const author = before?.author ?? name
  const isOpened = seal.reopened !== null && !before?.reopened
  const reopened = isOpened && seal.reopened ? { ...seal.reopened, author: name } : seal.reopened
  return { ...seal, author, reopened }
}

/** A record of a kind as somebody sees it. */
const shownTo = (by: Hand, kind: Kind, record: Stored<Kind>): unknown =>
  may(by.role, 'money') ? record : recordWithoutMoney(kind, record)

/** The build has changed since it was looked at. */
class MovedOn extends Error {}

type Whole = () => Promise<BuildDocument>

/** The whole build, read at most once, and only where it is asked for. */
function wholeOnce(trx: Knex, owner: Owner, state: string): Whole {
  let reading: Promise<BuildDocument> | null = null
  const read = async () => {
    const found = await readBuildText(trx, owner)
    if (found?.state !== state) throw new MovedOn()
    return JSON.parse(found.text) as BuildDocument
  }
  return () => (reading ??= read())
}

/** The edits that take a batch back, the last first: what was there comes back as it was, what is new goes. */
const inverseOf = (edits: readonly Edit[], existing: Existing): Edit[] =>
  edits
    .flatMap((edit): Edit[] => {
      const before = existing.get(recordIdOf(edit))
      if (before) return [{ op: 'put', kind: edit.kind, record: before } as Edit]
      if (edit.op === 'remove' || edit.kind === 'build') return []
      return [{ op: 'remove', kind: edit.kind, id: edit.record.id, version: 1 }]
    })
    .reverse()

function refuseTwice(edits: readonly Edit[]): void {
  const seen = new Set<string>()
  for (const edit of edits) {
    const id = recordIdOf(edit)
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

function refuseOtherBuild({ buildId }: Owner, edits: readonly Edit[]): void {
  if (edits.some((e) => e.kind === 'build' && recordIdOf(e) !== buildId))
    throw new Refusal(422, 'not-valid', 'Something doesn’t fit', 'The batch changes another build.')
}

/** Words where edits would set a sheet otherwise that a day was driven on. */
async function drivenIn(
  trx: Knex,
  { buildId }: Owner,
  edits: readonly Edit[],
  existing: Existing,
): Promise<string | null> {
  const changed = edits.flatMap((e) => (e.kind === 'setup' ? (existing.get(recordIdOf(e)) ?? []) : []))
  const otherwise = setOtherwise(changed as readonly Setup[], edits)
  if (otherwise.length === 0) return null
  const sheets = otherwise.map((sheet) => sheet.id)
  const runs = (await trx('runs')
    .where({ buildId })
    .whereIn('setupId', sheets)
    .select('id', 'outingId', 'planned', 'setupId')) as Run[]
  const outings = (await trx('outings')
    .where({ buildId })
    .andWhere((of) =>
      of.whereIn('setupId', sheets).orWhereIn(
        'id',
        runs.map((run) => run.outingId),
      ),
    )
    .select('id', 'name', 'setupId')) as Outing[]
  return drivenFault({ setups: otherwise, outings, runs }, edits)
}

/** Words where a record is frozen; null where it may be changed, or isn't there. */
export async function frozenFor(trx: Knex, owner: Owner, kind: PartKind, id: string): Promise<string | null> {
  const looked: Edit = { op: 'remove', kind, id, version: 0 }
  const before = await findBefore(trx, owner, { id: randomUUID(), edits: [looked] })
  const record = before?.existing.get(id)
  if (!before || !record) return null
  const asItIs = { op: 'put', kind, record } as Edit
  return frozenIn(trx, owner, [asItIs], before, wholeOnce(trx, owner, before.state))
}

/** Words where edits touch what is frozen. Only what they are about is read for this, unless something is signed. */
async function frozenIn(
  trx: Knex,
  owner: Owner,
  edits: readonly Edit[],
  { frozen, existing }: Before,
  whole: Whole,
): Promise<string | null> {
  const seals = edits.flatMap((e) => (e.kind === 'seal' ? [existing.get(recordIdOf(e)) ?? null] : []))
  // What is signed anew may be signed twice: only the whole build tells.
  if (seals.includes(null)) return frozenFault(await whole(), edits)
  if (frozen.length === 0 && seals.length === 0) return null
  const before = (kind: PartKind): object[] =>
    edits.flatMap((e) => (e.kind === kind ? (existing.get(recordIdOf(e)) ?? []) : []))
  /** Records of a kind that those of another hang from, before and after. */
  const parents = async (table: string, kind: PartKind, field: string) => {
    const puts = edits.flatMap((e) => (e.kind === kind && e.op === 'put' ? [e.record] : []))
    const ids = [...puts, ...before(kind)].map((r) => String(Reflect.get(r, field)))
    if (ids.length === 0) return []
    return trx(table).where({ buildId: owner.buildId }).whereIn('id', ids).select('id', 'stageId')
  }
  // What doesn't hang from a stage itself hangs from something that does.
  const part: Record<string, object[]> = eachCollection(before)
  for (const kind of PART_KINDS) {
    const parent = PARENT[kind]
    if (parent && parent.kind !== 'stage')
      part[COLLECTION[parent.kind]]?.push(
        ...(await parents(columnOf(COLLECTION[parent.kind]), kind, parent.field)),
      )
  }
  part[COLLECTION.stage] = [...frozen]
  const held = frozen.map(({ id }): object => ({ id, stageId: id, reopened: null }))
  part[COLLECTION.seal] = [...held, ...seals.flatMap((seal) => seal ?? [])]
  const document: Record<string, object> = part
  return frozenFault(document as FrozenPart, edits)
}

/**
 * What the car weighs at least after edits, kg, or null where nobody knows.
 *
 * A car weighs something at every stage; one that doesn't already may be mended step by step. While what lines move at
 * most leaves the car some weight, nothing is read for that.
 *
 * @throws {Refusal} 422 where more comes off than there is
 */
async function lightestAfter(
  edits: readonly Edit[],
  { lightest, existing }: Before,
  whole: Whole,
): Promise<number | null> {
  const branches = edits.flatMap((e) => (e.op === 'put' && e.kind === 'branch' ? [e.record] : []))
  const weighty = edits.filter((e) => areWeighty([e]))
  if (weighty.length === 0 && branches.length === 0) return lightest
  if (lightest !== null && branches.length === 0 && weighty.every((e) => e.kind === 'line')) {
    const moved = weighty.flatMap((e) => [
      ...(existing.has(recordIdOf(e)) ? [existing.get(recordIdOf(e)) as Line] : []),
      ...(e.op === 'put' ? [e.record as Line] : []),
    ])
    const left = lightest - linesMove(moved)
    if (left > 0) return left
  }
  const before = await whole()
  const after = applyEdits(before, edits)
  const tried = branches.flatMap((branch) => {
    const was = existing.get(branch.id) as Branch | undefined
    return newMassFault(() => (was ? triedDocument(after, was) : after), triedDocument(after, branch)) ?? []
  })
  const least = lightestMass(after)
  const fault = tried[0] ?? (least !== null && least > 0 ? null : newMassFault(() => before, after))
  if (fault)
    throw new Refusal(
      422,
      'not-valid',
      'More comes off than the car weighs',
      `At ${fault.stage} the car would weigh ${Math.round(fault.mass)} kg. Check the mass, its unit, and whether the part comes off or goes on.`,
    )
  return least
}

function refuseConflicts(edits: readonly Edit[], existing: Existing, by: Hand): void {
  const conflicts: NonNullable<Problem['conflicts']> = []
  for (const edit of edits) {
    const theirs = existing.get(recordIdOf(edit))
    if (edit.op === 'remove' && !theirs) continue
    if ((theirs?.version ?? 0) !== versionOf(edit)) {
      conflicts.push({
        kind: edit.kind,
        id: recordIdOf(edit),
        yours: edit.op === 'put' ? edit.record : null,
        theirs: theirs ? shownTo(by, edit.kind, theirs) : null,
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
