import { KIND_WORDS, recordIdOf, recordOf, type BuildDocument, type EditBatch } from '@bold-ballast/contract'
import { differingFields, recordName, type Wording } from '@bold-ballast/words'

/** What was typed, as what it is called and what it says. */
export type RefusedFigure = readonly [what: string, said: string]

/**
 * The figures of a batch that was not taken, so that they can be read, and typed elsewhere: of a record that is there what
 * it would have changed, of a new one all that was said.
 *
 * @param saved the build as it is; null where nobody knows it here
 */
export function refusedFigures(
  { edits }: Pick<EditBatch, 'edits'>,
  saved: BuildDocument | null,
  wording: Wording,
): RefusedFigure[] {
  return edits.flatMap((edit): RefusedFigure[] => {
    const before = saved && recordOf(saved, edit.kind, recordIdOf(edit))
    const name = recordName(edit.kind, edit.op === 'put' ? edit.record : (before ?? {}), wording)
    const whose = edits.length > 1 && name ? `${name}: ` : ''
    if (edit.op === 'remove') return [[`${whose}${KIND_WORDS[edit.kind]}`, 'to be removed']]
    return differingFields(edit.kind, before ?? {}, edit.record, wording).flatMap(
      ({ label, before: was, after }) =>
        after === '' || after === was ? [] : [[`${whose}${label}`, after] as const],
    )
  })
}
