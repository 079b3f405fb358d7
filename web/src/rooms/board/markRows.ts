import type { Mark, Stage } from '@bold-ballast/contract'
import { MEASURES, itemAt } from '@bold-ballast/core'

export interface MarkRowOfBoard {
  readonly key: string
  /** Set on one thing, for one stage or more. */
  readonly marks: readonly Mark[]
}

const keyOf = ({ measure, conditionId, gear, place, speed }: Mark) =>
  [measure, conditionId ?? '', gear ?? '', place, speed?.toFixed(3) ?? ''].join('|')

/** Marks on the same thing as one row, in the order in which measures are shown. */
export function markRows(marks: readonly Mark[], stages: readonly Pick<Stage, 'id'>[]): MarkRowOfBoard[] {
  const ids = new Set(stages.map((s) => s.id))
  const rows = new Map<string, Mark[]>()
  for (const mark of marks) {
    if (!ids.has(mark.stageId)) continue
    const key = keyOf(mark)
    rows.set(key, [...(rows.get(key) ?? []), mark])
  }
  return [...rows]
    .map(([key, own]) => ({ key, marks: own }))
    .sort(
      (a, b) =>
        MEASURES.indexOf(itemAt(a.marks, 0).measure) - MEASURES.indexOf(itemAt(b.marks, 0).measure) ||
        a.key.localeCompare(b.key),
    )
}

/** The mark that counts at a stage: its own, else the next one it is on its way to, else the last that was. */
export function targetAt(marks: readonly Mark[], stages: readonly Pick<Stage, 'id'>[], at: number): Mark {
  const placed = marks
    .map((mark) => ({ mark, at: stages.findIndex((s) => s.id === mark.stageId) }))
    .sort((a, b) => a.at - b.at)
  return (placed.find((m) => m.at >= at) ?? itemAt(placed, -1)).mark
}
