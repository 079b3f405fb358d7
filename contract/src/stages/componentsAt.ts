import type { Component, Stage } from '../records/kinds'

/**
 * The components on the car at a stage: fitted by then, and not replaced by then. In their order.
 *
 * @param stages in order
 * @example componentsAt(document.components, ledger.stages, stage.id)
 */
export function componentsAt(
  components: readonly Component[],
  stages: readonly Pick<Stage, 'id'>[],
  stageId: string,
): Component[] {
  const upTo = new Set(stages.slice(0, stages.findIndex((s) => s.id === stageId) + 1).map((s) => s.id))
  const fitted = components.filter((c) => upTo.has(c.stageId))
  const gone = new Set(fitted.map((c) => c.replaces))
  return fitted.filter((c) => !gone.has(c.id)).sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1))
}
