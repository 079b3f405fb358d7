import type { Sizing, Stage } from '../records/kinds'

/**
 * The sizing that holds at a stage: its own, or the newest before it.
 *
 * @param stages in order
 * @returns `null` when nobody has sized anything so far
 */
export function sizingAt(
  sizings: readonly Sizing[],
  stages: readonly Pick<Stage, 'id'>[],
  stageId: string,
): Sizing | null {
  const upTo = stages.slice(0, stages.findIndex((s) => s.id === stageId) + 1)
  for (const stage of upTo.reverse()) {
    const found = sizings.find((s) => s.stageId === stage.id)
    if (found) return found
  }
  return null
}
