import type { Stage } from '@bold-ballast/contract'
import { stagesUpTo } from './stagesUpTo'

/** Something that is on the car from a stage on, until another takes its place or it comes off. */
interface Fitted {
  readonly id: string
  readonly stageId: string
  readonly order: number
  readonly replaces: string | null
  readonly offStageId?: string | null
}

/**
 * What is on the car at a stage: fitted by then, not replaced by then, not taken off by then. In its order.
 *
 * @param stages in order
 * @example fittedAt(document.components, ledger.stages, stage.id)
 */
export function fittedAt<T extends Fitted>(
  all: readonly T[],
  stages: readonly Pick<Stage, 'id'>[],
  stageId: string,
): T[] {
  const upTo = new Set(stagesUpTo(stages, stageId).map((s) => s.id))
  const fitted = all.filter((one) => upTo.has(one.stageId))
  const gone = new Set(fitted.map((one) => one.replaces))
  return fitted
    .filter((one) => !gone.has(one.id) && !(one.offStageId && upTo.has(one.offStageId)))
    .sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1))
}
