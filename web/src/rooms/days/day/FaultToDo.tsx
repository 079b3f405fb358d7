import { isOpenJob, putEdit, type Outing, type Run } from '@bold-ballast/contract'
import type { RunHealth } from '@bold-ballast/model'
import { newJob } from '../../../store/newJob'
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
  const name = trouble.slice(0, 120)
  const take = () =>
    saveSaying(
      `Job: ${name}`,
      [
        putEdit(
          view,
          'job',
          newJob(view, day.stageId, { name, note: `${day.name}, ${day.date}, run ${run.order}` }),
        ),
      ],
      `${name} is a job now: it stands on the Board, and before the next day.`,
    )
  const isTaken = view.jobs.some((job) => job.stageId === day.stageId && job.name === name && isOpenJob(job))
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
