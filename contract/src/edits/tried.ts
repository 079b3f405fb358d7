import { PARENT, PART_KINDS, type Branch, type BuildDocument, type PartKind } from '../records/kinds'
import { applyEdits } from './applyEdits'
import { recordIdOf, triedEdits, type Edit } from './edit'
import { recordOf } from './inverseOf'
import { sameRecord } from './sameRecord'

/** What an edit's record hangs from, as far as it hangs from anything. */
const parentOf = (edit: Edit): { kind: PartKind; id: string } | null => {
  if (edit.op !== 'put' || edit.kind === 'build') return null
  const parent = PARENT[edit.kind]
  return parent && { kind: parent.kind, id: String(Reflect.get(edit.record, parent.field)) }
}

/** Parts with what they hang from before them: a new stage, then its swap, then the swap's line. */
const rank = (edit: Edit) => (edit.kind === 'build' ? -1 : PART_KINDS.indexOf(edit.kind))

/**
 * What has been tried with more of it tried: one edit a record, the last one, and none that leaves things as they are.
 *
 * @param document the build itself, without what is tried
 * @example afterTrying(document, triedEdits(branch), [put])
 */
export function afterTrying(
  document: BuildDocument,
  before: readonly Edit[],
  more: readonly Edit[],
): readonly Edit[] {
  const last = new Map<string, Edit>(
    [...before, ...more].map((edit) => [`${edit.kind} ${recordIdOf(edit)}`, edit]),
  )
  return [...last.values()]
    .filter((edit) => {
      const now = recordOf(document, edit.kind, recordIdOf(edit))
      return edit.op === 'put' ? !now || !sameRecord(now, edit.record) : now !== undefined
    })
    .sort((a, b) => rank(a) - rank(b))
}

/** The edits of a branch that still have a place in the build, and those whose place is gone. */
function placed(document: BuildDocument, branch: Pick<Branch, 'edits'>): { fit: Edit[]; lost: Edit[] } {
  const removed = new Set<string>()
  const added = new Set<string>()
  const [fit, lost]: [Edit[], Edit[]] = [[], []]
  for (const edit of triedEdits(branch)) {
    if (edit.op === 'remove') {
      if (recordOf(document, edit.kind, edit.id)) fit.push(edit)
      removed.add(edit.id)
      continue
    }
    const parent = parentOf(edit)
    const hangs =
      !parent ||
      (!removed.has(parent.id) && (added.has(parent.id) || recordOf(document, parent.kind, parent.id)))
    ;(hangs ? fit : lost).push(edit)
    if (hangs) added.add(edit.record.id)
  }
  return { fit, lost }
}

/**
 * A build as a branch would have it. The build itself goes on beneath: what was changed there since shows here too,
 * record by record, except where the branch has a record of its own.
 */
export const triedDocument = (document: BuildDocument, branch: Pick<Branch, 'edits'>): BuildDocument =>
  applyEdits(document, placed(document, branch).fit)

export interface Adoption {
  /** To be carried out on the build as it is now. */
  readonly edits: readonly Edit[]
  /** What hung from something that is gone. */
  readonly lost: readonly Edit[]
}

/**
 * What takes a branch over into its build as that is now: edits with the versions of today, that change something.
 *
 * @example adoption(document, branch).edits
 */
export function adoption(document: BuildDocument, branch: Pick<Branch, 'edits'>): Adoption {
  const { fit, lost } = placed(document, branch)
  const edits = afterTrying(document, [], fit).map((edit): Edit => {
    const version = recordOf(document, edit.kind, recordIdOf(edit))?.version ?? 0
    return edit.op === 'put'
      ? ({ ...edit, record: { ...edit.record, version } } as Edit)
      : { ...edit, version }
  })
  return { edits, lost }
}

/** The stage at which what was tried is to be read: its own step, or the stage that it changes. */
export const readAt = (branch: Pick<Branch, 'stageId' | 'stepId'>): string => branch.stepId ?? branch.stageId

/** The branches of a document that can still be taken over, in their order. */
export const openBranches = (document: Pick<BuildDocument, 'branches'>): Branch[] =>
  document.branches.filter((b) => b.adoptedAt === null).sort((a, b) => a.order - b.order)
