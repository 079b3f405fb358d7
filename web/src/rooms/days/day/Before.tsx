import { isOpenJob, jobDone, putEdit, type Outing, type Run } from '@bold-ballast/contract'
import {
  formatNumber,
  formatQuantity,
  LEAST_CORRELATION,
  runsToShow,
  shownBy,
  TAKE_A_SPARE,
  USUAL_OFFSET,
  USUAL_WEIGHT,
  type LapScatter,
} from '@bold-ballast/core'
import { didItHelp, lifeAt } from '@bold-ballast/model'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { QuantityField } from '../../../ui/QuantityField'
import { ShowWorking } from '../../../ui/ShowWorking'
import { today } from '../../../ui/today'
import { useCourseLap } from '../useCourseLap'
import { ToolsToTake } from './ToolsToTake'

const SECOND = { symbol: 's', factor: 1, decimals: 2, aliases: [] } as const
/** From lap to lap, of the lap, for a driver of whom nothing is known (common practice). */
const USUAL_SCATTER = 0.004
/** What is taken more than is reckoned: an in-lap, a stop, a lap more. */
const RESERVE = 1.2

/** What a day that is planned needs: laps that show a difference, fuel, spares. Nothing once all of it is driven. */
export function Before({ day, runs }: { day: Outing; runs: readonly Run[] }) {
  const planned = runs.filter((run) => run.planned)
  if (!day.planned && planned.length === 0) return null
  return (
    <section
      aria-label="Before"
      className="no-print mt-3 rounded-[3px] border border-edge bg-panel p-4"
      data-testid="before"
    >
      <h3 className="text-[19px]">Before</h3>
      <RunsItTakes day={day} driver={planned[0]?.driver ?? ''} />
      <MustBeReady day={day} />
      <ToTake day={day} planned={planned} />
      <ToolsToTake day={day} />
    </section>
  )
}

/** How many runs a wanted difference takes to show, by what this driver scatters. */
function RunsItTakes({ day, driver }: { day: Outing; driver: string }) {
  const { view } = useBuild()
  const [wanted, setWanted] = useState<number | null>(0.5)
  const known = useMemo(() => {
    const days = view.outings.filter((o) => !o.planned && o.courseId === day.courseId)
    return didItHelp(view, days, 0).find((h) => driver === '' || h.driver === driver) ?? null
  }, [view, day.courseId, driver])
  const lap = useCourseLap(day)?.time ?? null
  const isKnown = known !== null && known.effects.freedom >= 3
  const scatter = useMemo((): LapScatter | null => {
    if (isKnown) return known.effects
    if (lap === null) return null
    const offset = { seconds: USUAL_OFFSET * lap, weight: USUAL_WEIGHT }
    return { scatter: USUAL_SCATTER * lap, correlation: LEAST_CORRELATION, offset }
  }, [isKnown, known, lap])
  const plan = useMemo(
    () => (scatter && wanted && wanted > 0 ? runsToShow(wanted, scatter) : null),
    [scatter, wanted],
  )
  if (!scatter) return null
  const usual = shownBy(USUAL_RUNS, USUAL_RUN, scatter)
  const order = plan && Array.from({ length: plan.runs }, (_, i) => (i % 2 === 0 ? 'A' : 'B')).join(' ')
  return (
    <div className="mt-1 flex flex-wrap items-end gap-4">
      <div className="w-[150px]">
        <QuantityField
          label="A difference of"
          quantity="time"
          unit={SECOND}
          value={wanted}
          onChange={setWanted}
        />
      </div>
      <p className="max-w-[620px] min-w-[240px] flex-1 text-[15px]" data-testid="laps-it-takes">
        {plan === null
          ? 'isn’t shown by any plan of up to a dozen runs in a day. '
          : `shows in four of five cases with ${plan.runs} runs of ${plan.laps} laps that count, as it is (A) and changed (B) in turn: ${order}. More laps a run don’t make up for fewer runs. `}
        {usual !== null && `Three runs of six, there and back, show ${formatNumber(usual, 2)} s and more. `}
        <span className="text-[13.5px] text-muted">
          {isKnown
            ? `${known.driver} scatters ${formatNumber(scatter.scatter, 2)} s from lap to lap here, and runs are taken to differ by ${formatNumber(scatter.offset.seconds, 2)} s for no reason.`
            : `Nobody has driven here enough: 0.4 % of a lap, ${formatNumber(scatter.scatter, 2)} s, is taken from lap to lap, and 0.25 % from run to run (common practice).`}{' '}
          <ShowWorking
            working={{
              title: 'Runs it takes',
              formula: 'error(runs, laps) · (t.975 + t.80) ≤ difference',
              inputs: [
                ['From lap to lap', `${formatNumber(scatter.scatter, 2)} s`],
                ['From run to run', `${formatNumber(scatter.offset.seconds, 2)} s`],
                ['Trend', 'lap number and its logarithm'],
              ],
              result: plan === null ? 'more than a dozen runs' : `${plan.runs} runs of ${plan.laps} laps`,
              source: 'power of a t test (Draper and Smith); trend and what runs differ by: common practice',
            }}
          />
        </span>
      </p>
    </div>
  )
}
const USUAL_RUNS = 3
const USUAL_RUN = 6

