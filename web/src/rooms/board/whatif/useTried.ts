import {
  afterTrying,
  readAt,
  triedEdits,
  type Branch,
  type BuildDocument,
  keptEdits,
} from '@bold-ballast/contract'
import {
  markFigures,
  readBranch,
  readUntried,
  triedFigure,
  whatIfEdits,
  type Asked,
  type BranchRead,
  type TriedFigure,
  type Tweak,
} from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'

export interface Tried {
  readonly branch: Branch
  readonly read: BranchRead
  readonly figure: (asked: Asked) => TriedFigure
}

interface Kept {
  readonly own: BuildDocument
  readonly tried: Tried | null
}
/** Once for each state of a branch: turning one leaves the others as they are. */
const kept = new WeakMap<Branch, Kept>()

function triedOf(own: BuildDocument, branch: Branch): Tried | null {
  const before = kept.get(branch)
  if (before?.own === own) return before.tried
  const read = readBranch(own, branch)
  const untried = readUntried(own, branch)
  const start = readBranch(own, { ...branch, stepId: null, edits: [] })
  const tried =
    read && untried && start
      ? {
          branch,
          read,
          figure: (asked: Asked) =>
            triedFigure(
              markFigures(start.car, asked),
              markFigures(untried.car, asked),
              markFigures(read.car, asked),
            ),
        }
      : null
  kept.set(branch, { own, tried })
  return tried
}

/** A branch with one more thing turned in it. */
export function withTweak(own: BuildDocument, branch: Branch, tweak: Tweak): Branch {
  const read = readBranch(own, branch)
  if (!read) return branch
  const more = whatIfEdits(read.document, read.ledger.stages, readAt(branch), tweak, () =>
    crypto.randomUUID(),
  )
  return { ...branch, edits: keptEdits(afterTrying(own, triedEdits(branch), more)) }
}

/** Branches as they would stand. */
export function useTried(branches: readonly Branch[]): readonly Tried[] {
  const { own } = useBuild()
  return useMemo(() => branches.flatMap((branch) => triedOf(own, branch) ?? []), [own, branches])
}
