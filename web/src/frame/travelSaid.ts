import { KIND_WORDS, type RecordChange } from '@bold-ballast/contract'
import { differingFields, recordName, type Wording } from '@bold-ballast/words'
import type { Travelled } from '../store/commit'

/** So much of what changed is said in passing; the history has all of it. */
const MOST_SAID = 3

function changeSaid({ kind, before, after }: RecordChange, wording: Wording): string[] {
  const name = recordName(kind, after ?? before ?? {}, wording)
  const what = name === '' ? KIND_WORDS[kind] : `“${name}”`
  if (before === null) return [`${what} is there again`]
  if (after === null) return [`${what} is gone again`]
  return differingFields(kind, before, after, wording)
    .filter((field) => field.label !== 'order' && field.before !== field.after)
    .map((field) => `${what}, ${field.label}: ${field.before} → ${field.after}`)
}

/**
 * What taking a step back did, or doing it again, in words: the step's name, and its first changes with their figures.
 *
 * @param way in which it went
 */
export function travelSaid(
  way: 'undo' | 'redo',
  { step, became, changes }: Travelled,
  wording: Wording,
): string {
  const done = way === 'undo' ? 'Undone' : 'Done again'
  const notDone = way === 'undo' ? 'Not undone' : 'Not done again'
  if (became === 'away') return `${notDone}: ${step.label}. The build isn’t here yet; try again in a moment.`
  if (became === 'overtaken') return `${notDone}: ${step.label}. Somebody has changed it since.`
  const all = changes.flatMap((change) => changeSaid(change, wording))
  const more = all.length - MOST_SAID
  const said = more > 0 ? [...all.slice(0, MOST_SAID), `and ${more} more`] : all
  return [`${done}: ${step.label}.`, said.length > 0 && `${said.join('; ')}.`].filter(Boolean).join(' ')
}
