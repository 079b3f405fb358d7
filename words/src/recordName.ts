import type { Kind } from '@bold-ballast/contract'
import { describeValue } from './describeValue'
import type { Wording } from './wording'

/** Fields that tell one record of its kind from the others, the best first. */
const NAMING = ['name', 'dyno', 'what', 'measure'] as const

/**
 * What a record is called among those of its kind: its name, or the dyno and the day; empty where there is one at most.
 *
 * @example recordName('dynoDay', { dyno: 'Hub cell', date: '2026-05-17' }, wording) // 'Hub cell, 2026-05-17'
 */
export function recordName(kind: Kind, record: object, wording: Wording): string {
  const fields = new Map<string, unknown>(Object.entries(record))
  const by = NAMING.find((field) => fields.get(field))
  const said = by ? describeValue(kind, by, fields.get(by), wording, Object.fromEntries(fields)) : ''
  const day = by === 'name' ? undefined : fields.get('date')
  // Set-up sheets and runs are numbered: most have no name.
  const number = kind === 'setup' || kind === 'run' ? String(fields.get('order') ?? '') : ''
  return [number, said, day].filter((part) => typeof part === 'string' && part !== '').join(', ')
}
