import type { BuildDocument, Edit, Line } from '@bold-ballast/contract'

const isSaid = (line: Pick<Line, 'grade'>): line is Pick<Line, 'grade'> & { grade: 'guess' | 'claim' } =>
  line.grade === 'guess' || line.grade === 'claim'

/**
 * The same edit; where it puts a part's weighing in place of a guess or a claim, what was said stays with the line, so
 * that it can be told later how far off it was.
 */
export function keptSaid(view: Pick<BuildDocument, 'lines'>, edit: Edit): Edit {
  if (edit.op !== 'put' || edit.kind !== 'line') return edit
  const { record } = edit
  const before = view.lines.find((l) => l.id === record.id)
  if (!before || !isSaid(before) || isSaid(record) || record.said !== null || before.mass <= 0) return edit
  const said = { mass: before.mass, grade: before.grade, source: before.source }
  // What the scale says now is nobody's word any more.
  return {
    ...edit,
    record: { ...record, said, source: record.source === before.source ? '' : record.source },
  }
}
