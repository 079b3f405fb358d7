import { blankRun, putEdit, type Outing } from '@bold-ballast/contract'
import { lapEvidence, lapsThatCount, runsOf, shakedown } from '@bold-ballast/model'
import { RUN_PURPOSE } from '@bold-ballast/contract'
import { useMemo } from 'react'
import type { FailureOf } from '../../../sheets/ServiceSheet'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { RowButtons } from '../../../ui/RowButtons'
import { ChooseDay } from '../ChooseDay'
import { NoDay } from '../NoDay'
import { useChosenDay } from '../useChosenDay'
import { Before } from './Before'
import { DayShows } from './DayShows'
import { RunCard } from './RunCard'

/** A day: what is planned, what was driven, run by run, with what was read and said. */
export function DayView({
  onDay,
  onRun,
  onFailure,
}: {
  onDay: (id: string | null) => void
  onRun: (id: string | null) => void
  onFailure: (failure: FailureOf) => void
}) {
  const { day } = useChosenDay()
  const { removeSaying } = useBuild()
  if (!day) return <NoDay onDay={() => onDay(null)} />
  return (
    <section aria-label="Day" className="max-w-[980px]">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <ChooseDay />
        <span className="no-print flex gap-2">
          <MayOnly right="log">
            <Button look="quiet" onClick={() => onDay(null)}>
              Another day
            </Button>
          </MayOnly>
          <RowButtons
            name={day.name}
            recordId={day.id}
            onChange={() => onDay(day.id)}
            onRemove={() => removeSaying('outing', day.id, day.name, 'The day is removed with its runs.')}
          />
        </span>
      </div>
      <h2 className="mt-3 text-[22px]">
        {day.name} <span className="text-[14px] font-normal text-muted">{day.date}</span>
      </h2>
      {day.note && <p className="text-[15px] text-muted">{day.note}</p>}
      <Runs day={day} onRun={onRun} onFailure={onFailure} />
    </section>
  )
}

function Runs({
  day,
  onRun,
  onFailure,
}: {
  day: Outing
  onRun: (id: string | null) => void
  onFailure: (failure: FailureOf) => void
}) {
  const { view, saveSaying } = useBuild()
  const { setup } = useLiveCar()
  const runs = useMemo(() => runsOf(view, day.id), [view, day.id])
  const evidence = useMemo(
    () => lapEvidence(runs.filter((run) => !run.planned && run.track === 'dry').flatMap(lapsThatCount)),
    [runs],
  )
  const step = shakedown(runs, view.limits)
  const newest = runs.filter((run) => !run.planned).at(-1)
  const planBack = () => {
    const first = runs.length + 1
    const kind = runs.at(-1)?.kind ?? 'laps'
    const driver = runs.at(-1)?.driver ?? ''
    const one = (order: number, more: Partial<ReturnType<typeof blankRun>>) =>
      putEdit(view, 'run', {
        ...blankRun(day.id, crypto.randomUUID(), order),
        kind,
        driver,
        planned: true,
        ...more,
      })
    saveSaying(
      `Plan a change and back, ${day.name}`,
      [
        one(first, { purpose: 'baseLine', setupId: setup?.value.id ?? null }),
        one(first + 1, { purpose: 'change', change: 'the one change' }),
        one(first + 2, { purpose: 'check', setupId: setup?.value.id ?? null, change: 'and back' }),
      ],
      'Three runs are planned: as it is, changed, and back.',
    )
  }
  return (
    <>
      <DayShows day={day} evidence={evidence} />
      {step && (
        <p className="mt-2 text-[15px]" data-testid="shakedown">
          After {RUN_PURPOSE[step.after]}:{' '}
          {step.next === null ? (
            'the shakedown is done.'
          ) : step.isRefused ? (
            <b className="font-medium text-oxide">
              no quicker yet.{' '}
              {step.health === 'stop' ? 'A reading is beyond its limit' : 'Something is to be looked at'}:{' '}
              {RUN_PURPOSE[step.next]} once more when that is put right.
            </b>
          ) : (
            `next is ${RUN_PURPOSE[step.next]}.`
          )}
        </p>
      )}
      <Before day={day} runs={runs} />
      <ol className="mt-3 grid gap-3" data-testid="runs">
        {runs.map((run, i) => (
          <RunCard
            key={run.id}
            run={run}
            day={day}
            before={runs[i - 1] ?? null}
            isNewest={run.id === newest?.id}
            onChange={() => onRun(run.id)}
            onFailure={(what) => onFailure({ what, date: day.date, changedThen: run.change })}
          />
        ))}
      </ol>
      <MayOnly right="log">
        <p className="no-print mt-3 flex flex-wrap gap-2">
          <Button onClick={() => onRun(null)}>
            {runs.length === 0 ? 'Add the first run' : 'Add the next run'}
          </Button>
          <Button onClick={planBack}>Plan a change: as it is, changed, and back</Button>
        </p>
      </MayOnly>
    </>
  )
}
