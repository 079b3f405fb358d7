import type { Edit, HistoryDetail, Kind, RecordChange, Stored } from '@bold-ballast/contract'

const idOf = (edit: Edit) => (edit.op === 'put' ? edit.record.id : edit.id)
const recordIn = (edit: Edit | undefined): Stored<Kind> | null => (edit?.op === 'put' ? edit.record : null)

/** A batch with what takes it back, as records before and after it. */
export const changesOf = ({ edits, inverse }: HistoryDetail): RecordChange[] =>
  edits.map((edit) => ({
    kind: edit.kind,
    id: idOf(edit),
    after: recordIn(edit),
    before: recordIn(inverse.find((i) => i.kind === edit.kind && idOf(i) === idOf(edit))),
  }))
