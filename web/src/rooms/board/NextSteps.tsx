import { nextSteps, removalOf, withoutVersion, type Job, type Step } from '@bold-ballast/contract'
import { formatNumber, fromSi } from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { toast } from 'sonner'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { useStageFigures } from '../../store/useReadings'
import { useSettledSummaries } from '../../store/useSettledSummaries'
import { Button } from '../../ui/Button'
import { nameOfMark, NEEDS } from '../../words/measures'

const SHOWN = 5
const MEASURES: ReadonlySet<Step['kind']> = new Set([
  ...(['weighCar', 'weighCorners', 'weighPart', 'pull', 'logDownforce', 'measureForClass', 'drive'] as const),
])
const ROOM: Partial<Record<Step['kind'], string>> = {
  ...{ weighCar: 'scales', weighCorners: 'scales', weighPart: 'swaps', pull: 'dyno' },
  ...{ logDownforce: 'aero?view=rolled', sayPitch: 'aero?view=holds', measureForClass: 'aero?view=class' },
  ...{ drive: 'driveline?view=life', finishSwap: 'swaps', strengthen: 'driveline?view=links' },
  ...{ trim: 'aero?view=trim', support: 'aero?view=holds', mendRules: 'aero?view=class' },
}
const hours = (seconds: number) => {
  const h = seconds / 3600
  return h < 0.95 ? `${formatNumber(h * 60, 0)} min` : `${formatNumber(h, h < 3 ? 1 : 0)} h`
}

/** What to do next, the best first, each with why; and what was taken on. */
export function NextSteps() {
  const { view, ledger, stage, units, unit, buildId, save } = useBuild()
  const figures = useStageFigures()
  const summaries = useSettledSummaries()
  const [isLong, setLong] = useState(false)
  const at = ledger.stages.indexOf(stage)
  const steps = useMemo(
    () => nextSteps(view, ledger, stage, summaries[at]!, figures[at]!),
    [view, ledger, stage, summaries, figures, at],
  )
  const jobs = view.jobs.filter((j) => j.stageId === stage.id).sort((a, b) => a.order - b.order)
  const taken = new Set(jobs.map((j) => j.from))
  const open = steps.filter((s) => !taken.has(s.key))
  const mass = unit('mass')
  const nameOf = (step: Step): string => {
    const swap = ledger.stages
      .flatMap((s) => ledger.swapsOf(s.id))
      .find((s) => s.swap.id === step.swapId)?.swap
    const line = view.lines.find((l) => l.id === step.lineId)
    const names: Record<Step['kind'], string> = {
      weighCar: 'Weigh the car',
      weighCorners: 'Weigh the car on four pads',
      weighPart: `Weigh ${line?.name ?? 'a part'}`,
      pull: 'Pull it on a dyno',
      logDownforce: 'Log downforce at held speeds',
      sayPitch: 'Say how it pitches and rolls',
      measureForClass: 'Measure what the class asks for',
      drive: 'Time a lap',
      typeIn: step.marks[0] ? NEEDS[step.marks[0].measure].says.replace(/\.$/, '') : '',
      finishSwap: `Finish ${swap?.name ?? 'what is open'}`,
      strengthen: 'Strengthen the weakest link',
      trim: 'Trim the balance',
      support: 'Hold the floor up, or raise it',
      mendRules: 'Mend what fails the class',
    }
    return names[step.kind]
  }
  const whyOf = (step: Step): string => {
    const marks = [...new Set(step.marks.map((m) => nameOfMark(m, units, view.conditions).toLowerCase()))]
    const list = marks.length > 1 ? `${marks.slice(0, -1).join(', ')} and ${marks.at(-1)}` : marks[0]
    const isMending = ['strengthen', 'trim', 'support', 'mendRules'].includes(step.kind)
    const kilograms =
      step.kilograms === null || Math.abs(step.kilograms) < 0.05
        ? ''
        : `, ${step.kilograms > 0 ? '+' : '−'}${formatNumber(Math.abs(fromSi(step.kilograms, mass)), 1)} ${mass.symbol}`
    const money =
      step.cost === null || step.cost === 0 ? '' : `, ${formatNumber(step.cost, 0)} ${view.build.currency}`
    return `${isMending ? 'Helps' : step.kind === 'finishSwap' ? 'Moves' : 'Settles'} ${list}; ${hours(step.workTime)}${kilograms}${money}`
  }
  const take = (step: Step) => {
    const name = nameOf(step).slice(0, 120)
    const faults = save(`Take on: ${name}`, [
      put(view, 'job', {
        ...{
          id: crypto.randomUUID(),
          stageId: stage.id,
          name,
          done: false,
          workTime: step.workTime,
          note: '',
        },
        order: Math.max(-1, ...jobs.map((j) => j.order)) + 1,
        kind: MEASURES.has(step.kind) ? 'measurement' : 'work',
        from: step.key.slice(0, 200),
      }),
    ])
    toast(faults ? faults[0]!.problem : `${name}: taken on. Ctrl+Z takes it back.`)
  }
  const tick = (job: Job) =>
    save(`${job.done ? 'Open' : 'Done'}: ${job.name}`, [
      put(view, 'job', { ...withoutVersion(job), done: !job.done }),
    ])
  if (open.length === 0 && jobs.length === 0) return null
  const list = isLong ? open : open.slice(0, SHOWN)
  return (
    <section aria-label="What to do next" className="mt-6">
      <h2 className="text-[19px]">What to do next</h2>
      <ol className="max-w-[980px]" data-testid="next-steps">
        {list.map((step, i) => (
          <li key={step.key} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5">
            <span className="figure w-5 text-[17px] text-muted">{i + 1}</span>
            <span className="min-w-[220px] flex-1">
              <Link
                className="font-medium hover:underline"
                to={`/builds/${buildId}/stages/${stage.id}/${ROOM[step.kind] ?? NEEDS[step.marks[0]!.measure].room}`}
              >
                {nameOf(step)}
              </Link>
              <span className="block text-[13px] text-muted">{whyOf(step)}</span>
            </span>
            <Button onClick={() => take(step)}>
              Take it on<span className="sr-only"> {nameOf(step)}</span>
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
                    checked={job.done}
                    onChange={() => tick(job)}
                  />
                  <span className={job.done ? 'text-muted line-through' : ''}>{job.name}</span>
                  {job.workTime !== null && <span className="unit">{hours(job.workTime)}</span>}
                </label>
                <Button
                  look="quiet"
                  className="!px-1 !text-muted"
                  onClick={() => {
                    save(`Drop: ${job.name}`, removalOf(view, 'job', job.id))
                    toast(`${job.name} dropped. Ctrl+Z brings it back.`)
                  }}
                >
                  Drop<span className="sr-only"> {job.name}</span>
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}
