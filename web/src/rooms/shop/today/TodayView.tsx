import type { Job } from '@bold-ballast/contract'
import { todayOf } from '@bold-ballast/model'
import { hoursOf } from '@bold-ballast/words'
import { useMemo } from 'react'
import { useAppSelector } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { JobRow } from '../jobs/JobRow'
import { WAIT_WORDS } from '../parts/waitWords'
import { ReckonedFrom } from '../ReckonedFrom'
import { sayDate } from '../../../ui/sayDay'
import { useReckonedFrom } from '../../../store/useReckonedFrom'
import { SOME_DRAWS, useReckoned, useWorkOutcome } from '../../../store/useWorkOutcome'

/** What each does today, in order; what could be done beside it; what has to be ordered. */
export function TodayView({
  onJob,
  onPart,
  onWait,
}: {
  onJob: (id: string | null) => void
  onPart: (id: string) => void
  onWait: (id: string) => void
}) {
  const { view } = useBuild()
  const { day, zone } = useReckonedFrom()
  const author = useAppSelector((state) => state.settings.author)
  const reckoned = useReckoned()
  const { outcome } = useWorkOutcome(reckoned, SOME_DRAWS)
  const today = useMemo(() => outcome && todayOf(reckoned, outcome, zone), [reckoned, outcome, zone])
  const done = view.jobs.filter((job) => job.doneOn === day)
  const worked = view.jobs.reduce(
    (sum, job) => sum + job.spells.filter((s) => s.on === day).reduce((all, s) => all + (s.time ?? 0), 0),
    0,
  )
  // Whoever works at this screen stands first.
  const hands = [...(today?.hands ?? [])].sort(
    (a, b) => Number(b.name === author) - Number(a.name === author),
  )
  const rows = (jobs: readonly Job[]) =>
    jobs.map((job) => <JobRow key={job.id} job={job} onOpen={() => onJob(job.id)} />)
  return (
    <section aria-label="Today" className="alone-on-paper max-w-[980px]">
      <div className="no-print flex flex-wrap items-end justify-between gap-2">
        <ReckonedFrom />
        <Button onClick={() => window.print()}>Print</Button>
      </div>
      <p className="mt-2 text-[17px]" data-testid="today-says">
        <span className="hidden print:inline">{view.build.name}, </span>
        {sayDate(day, '')}
        {worked > 0 && `: ${hoursOf(worked)} worked`}
        {done.length > 0 && `, ${done.length} done`}.
      </p>
      {hands.map(({ name, jobs }) => (
        <div key={name} className="mt-3">
          <h2 className="text-[19px]">{name || 'Whoever works'}</h2>
          {jobs.length === 0 ? (
            <p className="text-muted">Nothing to begin today: not at work, or waiting.</p>
          ) : (
            <ol aria-label={`Today for ${name || 'whoever works'}`}>{rows(jobs.map(({ job }) => job))}</ol>
          )}
        </div>
      ))}
      {!today && (
        <p role="status" className="mt-3 text-muted">
          What comes next is being worked out …
        </p>
      )}
      {today && today.toOrder.length > 0 && (
        <div className="mt-4">
          <h2 className="text-[19px]">To order, give away or ask for</h2>
          <ul aria-label="To order, give away or ask for">
            {today.toOrder.map((one) => {
              const { id, name, supplier } = one.kind === 'part' ? one.part : one.wait
              const says = one.kind === 'part' ? 'Order' : WAIT_WORDS[one.wait.kind].does
              return (
                <li key={id} className="flex items-center justify-between gap-3 border-b border-line py-1.5">
                  <span>
                    {name}
                    {supplier && <span className="text-[13px] text-muted"> · {supplier}</span>}
                  </span>
                  <Button onClick={() => (one.kind === 'part' ? onPart(id) : onWait(id))}>
                    {says}
                    <span className="sr-only"> {name}</span>
                  </Button>
                </li>
              )
            })}
          </ul>
        </div>
      )}
      {today && today.beside.length > 0 && (
        <div className="mt-4">
          <h2 className="text-[19px]">Could be begun as well</h2>
          <ul aria-label="Could be begun as well">{rows(today.beside)}</ul>
        </div>
      )}
    </section>
  )
}
