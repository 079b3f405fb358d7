import {
  PARENT,
  PART_KINDS,
  partsOf,
  type BuildDocument,
  type Kind,
  type PartKind,
  type Stored,
} from '../records/kinds'
import { REGISTRY } from '../records/registry'
import { applyEdits } from './applyEdits'
import { changesBetween, type RecordChange } from './changesBetween'
import { drivenFault, isDrivenOn, isSetOtherwise } from './drivenFault'
import type { Edit } from './edit'
import { frozenFault } from './frozen'
import { recordOf } from './inverseOf'
import { mergeFields } from './rebasedEdit'
import { sameRecord } from './sameRecord'

/**
 * Why a change that was made away can't be taken over by itself: both sides changed the record; each side made one of
 * which there can be only one; what it touches has been frozen at home; or it is a set-up sheet that one side drove on
 * and the other set otherwise.
 */
export const MERGE_TROUBLES = ['both', 'twice', 'frozen', 'driven'] as const
export type MergeTrouble = (typeof MERGE_TROUBLES)[number]

/** A record that a person has to choose a version of. */
export interface MergeConflict {
  readonly kind: Kind
  readonly id: string
  readonly why: MergeTrouble
  /** As it was made away; null where it was removed there. */
  readonly mine: Stored<Kind> | null
  /** As it is at home; null where it was removed there. */
  readonly theirs: Stored<Kind> | null
  /** Nothing is to choose: it stays as it is at home. */
  readonly isSettled: boolean
}

/** What bringing a build home does. */
export interface BuildMerge {
  /** What is done at home, based on the versions there. */
  readonly edits: readonly Edit[]
  /** What waits for somebody to choose; nothing of it is done. */
  readonly conflicts: readonly MergeConflict[]
  /** Records that had been removed and stay, since something new hangs from them. */
  readonly kept: readonly { readonly kind: PartKind; readonly id: string }[]
}

export type MergeChoice = 'mine' | 'theirs'

const put = (kind: Kind, record: object, version: number): Edit =>
  ({ op: 'put', kind, record: { ...record, version } }) as Edit

/** What is done at home for a change that was made away, whatever home has; null where that is nothing. */
function editOf({ kind, id, after }: RecordChange, theirs: Stored<Kind> | undefined): Edit | null {
  if (after) return put(kind, after, theirs?.version ?? 0)
  return theirs && kind !== 'build' ? { op: 'remove', kind, id, version: theirs.version } : null
}

/** The record at home that takes the only place there is for one that was made away. */
function rivalOf(base: BuildDocument, theirs: BuildDocument, { kind, before, after }: RecordChange) {
  if (kind === 'build' || before || !after || !REGISTRY[kind].isCarriedOn) return undefined
  const stageId: unknown = Reflect.get(after, 'stageId')
  const rivals: readonly Stored<Kind>[] = partsOf(theirs, kind)
  return rivals.find(
    (record) => Reflect.get(record, 'stageId') === stageId && !recordOf(base, kind, record.id),
  )
}

/**
 * Brings a build home that was taken along: record by record, what only one side changed is taken over, what both
 * changed in different fields is put together, and what both changed otherwise is left to a person.
 *
 * Brought home twice it does nothing the second time, since what is there already is no change. Nothing that was added
 * is lost: what it hangs from stays, though the other side had removed it.
 *
 * @param base the build as it was taken, or as it was when both sides were alike last
 * @param theirs the build at home
 * @param mine the build away
 * @param choices of conflicts that somebody has decided, by the record's id
 */
