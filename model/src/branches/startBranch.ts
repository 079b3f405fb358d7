import type { Known } from '@bold-ballast/core'
import {
  keptEdits,
  nextOrder,
  sealOf,
  stageNamed,
  withoutVersion,
  type Branch,
  type BuildDocument,
  type Edit,
  type Stage,
} from '@bold-ballast/contract'

/** What a stage has to say of itself: whether it is still only a plan. */
interface Reached {
  readonly massFrom: 'scales' | 'books' | 'plan'
  readonly measuredPower: { readonly power: Known } | null
}

/** A stage that was weighed, pulled or frozen is what it is: what is tried there is a step after it. */
export const isStillPlan = (
  document: Pick<BuildDocument, 'seals'>,
  stageId: string,
  { massFrom, measuredPower }: Reached,
): boolean => massFrom === 'plan' && measuredPower === null && sealOf(document, stageId) === null

/**
 * A branch that changes nothing yet: from a stage that is still a plan it changes that stage; from any other it is a
 * step of its own after it.
 *
 * @param stages in order
 * @param newId makes an id; handed in, because nothing here reads a random source
 */
export function startBranch(
  document: Pick<BuildDocument, 'seals' | 'branches'>,
  stages: readonly Stage[],
  from: { readonly stageId: string; readonly name: string; readonly reached: Reached },
  newId: () => string,
): Omit<Branch, 'version'> {
  const { stageId, name, reached } = from
  const start = {
    id: newId(),
    stageId,
    name,
    adoptedAt: null,
    note: '',
    order: nextOrder(document.branches),
  }
  if (isStillPlan(document, stageId, reached)) return { ...start, stepId: null, edits: [] }
  const at = stages.findIndex((s) => s.id === stageId)
  const stepId = newId()
  const step: Edit = {
    op: 'put',
    kind: 'stage',
    // A step after a stage that was pulled plans what was pulled.
    record: {
      ...stageNamed(name, at + 1, stepId, 'claim'),
      plannedWheelPower: reached.measuredPower?.power.value ?? null,
      version: 0,
    },
  }
  const moved = stages.flatMap((stage, i): Edit[] => {
    const order = i > at ? i + 1 : i
    return stage.order === order
      ? []
      : // Versions are put in when it is taken over.
        [{ op: 'put', kind: 'stage', record: { ...withoutVersion(stage), order, version: 0 } }]
  })
  return { ...start, stepId, edits: keptEdits([step, ...moved]) }
}
