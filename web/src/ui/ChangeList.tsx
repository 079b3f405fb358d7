import { KIND_WORDS, type RecordChange } from '@bold-ballast/contract'
import { differingFields, recordName, wordingOf, type Wording } from '@bold-ballast/words'
import { useMemo } from 'react'
import { useBuild } from '../store/useBuild'

const SHOWN = 60

/** Records before and after, field by field, in the builder's words and units. */
export function ChangeList({ changes }: { changes: readonly RecordChange[] }) {
  const { view } = useBuild()
  const wording = useMemo(() => wordingOf(view), [view])
  return <ChangesSaid changes={changes} wording={wording} />
}

/** The same of a build that isn't the open one. */
export function ChangesSaid({ changes, wording }: { changes: readonly RecordChange[]; wording: Wording }) {
  return (
    <ul className="mt-1 mb-2 text-[14px]" data-testid="changes">
      {changes.slice(0, SHOWN).map(({ kind, id, before, after }) => (
        <li key={`${kind} ${id}`} className="border-l-2 border-line py-0.5 pl-3">
          <span className="text-muted">
            {KIND_WORDS[kind]} {before === null ? 'added' : after === null ? 'removed' : 'changed'}
          </span>{' '}
          <b className="font-medium">{recordName(kind, after ?? before ?? {}, wording)}</b>
          {before !== null && after !== null && (
            <ul>
              {differingFields(kind, before, after, wording).map((field) => (
                <li key={field.label} className="text-[13px]">
                  {field.label}: <span className="text-muted">{field.before}</span> → {field.after}
                </li>
              ))}
            </ul>
          )}
        </li>
      ))}
      {changes.length > SHOWN && <li className="pl-3 text-muted">and {changes.length - SHOWN} more</li>}
      {changes.length === 0 && <li className="text-muted">Nothing differs.</li>}
    </ul>
  )
}
