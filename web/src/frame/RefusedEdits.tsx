import type { Kind } from '@bold-ballast/contract'
import { METRIC, type UnitPreferences } from '@bold-ballast/core'
import type { Refused } from '../store/outbox'
import { outbox } from '../store/outbox'
import { sendAgain, KIND_WORDS } from '../store/commit'
import { useAppDispatch, useAppSelector } from '../store/store'
import { selectView } from '../store/selectors'
import { Button } from '../ui/Button'
import { TableHead } from '../ui/TableHead'
import { sayField, sayValue } from '../words/sayField'

type Fields = Record<string, unknown>
const HEAD = [{ says: 'Field' }, { says: 'Yours' }, { says: 'Theirs' }]

function Conflict({
  kind,
  yours,
  theirs,
  units,
}: {
  kind: Kind
  yours: Fields | null
  theirs: Fields | null
  units: UnitPreferences
}) {
  if (!theirs) return <p>It has been removed meanwhile.</p>
  if (!yours) return <p>You removed it; it has been changed meanwhile.</p>
  const fields = Object.keys(yours).filter(
    (k) => k !== 'version' && JSON.stringify(yours[k]) !== JSON.stringify(theirs[k]),
  )
  if (fields.length === 0) return <p>Both versions say the same.</p>
  return (
    <table className="my-2 w-full text-[13px]">
      <TableHead columns={HEAD} />
      <tbody>
        {fields.map((f) => (
          <tr key={f} className="border-t border-line">
            <th scope="row" className="pr-3 text-left font-normal">
              {sayField(f)}
            </th>
            <td className="pr-3">{sayValue(kind, f, yours[f], units, yours)}</td>
            <td>{sayValue(kind, f, theirs[f], units, theirs)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function One({ item: { buildId, batch, problem } }: { item: Refused }) {
  const units = useAppSelector((state) => selectView(state, buildId)?.build.units) as
    UnitPreferences | undefined
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
          <Conflict
            kind={c.kind}
            yours={c.yours as Fields | null}
            theirs={c.theirs as Fields | null}
            units={units ?? METRIC}
          />
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
