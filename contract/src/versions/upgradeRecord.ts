import { KINDS, type Kind } from '../records/kinds'
import { isFields, RECORD_STEPS, type Fields } from './recordSteps'

/**
 * A record of an older version as one of today. Whatever stores whole records passes through here: build files,
 * workshop files, branches, histories and the outbox.
 *
 * @param from version that it was stored in; a record may be newer than that
 * @param buildId of the build that it belongs to
 * @example upgradeRecord('line', line, 6, build.id) // { changedOn: null, …line }
 */
export function upgradeRecord(kind: Kind, record: Fields, from: number, buildId: string): Fields {
  const whole = RECORD_STEPS.slice(from - 1).reduce((older, step) => step(kind, older, buildId), record)
  const edits = whole['edits']
  return kind === 'branch' && Array.isArray(edits)
    ? { ...whole, edits: edits.map((edit: unknown) => upgradeEdit(edit, from, buildId)) }
    : whole
}

const isKind = (kind: unknown): kind is Kind => (KINDS as readonly unknown[]).includes(kind)

/**
 * The same for an edit, which holds a record where it puts one and names one where it removes it. What is no edit
 * comes back as it is, for a schema to judge.
 */
export function upgradeEdit<T>(edit: T, from: number, buildId: string): T {
  if (!isFields(edit) || !isKind(edit['kind'])) return edit
  if (edit['op'] === 'remove') {
    const { id } = upgradeRecord(edit['kind'], { id: edit['id'] }, from, buildId)
    return { ...edit, id }
  }
  if (!isFields(edit['record'])) return edit
  return { ...edit, record: upgradeRecord(edit['kind'], edit['record'], from, buildId) }
}
