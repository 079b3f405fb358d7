import { isMeasured } from '@bold-ballast/core'
import { KIND_WORDS, KINDS, KINDS_WORDS, type BuildDocument, type Kind } from '../records/kinds'
import { REGISTRY } from '../records/registry'
import { recordIdOf, type Edit } from './edit'
import { recordOf } from './inverseOf'

/** What is written down once and can't be measured or signed again: the days are over. */
function isEvidence(document: BuildDocument, edit: Edit): boolean {
  if (edit.op !== 'remove' || !REGISTRY[edit.kind].isLogged) return false
  if (edit.kind !== 'line') return true
  const line = recordOf(document, 'line', recordIdOf(edit))
  return line !== undefined && 'grade' in line && line.grade !== null && isMeasured(line.grade)
}

/**
 * What of measurements, runs, signatures and weighed lines a removal takes with it, counted in words; empty where none.
 *
 * @param edits of a removal, as `removalOf` gives them
 * @example evidenceIn(document, removalOf(document, 'stage', id)) // ['2 weigh-ins', '1 dyno day', '14 weighed lines']
 */
export function evidenceIn(document: BuildDocument, edits: readonly Edit[]): string[] {
  const counts = new Map<Kind, number>()
  for (const edit of edits)
    if (isEvidence(document, edit)) counts.set(edit.kind, (counts.get(edit.kind) ?? 0) + 1)
  return KINDS.flatMap((kind) => {
    const count = counts.get(kind)
    if (!count) return []
    const words = count === 1 ? KIND_WORDS[kind] : KINDS_WORDS[kind]
    return [`${count} ${kind === 'line' ? 'weighed ' : ''}${words}`]
  })
}
