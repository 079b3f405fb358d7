import {
  recordIdOf,
  type Edit,
  type HistoryDetail,
  type Kind,
  type RecordChange,
  type Stored,
} from '@bold-ballast/contract'

const recordIn = (edit: Edit | undefined): Stored<Kind> | null => (edit?.op === 'put' ? edit.record : null)

/** A batch with what takes it back, as records before and after it. */
export const changesOf = ({ edits, inverse }: Pick<HistoryDetail, 'edits' | 'inverse'>): RecordChange[] =>
  edits.map((edit) => ({
    kind: edit.kind,
    id: recordIdOf(edit),
    after: recordIn(edit),
    before: recordIn(inverse.find((i) => i.kind === edit.kind && recordIdOf(i) === recordIdOf(edit))),
  }))
