import { isOpenJob, JOB_KIND, jobDone, putEdit, withoutVersion, type Job } from '@bold-ballast/contract'
import { isToCome, workedOn } from '@bold-ballast/model'
import { hoursOf } from '@bold-ballast/words'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { RowButtons } from '../../../ui/RowButtons'
import { today } from '../../../ui/today'
import { useClock } from './useClock'

/** What a job still waits for, in words. */
function waitsFor(job: Job, { jobs, waits, parts }: ReturnType<typeof useBuild>['view']): string[] {
  const before = jobs.filter((other) => job.after.includes(other.id) && isOpenJob(other))
  const open = waits.filter((wait) => job.waits.includes(wait.id) && wait.backOn === null)
  const toCome = parts.filter((part) => job.parts.includes(part.id) && isToCome(part))
  return [...before, ...open, ...toCome].map((one) => one.name)
}

/** One job in a list: done or not, who, how long, what it waits for; clock on and off. */
export function JobRow({ job, onOpen }: { job: Job; onOpen: () => void }) {
  const { view, save, removeSaying } = useBuild()
  const clock = useClock()
  const isRunning = clock.isRunning(job)
  const isOpen = isOpenJob(job)
  const worked = workedOn(job)
  const waits = isOpen ? waitsFor(job, view) : []
  const tick = () =>
    save(`${isOpen ? 'Done' : 'Open'}: ${job.name}`, [
      putEdit(
        view,
        'job',
        isOpen ? jobDone(job, today()) : { ...withoutVersion(job), state: 'toDo', doneOn: null },
      ),
    ])
  const facts = [
    job.kind !== 'work' && JOB_KIND[job.kind],
    job.who.length > 0 ? job.who.join(' and ') : job.hands > 1 ? `${job.hands} pairs of hands` : null,
    job.operation && `again: ${job.operation}`,
    job.canWait && isOpen && 'can wait',
    !isOpen && job.doneOn,
  ].filter(Boolean)
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line py-1.5">
      <label className="flex min-w-[200px] flex-1 items-start gap-2">
        <input
          type="checkbox"
          className="mt-1 size-4 shrink-0 accent-blued"
          checked={job.state === 'done'}
          disabled={isRunning}
          onChange={tick}
        />
        <span>
          <span
            className={`font-medium ${isOpen ? '' : 'text-muted'} ${job.state === 'dropped' ? 'line-through' : ''}`}
          >
            {job.name}
          </span>
          <span className="block text-[13px] text-muted">{facts.join(' · ')}</span>
          {waits.length > 0 && <span className="block text-[13px]">waits for {waits.join(', ')}</span>}
        </span>
      </label>
      <span className="figure text-right text-[16px] tabular-nums" data-testid="job-hours">
        {worked > 0 && <span>{hoursOf(worked)}</span>}
        {job.workTime !== null && (
          <span className="text-muted">
            {worked > 0 && ' of '}
            {hoursOf(job.workTime * (worked > 0 ? job.hands : 1))}
          </span>
        )}
      </span>
      <span className="whitespace-nowrap">
        <MayOnly right="log">
          {isOpen && (
            <Button
              className="!px-2"
              onClick={() => (isRunning ? clock.stop(job) : clock.start(job))}
              aria-pressed={isRunning}
            >
              {isRunning ? 'Clock off' : 'Clock on'}
              <span className="sr-only"> {job.name}</span>
            </Button>
          )}
        </MayOnly>
        <RowButtons
          name={job.name}
          recordId={job.id}
          onChange={onOpen}
          onRemove={() => removeSaying('job', job.id, job.name)}
        />
      </span>
    </li>
  )
}
