import { putEdit, type Outing, type Run } from '@bold-ballast/contract'
import type { RunHealth } from '@bold-ballast/model'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'

/** What gave trouble, or lies beyond its limit, in a few words; empty for nothing. */
export const troubleOf = (run: Pick<Run, 'fault'>, { held }: RunHealth): string =>
  run.fault ||
  held
    .filter((one) => one.health === 'stop')
    .map((one) => `${one.name} beyond its limit`)
    .join(', ')

/** What gave trouble becomes a job before the next day, or a failure in the car's life. */
export function FaultToDo({
  run,
  day,
  trouble,
  onFailure,
}: {
  run: Run
  day: Outing
  trouble: string
  onFailure: () => void
}) {
  const { view, saveSaying } = useBuild()
  const jobs = view.jobs.filter((job) => job.stageId === day.stageId)
  const name = trouble.slice(0, 120)
  const take = () =>
    saveSaying(
      `Job: ${name}`,
      [
        putEdit(view, 'job', {
          id: crypto.randomUUID(),
          stageId: day.stageId,
          name,
          order: Math.max(-1, ...jobs.map((job) => job.order)) + 1,
          kind: 'work',
          done: false,
          workTime: null,
          from: '',
          note: `${day.name}, ${day.date}, run ${run.order}`,
        }),
      ],
      `${name} is a job now: it stands on the Board, and before the next day.`,
    )
  const isTaken = jobs.some((job) => job.name === name && !job.done)
  return (
    <MayOnly right="log">
      <p className="no-print flex flex-wrap gap-2">
        {isTaken ? (
          <span className="text-[14px] text-muted">It is a job already.</span>
        ) : (
          <Button look="quiet" className="!px-0" onClick={take}>
            Make it a job<span className="sr-only">: {name}</span>
          </Button>
        )}
        <Button look="quiet" onClick={onFailure}>
          Something gave out<span className="sr-only"> in run {run.order}</span>
        </Button>
      </p>
    </MayOnly>
  )
}
