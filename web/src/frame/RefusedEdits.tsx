import type { Refused } from '../store/outbox'
import { outbox } from '../store/outbox'
import { sendAgain, KIND_WORDS } from '../store/commit'
import { useAppDispatch, useAppSelector } from '../store/store'
import { Button } from '../ui/Button'

type Fields = Record<string, unknown>
const read = (value: unknown) =>
  value === null || value === undefined
    ? 'nothing'
    : typeof value === 'object'
      ? JSON.stringify(value)
      : String(value)

function Conflict({ yours, theirs }: { yours: Fields | null; theirs: Fields | null }) {
  if (!theirs) return <p>It has been removed meanwhile.</p>
  if (!yours) return <p>You removed it; it has been changed meanwhile.</p>
  const fields = Object.keys(yours).filter((k) => k !== 'version' && read(yours[k]) !== read(theirs[k]))
  if (fields.length === 0) return <p>Both versions say the same.</p>
  return (
    <table className="my-2 w-full text-[13px]">
      <thead>
        <tr className="text-left text-muted">
          <th className="pr-3 font-normal">Field</th>
          <th className="pr-3 font-normal">Yours</th>
          <th className="font-normal">Theirs</th>
        </tr>
      </thead>
      <tbody>
        {fields.map((f) => (
          <tr key={f} className="border-t border-line">
            <td className="pr-3">{f}</td>
            <td className="pr-3 break-all">{read(yours[f])}</td>
            <td className="break-all">{read(theirs[f])}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function One({ item: { batch, problem } }: { item: Refused }) {
  const dispatch = useAppDispatch()
  const discard = () => dispatch(outbox.actions.settled(batch.id))
  return (
    <li className="border-t border-line py-3">
      <p className="font-medium">{batch.label}</p>
      <p className="text-muted">{problem.detail}</p>
      {problem.conflicts?.map((c) => (
        <div key={c.id}>
          <p className="mt-1 text-[13px]">
            The {KIND_WORDS[c.kind]} {((c.yours ?? c.theirs) as { name?: string } | null)?.name ?? ''}
          </p>
          <Conflict yours={c.yours as Fields | null} theirs={c.theirs as Fields | null} />
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
      className="fixed bottom-4 left-4 z-40 max-h-[60vh] w-[min(460px,calc(100vw-2rem))] overflow-y-auto rounded-[4px] border-2 border-ochre bg-panel p-4 shadow-lg"
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
