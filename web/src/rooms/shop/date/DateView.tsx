import { putEdit, withoutVersion } from '@bold-ballast/contract'
import { chanceBy, formatNumber, itemAt } from '@bold-ballast/core'
import { useDeferredValue, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { problemWords } from '../problemWords'
import { ReckonedFrom } from '../ReckonedFrom'
import { sayChance, sayDate } from '../../../ui/sayDay'
import { useReckonedFrom } from '../../../store/useReckonedFrom'
import { useMovedWork, type Moved } from '../../../store/useMovedWork'
import { useReckoned, useWorkOutcome } from '../../../store/useWorkOutcome'
import { DateCards } from './DateCards'
import { Easings } from './Easings'
import { Timeline } from './Timeline'

/** When all is done, how likely each date is, what decides it, and what would help. */
export function DateView({ onJob, onDate }: { onJob: () => void; onDate: () => void }) {
  const { view, saveSaying } = useBuild()
  const { day } = useReckonedFrom()
  const reckoned = useReckoned()
  const { outcome, plan, progress, problem } = useWorkOutcome(reckoned)
  const [asked, setAsked] = useState<string | null>(null)
  const [moved, setMoved] = useState<Moved | null>(null)
  // While a job is moved, few draws answer.
  const tried = useMovedWork(reckoned, plan, moved)
  const first = reckoned.targets.findIndex(
    ({ date }, i) => date !== null && itemAt(reckoned.network.targets, i).length > 0,
  )
  const found = reckoned.targets.findIndex(({ date }) => (date?.id ?? 'all') === asked)
  const target = found >= 0 ? found : Math.max(0, first)
  const shown = tried ?? (outcome && { reckoned, outcome })
  // The odds are said at once; hundreds of bars may follow a moment later.
  const drawn = useDeferredValue(shown && { ...shown, before: outcome ?? shown.outcome, target })
  if (reckoned.sources.length === 0)
    return (
      <EmptyRoom
        title="Nothing is open"
        action={
          <Button look="main" onClick={onJob}>
            Take on a job
          </Button>
        }
      >
        Take on jobs, with their hours and what they come after, and write down the dates that stand fast: how
        likely each of them is follows from there.
      </EmptyRoom>
    )
  const keep = ({ jobId, notBefore }: Moved) => {
    const job = view.jobs.find((j) => j.id === jobId)
    if (job)
      saveSaying(
        `${job.name}: not before ${notBefore}`,
        [
          putEdit(view, 'job', {
            ...withoutVersion(job),
            notBefore: notBefore <= day ? null : notBefore,
          }),
        ],
        `${job.name} won’t begin before ${sayDate(notBefore, day)}.`,
      )
    setMoved(null)
  }
  const movedJob = moved && view.jobs.find((j) => j.id === moved.jobId)
  const { by } = itemAt(reckoned.targets, target)
  return (
    <section aria-label="Dates" className="alone-on-paper">
      <p className="hidden text-[17px] print:block">
        {view.build.name}, reckoned from {sayDate(day, '')}
      </p>
      <div className="no-print flex max-w-[1100px] flex-wrap items-end justify-between gap-2">
        <ReckonedFrom />
        <Button onClick={() => window.print()}>Print</Button>
      </div>
      {reckoned.targets.length === 1 && (
        <p className="mt-2 text-[15px]">
          No date stands ahead.{' '}
          <Button look="quiet" className="!px-0" onClick={onDate}>
            Add a fixed date
          </Button>
        </p>
      )}
      {problem !== null && (
        <p role="alert" className="mt-2 text-oxide">
          It can’t be reckoned: {problem}.
        </p>
      )}
      {progress !== null && !shown && (
        <p role="status" className="mt-2 text-muted">
          {reckoned.targets.length === 1
            ? 'Working out when all of it is done'
            : 'Working out how likely each date is'}
          : {formatNumber(progress * 100, 0)} % of 5,000 draws
        </p>
      )}
      {shown && (
        <>
          <DateCards
            reckoned={shown.reckoned}
            outcome={shown.outcome}
            day={day}
            chosen={target}
            onChoose={(i) => setAsked(itemAt(reckoned.targets, i).date?.id ?? 'all')}
          />
          {reckoned.problems.length > 0 && (
            <ul
              className="mt-3 max-w-[980px] text-[14px]"
              aria-label="What can’t be reckoned as it stands"
              data-testid="work-problems"
            >
              {reckoned.problems.map((one, i) => (
                <li key={i} className="border-l-4 border-ochre py-0.5 pl-2">
                  {problemWords(one, view)}
                </li>
              ))}
            </ul>
          )}
          <p aria-live="polite" className="mt-3 min-h-6 text-[15px]" data-testid="moved">
            {moved && movedJob && (
              <>
                “{movedJob.name}” not before {sayDate((tried?.moved ?? moved).notBefore, day)}
                {tried &&
                  by !== null &&
                  `: ${itemAt(reckoned.targets, target).date?.name ?? ''} ${sayChance(chanceBy(itemAt(shown.outcome.finishes, target), by))}`}
                .{' '}
                <Button look="quiet" className="!px-1" onClick={() => keep(moved)}>
                  Keep it
                </Button>
                <Button look="quiet" className="!px-1" onClick={() => setMoved(null)}>
                  Back
                </Button>
              </>
            )}
          </p>
          {drawn && (
            <Timeline
              reckoned={drawn.reckoned}
              outcome={drawn.outcome}
              before={drawn.before}
              target={drawn.target}
              day={day}
              moved={moved}
              onMove={setMoved}
              onKeep={keep}
            />
          )}
          <Easings reckoned={reckoned} outcome={outcome} target={target} />
        </>
      )}
    </section>
  )
}
