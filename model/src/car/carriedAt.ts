import type { Stage } from '@bold-ballast/contract'
import { stagesUpTo } from './stagesUpTo'

/**
 * The record that holds at a stage, of a kind that a stage has one of and that is carried on: its own, or the
 * newest before it.
 *
 * @param stages in order
 * @returns `null` when there is none so far
 * @example carriedAt(document.drivetrains, ledger.stages, stage.id)
 */
export function carriedAt<T extends { readonly stageId: string }>(
  records: readonly T[],
  stages: readonly Pick<Stage, 'id'>[],
  stageId: string,
): T | null {
  for (const stage of stagesUpTo(stages, stageId).reverse()) {
    const found = records.find((r) => r.stageId === stage.id)
    if (found) return found
  }
  return null
}
