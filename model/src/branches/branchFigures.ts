import {
  keptEdits,
  readAt,
  triedDocument,
  triedEdits,
  type Branch,
  type BuildDocument,
  type Mark,
} from '@bold-ballast/contract'
import { judgeFigures, known, type Known, type MarkFigures, type MarkReading } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { carAt } from '../car/carAt'
import { foldBuild } from '../ledger/foldBuild'
import type { LedgerIndex } from '../ledger/stageInputs'

/** A branch as it would stand: its build, its ledger, and the car of its stage. */
export interface BranchRead {
  readonly document: BuildDocument
  readonly ledger: LedgerIndex
  readonly car: Car
}

function readDocument(document: BuildDocument, stageId: string): BranchRead | null {
  const { ledger, stages } = foldBuild(document)
  return stages.some((s) => s.id === stageId) ? { document, ledger, car: carAt(document, stageId) } : null
}

/** @returns null where the stage that the branch starts from is gone */
export const readBranch = (
  document: BuildDocument,
  branch: Pick<Branch, 'stageId' | 'stepId' | 'edits'>,
): BranchRead | null => readDocument(triedDocument(document, branch), readAt(branch))

/** The same branch with nothing tried in it yet: what its figures are to be held against. */
export const readUntried = (
  document: BuildDocument,
  branch: Pick<Branch, 'stageId' | 'stepId' | 'edits'>,
): BranchRead | null => {
  const start = readDocument(document, branch.stageId)
  if (!start || branch.stepId === null) return start
  // The step itself, as it was when the branch began: planning what was pulled.
  const plannedWheelPower = start.car.summary.measuredPower?.power.value ?? null
  const steps = triedEdits(branch).flatMap((edit) => {
    if (edit.op !== 'put' || edit.kind !== 'stage') return []
    return edit.record.id === branch.stepId
      ? [{ ...edit, record: { ...edit.record, plannedWheelPower } }]
      : [edit]
  })
  return readDocument(triedDocument(document, { edits: keptEdits(steps) }), readAt(branch))
}

export interface TriedFigure {
  /** What the measure would be. */
  readonly value: Known | null
  /** By how much that differs from the stage it starts from; null where one of them isn't known. */
  readonly change: number | null
}

/**
 * What a measure would become: what is known at the stage that a branch starts from, and what the branch adds to it.
 *
 * So what the scales or a dyno have shown is kept, and a branch in which nothing was tried says exactly what the stage
 * says. Where nothing was shown the branch's own figure stands; where only a part of it was, such as a power that was
 * pulled over a mass by the plan, it is still what the branch starts from.
 *
 * @param start the measure at the stage itself
 * @param untried and tried: the measure by plan, without and with what was tried
 * @example triedFigure(weighed, planBefore, planAfter).change // −12
 */
export function triedFigure(start: MarkFigures, untried: MarkFigures, tried: MarkFigures): TriedFigure {
  const [before, after] = [untried.planned, tried.planned]
  if (!after) return { value: null, change: null }
  if (!before) return { value: after, change: null }
  const change = after.value - before.value
  // What stands by its plan alone is what the branch began from.
  if (!start.value || (!start.evidence && start.value.value === before.value)) return { value: after, change }
  // What is in doubt about both is in doubt once: only what the changes bring of their own comes on top.
  const added = Math.sqrt(Math.abs(after.sigma ** 2 - before.sigma ** 2))
  const grade = change === 0 ? start.value.grade : after.grade
  return { value: known(start.value.value + change, grade, Math.hypot(start.value.sigma, added)), change }
}

/** A mark judged on what was tried. Nothing that was only tried has been shown, but it can be told whether it would do. */
export const judgeTried = ({ value }: TriedFigure, mark: Mark): MarkReading =>
  judgeFigures({ value, planned: value, evidence: true, asItStands: true }, mark)
