import type { Setup, Stage } from '@bold-ballast/contract'
import { stagesUpTo } from './stagesUpTo'

/**
 * The set-up sheet that a car stands on at a stage: the newest of that stage, or of the nearest stage before it that has
 * any. A sheet is carried on until another is written.
 *
 * @param stages in order
 * @returns `null` while nobody has written one
 * @example setupAt(document.setups, ledger.stages, stage.id)?.order
 */
export function setupAt(
  setups: readonly Setup[],
  stages: readonly Pick<Stage, 'id'>[],
  stageId: string,
): Setup | null {
  if (setups.length === 0) return null
  for (const stage of stagesUpTo(stages, stageId).reverse()) {
    const own = setups.filter((s) => s.stageId === stage.id)
    if (own.length > 0) return own.reduce((a, b) => (b.order > a.order ? b : a))
  }
  return null
}