/** Fuel for what is planned, and spares of what may give out. */
function ToTake({ day, planned }: { day: Outing; planned: readonly Run[] }) {
  const { view, ledger, stage, unit } = useBuild()
  const car = useLiveCar()
  const life = useMemo(
    () => lifeAt(view, ledger.stages, stage, car.components),
    [view, ledger.stages, stage, car.components],
  )
  const lap = useCourseLap(day)
  const driving = planned.reduce((sum, run) => sum + (run.lasts ?? 0), 0)
  const laps = lap && driving > 0 ? Math.ceil(driving / lap.time) : day.amounts.laps
  const spares = life.rows.filter((row) => row.chance >= TAKE_A_SPARE)
  return (
    <div className="mt-2 text-[15px]" data-testid="to-take">
      {lap && laps > 0 && (
        <p>
          Fuel: about <b className="figure">{formatQuantity(lap.fuel * laps * RESERVE, unit('volume'), 0)}</b>{' '}
          for {laps} laps at {formatQuantity(lap.fuel, unit('volume'), 2)} a lap, and a fifth more.
        </p>
      )}
      {spares.length > 0 && (
        <p>
          Spares:{' '}
          {spares
            .map((row) => `${row.component.name} (${formatNumber(row.chance * 100, 0)} % to give out)`)
            .join(', ')}
          .
        </p>
      )}
      <p className="text-[13.5px] text-muted">
        {planned.length > 0
          ? `${planned.length} ${planned.length === 1 ? 'run is' : 'runs are'} planned. One change at a time, and back: then laps tell it from the driver.`
          : 'Plan runs below, or add them as they are driven.'}
      </p>
    </div>
  )
}

/** Jobs of the stage that are still open: what must be done before the car goes. */
function MustBeReady({ day }: { day: Outing }) {
  const { view, save } = useBuild()
  const open = view.jobs
    .filter((job) => job.stageId === day.stageId && isOpenJob(job))
    .sort((a, b) => a.order - b.order)
  if (open.length === 0) return null
  return (
    <div className="mt-2 text-[15px]" data-testid="must-be-ready">
      <p>{open.length === 1 ? 'One job is' : `${open.length} jobs are`} open before it:</p>
      <ul>
        {open.slice(0, MOST_JOBS).map((job) => (
          <li key={job.id}>
            <label className="inline-flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-blued"
                checked={false}
                onChange={() => save(`${job.name} is done`, [putEdit(view, 'job', jobDone(job, today()))])}
              />
              {job.name}
            </label>
          </li>
        ))}
      </ul>
      {open.length > MOST_JOBS && <p className="text-muted">and {open.length - MOST_JOBS} more</p>}
    </div>
  )
}
const MOST_JOBS = 8
