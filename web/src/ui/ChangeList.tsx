import type { RecordChange } from '@bold-ballast/contract'
import { KIND_WORDS } from '../store/commit'
import { useBuild } from '../store/useBuild'
import { sayField, sayValue } from '../words/sayField'

const SHOWN = 60
/** Of no interest to anybody who reads. */
const HIDDEN = new Set(['id', 'version', 'order', 'stageId', 'swapId', 'dynoDayId'])

const fieldsOf = (record: object | null) => (record ?? {}) as Record<string, unknown>

/** Records before and after, field by field, in the builder's words and units. */
export function ChangeList({ changes }: { changes: readonly RecordChange[] }) {
  const { units } = useBuild()
  return (
    <ul className="mt-1 mb-2 text-[14px]" data-testid="changes">
      {changes.slice(0, SHOWN).map(({ kind, id, before, after }) => {
        const [old, now] = [fieldsOf(before), fieldsOf(after)]
        const name = String(now['name'] ?? old['name'] ?? '')
        const fields = [...new Set([...Object.keys(old), ...Object.keys(now)])].filter(
          (f) => !HIDDEN.has(f) && JSON.stringify(old[f]) !== JSON.stringify(now[f]),
        )
        const what = before === null ? 'added' : after === null ? 'removed' : 'changed'
        return (
          <li key={`${kind} ${id}`} className="border-l-2 border-line py-0.5 pl-3">
            <span className="text-muted">
              {KIND_WORDS[kind]} {what}
            </span>{' '}
            <b className="font-medium">{name}</b>
            {what === 'changed' && (
              <ul>
                {fields.map((f) => (
                  <li key={f} className="text-[13px]">
                    {sayField(f)}: <span className="text-muted">{sayValue(kind, f, old[f], units, old)}</span>{' '}
                    → {sayValue(kind, f, now[f], units, now)}
                  </li>
                ))}
              </ul>
            )}
          </li>
        )
      })}
      {changes.length > SHOWN && <li className="pl-3 text-muted">and {changes.length - SHOWN} more</li>}
      {changes.length === 0 && <li className="text-muted">Nothing differs.</li>}
    </ul>
  )
}
