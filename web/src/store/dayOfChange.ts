import type { BuildDocument, Edit } from '@bold-ballast/contract'

/**
 * The same edit; where it says that a part has come off or gone on, the day that it was said on stays with the line, so
 * that a weighing before that day is compared with the car as it was then. A part that is open again has no day.
 *
 * What is added to the ledger as done gets none: it is mostly written down long after it was done.
 */
export function dayOfChange(view: Pick<BuildDocument, 'lines'>, edit: Edit, today: string): Edit {
  if (edit.op !== 'put' || edit.kind !== 'line') return edit
  const { record } = edit
  const before = view.lines.find((l) => l.id === record.id)
  if (!before || before.fitted === record.fitted || before.changedOn !== record.changedOn) return edit
  return { ...edit, record: { ...record, changedOn: record.fitted ? today : null } }
}
