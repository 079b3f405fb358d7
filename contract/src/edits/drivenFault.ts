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

/** What points to the sheet that it was driven on: days, and runs of them. */
export type Driven = Pick<BuildDocument, 'outings' | 'runs'>

/** Whether a day or a run names a sheet. What is still to come has not driven on it yet. */
export const isDrivenOn = ({ outings, runs }: Driven, setupId: string): boolean =>
  outings.some((day) => day.setupId === setupId) ||
  runs.some((run) => !run.planned && run.setupId === setupId)

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
  document: Pick<BuildDocument, 'setups'> & Driven,
  edits: readonly Edit[],
): string | null {
  // A day or a run that goes, or is put on another sheet by the same edits, holds nothing any more.
  const changed = new Map(
    edits.flatMap((e) => (e.kind === 'outing' || e.kind === 'run' ? [[recordIdOf(e), e] as const] : [])),
  )
  const stillOn = (driven: { readonly id: string; readonly setupId: string | null }, sheetId: string) => {
    const edit = changed.get(driven.id)
    if (edit?.op === 'remove') return false
    const now = edit?.op === 'put' ? edit.record : driven
    return now.setupId === sheetId && !('planned' in now && edit?.kind === 'run' && now.planned)
  }
  for (const sheet of setOtherwise(document.setups, edits)) {
    const day = document.outings.find((o) => stillOn(o, sheet.id))
    const run = document.runs.find((r) => !r.planned && stillOn(r, sheet.id))
    const on = day ?? document.outings.find((o) => o.id === run?.outingId)
    if (day || run) return drivenWords(sheet, on ?? { name: 'a day' })
  }
  return null
}
