import type { Stage } from '@bold-ballast/contract'

/**
 * A stage and all before it.
 *
 * @param stages in order
 * @returns none where the stage isn't among them
 * @example stagesUpTo([{ id: 'a' }, { id: 'b' }, { id: 'c' }], 'b') // [{ id: 'a' }, { id: 'b' }]
 */
export const stagesUpTo = <S extends Pick<Stage, 'id'>>(stages: readonly S[], stageId: string): S[] =>
  stages.slice(0, stages.findIndex((s) => s.id === stageId) + 1)

/**
 * The records of a stage and of all before it.
 *
 * @param stages in order
 * @example soFar([{ stageId: 'a' }, { stageId: 'c' }], [{ id: 'a' }, { id: 'b' }, { id: 'c' }], 'b') // [{ stageId: 'a' }]
 */
export function soFar<T extends { readonly stageId: string }>(
  records: readonly T[],
  stages: readonly Pick<Stage, 'id'>[],
  stageId: string,
): T[] {
  const upTo = new Set(stagesUpTo(stages, stageId).map((s) => s.id))
  return records.filter((record) => upTo.has(record.stageId))
}

/** The same with the newest first, of what has a day. */
export const newestFirst = <T extends { readonly stageId: string; readonly date: string }>(
  records: readonly T[],
  stages: readonly Pick<Stage, 'id'>[],
  stageId: string,
): T[] => soFar(records, stages, stageId).sort((a, b) => b.date.localeCompare(a.date))
