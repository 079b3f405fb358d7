import { jobDone, withoutVersion, type Job, putEdit } from '@bold-ballast/contract'
import { formatNumber, itemAt, orWhy } from '@bold-ballast/core'
import {
  freeHours,
  lapGains,
  nextSteps,
  RANKED_BY,
  rankByLap,
  rankSteps,
  type RankedBy,
  type Step,
} from '@bold-ballast/model'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useMay } from '../../../store/me'
import { useBuild } from '../../../store/useBuild'
import { useCar } from '../../../store/useCar'
import type { useNextDate } from '../../../store/useNextDate'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { Choose } from '../../../ui/Choose'
import { today } from '../../../ui/today'
import { useShortcut } from '../../../ui/shortcuts'
import { hoursOf, nameOfStep, whyOfStep } from '@bold-ballast/words'
import { roomOf } from './roomOf'
import { useTakeOn } from './useTakeOn'

const SHOWN = 5
const KEYS = ['1', '2', '3', '4', '5'] as const
const BY: Record<RankedBy, string> = { hour: 'an hour', money: 'the money', kilo: 'a kilo' }

/** What to do next, the best first, each with why; and what was taken on. */
export function NextSteps({ next }: { next: ReturnType<typeof useNextDate> }) {
  const { view, stage, units, buildId, save, removeSaying } = useBuild()
  const seesMoney = useMay('money')
  const takeOn = useTakeOn()
  const isDrivable = useCar().geared !== null
  const [isLong, setLong] = useState(false)
  /** One of what is scarce, or a course by its id. */
  const [by, setBy] = useState<RankedBy | (string & {})>('hour')
  const steps = useMemo(() => nextSteps(view, stage.id), [view, stage.id])
  const jobs = view.jobs.filter((j) => j.stageId === stage.id).sort((a, b) => a.order - b.order)
  const taken = new Set(jobs.map((j) => j.from))
  const course = view.courses.find((c) => c.id === by)
  const gains = useMemo(() => {
    if (!course) return null
    return orWhy(
      () => lapGains(view, stage.id, course, steps),
      () => null,
    )
  }, [view, stage.id, course, steps])
  const left = steps.filter((s) => !taken.has(s.key))
  const free = next && freeHours(next.reckoned, next.target)
  /** There is no time left for it before the next date. */
  const isTooLong = (step: Step) => free !== null && (step.workTime ?? 0) > Math.max(0, free)
  const scarce = RANKED_BY.find((r) => r === by) ?? 'hour'
  const ranked = gains ? rankByLap(left, gains) : rankSteps(left, scarce)
  // What can be done before the next date goes before what can't.
  const open = [...ranked.filter((s) => !isTooLong(s)), ...ranked.filter(isTooLong)]
  const tick = (job: Job) =>
    save(`${job.state === 'done' ? 'Open' : 'Done'}: ${job.name}`, [
      putEdit(
        view,
        'job',
        job.state === 'done'
          ? { ...withoutVersion(job), state: 'toDo', doneOn: null }
          : jobDone(job, today()),
      ),
    ])
  if (open.length === 0 && jobs.length === 0) return null
  const list = isLong ? open : open.slice(0, SHOWN)
  return (
    <section aria-label="What to do next" className="mt-6">
      <div className="flex max-w-[980px] flex-wrap items-end justify-between gap-2">
        <h2 className="text-[19px]">What to do next</h2>
        {open.length > 1 && (
          <Choose
            label="Most for"
            value={by}
            options={[
              ...RANKED_BY.filter((r) => seesMoney || r !== 'money').map((r) => [r, BY[r]] as const),
              ...(isDrivable ? view.courses.map((c) => [c.id, `a lap of ${c.name}`] as const) : []),
            ]}
            onChange={(v) => setBy(v ?? 'hour')}
          />
        )}
      </div>
      <ol className="max-w-[980px]" data-testid="next-steps">
        {list.map((step, i) => (
          <li key={step.key} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5">
            <span className="figure w-5 text-[17px] text-muted">{i + 1}</span>
            <span className="min-w-[220px] flex-1">
              <Link
                className="font-medium hover:underline"
                to={`/builds/${buildId}/stages/${stage.id}/${roomOf(step)}`}
              >
                {nameOfStep(step, view, units)}
              </Link>
              <span className="block text-[13px] text-muted">
                {whyOfStep(step, view, units)}
                {gains?.has(step.key) && lapSays(gains.get(step.key) ?? 0)}
                {next &&
                  isTooLong(step) &&
                  ` Not before ${itemAt(next.reckoned.targets, next.target).date?.name ?? ''}.`}
              </span>
            </span>
            {KEYS[i] && <TakeOnKey keys={KEYS[i]} act={() => takeOn(step)} />}
            <Button title={KEYS[i] && `Key: ${KEYS[i]}`} onClick={() => takeOn(step)}>
              Take it on<span className="sr-only"> {nameOfStep(step, view, units)}</span>
            </Button>
          </li>
        ))}
      </ol>
      {open.length > SHOWN && (
        <Button look="quiet" className="!px-0" onClick={() => setLong(!isLong)}>
          {isLong ? 'Fewer' : `${open.length - SHOWN} more`}
        </Button>
      )}
      {jobs.length > 0 && (
        <>
          <h3 className="mt-3 text-[17px]">Taken on</h3>
          <ul className="max-w-[980px]" data-testid="jobs">
            {jobs.map((job) => (
              <li key={job.id} className="flex items-center gap-3 border-b border-line py-1">
                <label className="flex min-w-0 flex-1 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-4 accent-blued"
                    checked={job.state === 'done'}
                    onChange={() => tick(job)}
                  />
                  <span className={job.state === 'done' ? 'text-muted line-through' : ''}>{job.name}</span>
                  {job.workTime !== null && (
                    <span className="unit whitespace-nowrap">{hoursOf(job.workTime)}</span>
                  )}
                </label>
                <MayOnly right="plan">
                  <Button
                    look="quiet"
                    className="!px-1 !text-muted"
                    onClick={() => removeSaying('job', job.id, job.name, `${job.name} dropped.`)}
                  >
                    Drop<span className="sr-only"> {job.name}</span>
                  </Button>
                </MayOnly>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

/** What a step saves on a lap, in words that follow others. */
const lapSays = (gain: number) =>
  ` ${formatNumber(Math.abs(gain), 2)} s ${gain >= 0 ? 'quicker' : 'slower'} a lap.`

function TakeOnKey({ keys, act }: { keys: string; act: () => void }) {
  useShortcut(keys, `Take on what is ${keys} of what to do next`, act)
  return null
}
