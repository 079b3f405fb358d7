import { KIND_WORDS } from '@bold-ballast/contract'
import { METRIC } from '@bold-ballast/core'
import { recordName, wordingOf } from '@bold-ballast/words'
import { useMemo } from 'react'
import type { Refused } from '../store/outbox'
import { outbox } from '../store/outbox'
import { sendAgain } from '../store/commit'
import { useAppDispatch, useAppSelector } from '../store/store'
import { selectView } from '../store/selectors'
import { Button } from '../ui/Button'
import { Conflict, recordIn } from '../ui/Conflict'

function One({ item: { buildId, batch, problem } }: { item: Refused }) {
  const view = useAppSelector((state) => selectView(state, buildId))
  const wording = useMemo(() => (view ? wordingOf(view) : { units: METRIC }), [view])
  const dispatch = useAppDispatch()
  const discard = () => dispatch(outbox.actions.settled(batch.id))
  return (
    <li className="border-t border-line py-3">
      <p className="font-medium">{batch.label}</p>
      <p className="text-muted">{problem.detail}</p>
      {problem.conflicts?.map((c) => (
        <div key={c.id}>
          <p className="mt-1 text-[13px]">
            The {KIND_WORDS[c.kind]} {recordName(c.kind, recordIn(c.yours ?? c.theirs), wording)}
          </p>
          <Conflict kind={c.kind} yours={c.yours} theirs={c.theirs} wording={wording} />
        </div>
      ))}
      <p className="mt-2 flex gap-2">
        {problem.conflicts ? (
          <>
            <Button look="main" onClick={() => dispatch(sendAgain(batch.id, 'theirs'))}>
              Keep mine
            </Button>
            <Button onClick={discard}>Take theirs</Button>
          </>
        ) : (
          <>
            <Button look="main" onClick={() => dispatch(sendAgain(batch.id, 'asItWas'))}>
              Try again
            </Button>
            <Button onClick={discard}>Drop it</Button>
          </>
        )}
      </p>
    </li>
  )
}

/** What the server would not take, with what was typed, until the person has chosen. */
export function RefusedEdits() {
  const refused = useAppSelector((state) => state.outbox.refused)
  if (refused.length === 0) return null
  return (
    <section
      role="alertdialog"
      aria-label="Changes that were not taken"
      className="fixed bottom-4 left-4 z-40 max-md:bottom-16 max-h-[60vh] w-[min(460px,calc(100vw-2rem))] overflow-y-auto rounded-[4px] border-2 border-ochre bg-panel p-4 shadow-lg"
    >
      <h2 className="text-[19px]">
        {refused.some((r) => r.problem.conflicts) ? 'Somebody else changed this' : 'Not taken'}
      </h2>
      <p className="text-[13px] text-muted">The page shows the saved version. What you typed is kept here.</p>
      <ul>
        {refused.map((item) => (
          <One key={item.batch.id} item={item} />
        ))}
      </ul>
    </section>
  )
}
