import { putEdit, RUN_CHECK, withoutVersion, type Run } from '@bold-ballast/contract'
import { runReminders, runsOf, type RunReminder } from '@bold-ballast/model'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'

/** What is to be done after the newest run, by running time, ticked as it is done. */
export function AfterRun({ run }: { run: Run }) {
  const { view, save } = useBuild()
  const driven = runsOf(view, run.outingId).filter((one) => !one.planned && one.order <= run.order)
  const open = runReminders(driven)
  if (open.length === 0) return null
  const done = ({ check }: RunReminder) =>
    save(`${RUN_CHECK[check]}, run ${run.order}`, [
      putEdit(view, 'run', { ...withoutVersion(run), checks: [...run.checks, check] }),
    ])
  return (
    <div className="no-print mt-2 text-[14.5px]" data-testid="after-run">
      <p className="text-[13px] text-muted">Now</p>
      <ul>
        {open.map((one) => (
          <li key={one.check} className="mt-1 flex items-baseline gap-x-2">
            <MayOnly right="log">
              <Button className="!py-0.5" onClick={() => done(one)}>
                Done<span className="sr-only"> {RUN_CHECK[one.check]}</span>
              </Button>
            </MayOnly>
            <span>
              <b className="font-medium">{RUN_CHECK[one.check].replace(/^./, (c) => c.toUpperCase())}</b>{' '}
              <span className="text-muted">{one.why}</span>
            </span>
          </li>
        ))}
      </ul>
    </div>
  )
}
