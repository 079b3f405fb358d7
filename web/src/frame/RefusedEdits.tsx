import { KIND_WORDS } from '@bold-ballast/contract'
import { METRIC } from '@bold-ballast/core'
import { recordName, wordingOf } from '@bold-ballast/words'
import { Fragment, useMemo } from 'react'
import type { Refused } from '../store/outbox'
import { outbox } from '../store/outbox'
import { useBuildsQuery } from '../store/api'
import { sendAgain } from '../store/commit'
import { dropFilesOf } from '../store/keptFiles'
import { useAppDispatch, useAppSelector } from '../store/store'
import { selectBuild, selectView } from '../store/selectors'
import { Button } from '../ui/Button'
import { Conflict, recordIn } from '../ui/Conflict'
import { toast } from '../ui/toast'
import { refusedFigures } from './refusedFigures'
import { RefusedFileRow } from './RefusedFileRow'

function One({ item: { buildId, batch, problem } }: { item: Refused }) {
  const view = useAppSelector((state) => selectView(state, buildId))
  const wording = useMemo(() => (view ? wordingOf(view) : { units: METRIC }), [view])
  const dispatch = useAppDispatch()
  const saved = useAppSelector((state) => selectBuild(state, buildId))
  const { data: builds } = useBuildsQuery()
  const build = builds?.find((one) => one.id === buildId)?.name ?? view?.build.name
  const added = batch.edits.flatMap((edit) =>
    edit.op === 'put' && edit.record.version === 0 ? [edit.record.id] : [],
  )
  const withFiles = useAppSelector(
    (state) => state.outbox.files.filter((file) => added.includes(file.recordId)).length,
  )
  const discard = () => {
    dispatch(outbox.actions.settled(batch.id))
    // A photograph of what is dropped has no place any more.
    void dispatch(dropFilesOf(new Set(added)))
  }
  const figures = refusedFigures(batch, saved ?? null, wording)
  const copy = () =>
    navigator.clipboard
      .writeText(
        [`${build ?? 'A build'}: ${batch.label}`, ...figures.map(([what, said]) => `${what}: ${said}`)].join(
          '\n',
        ),
      )
      .then(
        () => toast('Copied.'),
        () => toast.error('The browser doesn’t let it be copied: select the figures above instead.'),
      )
  return (
    <li className="border-t border-line py-3">
      <p className="font-medium">{batch.label}</p>
      {build && <p className="text-[13px] text-muted">{build}</p>}
      <p className="text-muted">{problem.detail}</p>
      {withFiles > 0 && (
        <p className="text-[13px] text-muted">
          {withFiles === 1 ? 'Its photograph waits' : `${withFiles} files wait`} with it.
        </p>
      )}
      {!problem.conflicts && figures.length > 0 && (
        <dl
          data-testid="refused-figures"
          className="mt-1 grid max-h-[160px] grid-cols-[auto_1fr] gap-x-3 overflow-y-auto text-[13px] select-text"
        >
          {figures.map(([what, said], i) => (
            <Fragment key={i}>
              <dt className="text-muted">{what}</dt>
              <dd>{said}</dd>
            </Fragment>
          ))}
        </dl>
      )}
      {problem.conflicts?.map((c) => (
        <div key={c.id}>
          <p className="mt-1 text-[13px]">
            The {KIND_WORDS[c.kind]} {recordName(c.kind, recordIn(c.yours ?? c.theirs), wording)}
          </p>
          <Conflict kind={c.kind} yours={c.yours} theirs={c.theirs} wording={wording} />
        </div>
      ))}
      <p className="mt-2 flex flex-wrap gap-2">
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
        {figures.length > 0 && <Button onClick={() => void copy()}>Copy the figures</Button>}
      </p>
    </li>
  )
}

/** What the server would not take, with what was typed or taken, until the person has chosen. */
export function RefusedEdits() {
  const refused = useAppSelector((state) => state.outbox.refused)
  const files = useAppSelector((state) => state.outbox.refusedFiles)
  const isShown = refused.length + files.length > 0
  if (!isShown) return null
  return (
    <section
      role="alertdialog"
      aria-label="Changes that were not taken"
      className="fixed bottom-4 left-4 z-40 max-md:bottom-16 max-h-[60vh] w-[min(460px,calc(100vw-2rem))] overflow-y-auto rounded-[4px] border-2 border-ochre bg-panel p-4 shadow-lg"
    >
      <h2 className="text-[19px]">
        {refused.some((r) => r.problem.conflicts) ? 'Somebody else changed this' : 'Not taken'}
      </h2>
      <p className="text-[13px] text-muted">
        The page shows the saved version. What you {refused.length > 0 ? 'typed' : 'took'} is kept here.
      </p>
      <ul>
        {refused.map((item) => (
          <One key={item.batch.id} item={item} />
        ))}
        {files.map((file) => (
          <RefusedFileRow key={file.id} file={file} />
        ))}
      </ul>
    </section>
  )
}