export function mergeBuilds(
  base: BuildDocument,
  theirs: BuildDocument,
  mine: BuildDocument,
  choices: ReadonlyMap<string, MergeChoice> = new Map(),
): BuildMerge {
  const edits = new Map<string, Edit>()
  const conflicts = new Map<string, MergeConflict>()
  const leave = (
    change: RecordChange,
    why: MergeTrouble,
    other = recordOf(theirs, change.kind, change.id),
  ) => {
    const { kind, id, after } = change
    edits.delete(id)
    const choice = choices.get(id)
    const isSettled = why === 'frozen' || (why === 'driven' && isDrivenOn(theirs, id))
    if (choice === undefined)
      conflicts.set(id, { kind, id, why, mine: after, theirs: other ?? null, isSettled })
    else if (choice === 'mine' && !isSettled) {
      const edit = editOf(change, recordOf(theirs, kind, id))
      if (edit) edits.set(id, edit)
      if (why === 'twice' && other && kind !== 'build')
        edits.set(other.id, { op: 'remove', kind, id: other.id, version: other.version })
    }
  }

  const changes = changesBetween(base, mine)
  for (const change of changes) {
    const { kind, id, before, after } = change
    const now = recordOf(theirs, kind, id)
    if (sameRecord(after ?? null, now ?? null)) continue
    const rival = rivalOf(base, theirs, change)
    if (rival) leave(change, 'twice', rival)
    else if (sameRecord(before ?? null, now ?? null)) {
      const edit = editOf(change, now)
      if (edit) edits.set(id, edit)
    } else {
      const merged = before && after && now ? mergeFields<object>(before, now, after) : null
      if (!merged) leave(change, 'both')
      else if (now && !sameRecord(merged, now)) edits.set(id, put(kind, merged, now.version))
    }
  }

  const kept = keepParents(theirs, mine, edits)
  // What touches a frozen stage waits; what hangs from it may have come with it.
  for (const change of changes) {
    const edit = edits.get(change.id)
    if (!edit) continue
    const after = applyEdits(theirs, [...edits.values()])
    const isFrozen =
      frozenFault(theirs, [edit]) !== null || frozenFault({ ...after, seals: theirs.seals }, [edit]) !== null
    if (isFrozen) leave(change, 'frozen')
  }
  // A sheet that a day at home names stays as it was driven, and one that was driven on away was not driven as it is here.
  for (const change of changes) {
    const edit = edits.get(change.id)
    const besides = [...edits.values()].filter((e) => e.kind !== 'setup')
    if (edit && change.kind === 'setup' && drivenFault(theirs, [...besides, edit])) leave(change, 'driven')
  }
  const after = applyEdits(theirs, [...edits.values()])
  for (const sheet of mine.setups) {
    const { id } = sheet
    if (conflicts.has(id) || !isDrivenOn(mine, id) || isDrivenOn(theirs, id)) continue
    const here = recordOf(after, 'setup', id)
    if (!here && isDrivenOn(after, id)) {
      // The day hangs from it: whoever removed it did not know that.
      edits.set(id, put('setup', sheet, 0))
      kept.push({ kind: 'setup', id })
    } else if (here && isSetOtherwise(here, sheet))
      leave({ kind: 'setup', id, before: recordOf(base, 'setup', id) ?? null, after: sheet }, 'driven')
  }
  kept.push(...keepParents(theirs, mine, edits))
  return { edits: inOrder([...edits.values()]), conflicts: [...conflicts.values()], kept }
}

/** Sees to it that everything hangs from something: whoever removed that did not know of what hangs from it now. */
function keepParents(
  theirs: BuildDocument,
  mine: BuildDocument,
  edits: Map<string, Edit>,
): { kind: PartKind; id: string }[] {
  const kept: { kind: PartKind; id: string }[] = []
  for (;;) {
    const after = applyEdits(theirs, [...edits.values()])
    const missing = firstMissing(after)
    if (!missing) return kept
    const { kind, id, child } = missing
    const removal = edits.get(id)
    const away = recordOf(mine, kind, id)
    if (removal?.op === 'remove') {
      edits.delete(id)
      kept.push({ kind, id })
    } else if (away) {
      edits.set(id, put(kind, away, 0))
      kept.push({ kind, id })
    } else edits.delete(child)
  }
}

/** A record that something hangs from and that isn't there; null where all are. */
function firstMissing(document: BuildDocument): { kind: PartKind; id: string; child: string } | null {
  for (const kind of PART_KINDS) {
    const parent = PARENT[kind]
    if (!parent) continue
    const there = new Set(partsOf(document, parent.kind).map(({ id }) => id))
    for (const record of partsOf(document, kind)) {
      const id = String(Reflect.get(record, parent.field))
      if (!there.has(id)) return { kind: parent.kind, id, child: record.id }
    }
  }
  return null
}

/** What is put before what goes, and what something hangs from before that: as edits are read, and as they are listed. */
function inOrder(edits: readonly Edit[]): Edit[] {
  const place = (edit: Edit) => (edit.kind === 'build' ? -1 : PART_KINDS.indexOf(edit.kind))
  const puts = edits.filter((e) => e.op === 'put').sort((a, b) => place(a) - place(b))
  const removals = edits.filter((e) => e.op === 'remove').sort((a, b) => place(b) - place(a))
  return [...puts, ...removals]
}
