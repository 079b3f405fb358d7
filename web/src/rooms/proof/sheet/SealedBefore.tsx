import { format, parseISO } from 'date-fns'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { SealPaper } from './SealPaper'

const when = (at: string) => format(parseISO(at), 'd MMMM yyyy, HH:mm')

/** What was signed of this stage before it was opened again, each with the reason; kept for good. */
export function SealedBefore() {
  const { view, stage } = useBuild()
  // A code on an old sheet leads to what was signed then.
  const [asked] = useSearchParams()
  const [shown, setShown] = useState<string | null>(asked.get('seal'))
  const old = view.seals
    .flatMap((s) => (s.stageId === stage.id && s.reopened ? [{ ...s, reopened: s.reopened }] : []))
    .sort((a, b) => b.at.localeCompare(a.at))
  if (old.length === 0) return null
  const seal = old.find((s) => s.id === shown)
  return (
    <section aria-label="Signed before" className="no-print mt-5" data-testid="sealed-before">
      <h2 className="text-[19px]">Signed before</h2>
      <ul className="max-w-[860px]">
        {old.map((s) => (
          <li key={s.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1">
            <span className="flex-1">
              {when(s.at)}, {s.author}
              <span className="block text-[13px] text-muted">
                Opened again {when(s.reopened.at)} by {s.reopened.author}: {s.reopened.reason}
              </span>
            </span>
            <Button look="quiet" onClick={() => setShown(s.id === shown ? null : s.id)}>
              {s.id === shown ? 'Hide it' : 'Show it'}
            </Button>
          </li>
        ))}
      </ul>
      {seal && (
        <div className="mt-3">
          <SealPaper seal={seal} />
        </div>
      )}
    </section>
  )
}
