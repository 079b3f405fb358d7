import type { BuildDocument, Setup } from '../records/kinds'
import { recordIdOf, type Edit } from './edit'
import { sameRecord } from './sameRecord'

/** What may still be said of a sheet that was driven on: nothing that was set. */
const SAID: ReadonlySet<string> = new Set(['name', 'course', 'weather', 'note', 'version'])

const whatWasSet = (sheet: object) =>
  Object.fromEntries(Object.entries(sheet).filter(([field]) => !SAID.has(field)))

/** Whether a sheet stands otherwise than it did, in anything that was set. */
export const isSetOtherwise = (before: object, after: object): boolean =>
  !sameRecord(whatWasSet(before), whatWasSet(after))

/** Whether a day names a sheet. */
export const isDrivenOn = ({ outings }: Pick<BuildDocument, 'outings'>, setupId: string): boolean =>
  outings.some((day) => day.setupId === setupId)

/** The sheets that edits would set otherwise, or take away by themselves. */
export const setOtherwise = (setups: readonly Setup[], edits: readonly Edit[]): Setup[] => {
  const stagesGone = new Set(edits.flatMap((e) => (e.kind === 'stage' && e.op === 'remove' ? [e.id] : [])))
  return edits.flatMap((edit) => {
    const before = edit.kind === 'setup' ? setups.find((s) => s.id === recordIdOf(edit)) : undefined
    if (!before) return []
    if (edit.op === 'remove') return stagesGone.has(before.stageId) ? [] : [before]
    return isSetOtherwise(before, edit.record) ? [before] : []
  })
}

/** Words for a sheet that is never overwritten. */
const drivenWords = ({ order }: Pick<Setup, 'order'>, day: { readonly name: string }): string =>
  `Set-up sheet ${order} was driven on at ${day.name}: it stays as it was. Write the next sheet instead.`

/**
 * What is wrong with edits where set-up sheets were driven on: a sheet that a day names is never set otherwise.
 *
 * @returns words for the person, or null
 * @example drivenFault(document, edits) // 'Set-up sheet 3 was driven on at …'
 */
export function drivenFault(
  document: Pick<BuildDocument, 'setups' | 'outings'>,
  edits: readonly Edit[],
): string | null {
  // A day that goes, or is put on another sheet by the same edits, holds nothing any more.
  const changed = new Map(edits.flatMap((e) => (e.kind === 'outing' ? [[recordIdOf(e), e] as const] : [])))
  for (const sheet of setOtherwise(document.setups, edits)) {
    const day = document.outings.find((o) => {
      const edit = changed.get(o.id)
      if (edit?.op === 'remove') return false
      return (edit?.kind === 'outing' ? edit.record.setupId : o.setupId) === sheet.id
    })
    if (day) return drivenWords(sheet, day)
  }
  return null
}
