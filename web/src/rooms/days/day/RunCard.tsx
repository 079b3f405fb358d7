import {
  putEdit,
  RUN_KIND,
  RUN_PURPOSE,
  TRACK_STATE,
  withoutVersion,
  type Outing,
  type Run,
} from '@bold-ballast/contract'
import { formatQuantity } from '@bold-ballast/core'
import { onWhat, runHealth } from '@bold-ballast/model'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useSheetDifferences } from '../../../sheets/useSheetDifferences'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { RowButtons } from '../../../ui/RowButtons'
import { AfterRun } from './AfterRun'
import { DriverSays } from './DriverSays'
import { FaultToDo, troubleOf } from './FaultToDo'
import { HealthOf } from './HealthOf'
import { LapStrip } from './LapStrip'
import { ReadAfter } from './ReadAfter'
import { StintSays } from './StintSays'

/** One run: who, on what, its laps, what the driver says, what was read, and whether the car may go on. */
export function RunCard({
  run,
  day,
  before,
  isNewest,
  onChange,
  onFailure,
}: {
  run: Run
  day: Outing
  before: Run | null
  /** The one that is being driven: it is open for entry. */
  isNewest: boolean
  onChange: () => void
  /** Something gave out, in these words. */
  onFailure: (what: string) => void
}) {
  const [isOpen, setOpen] = useState(false)
  const isEntered = isNewest || isOpen
  const { view, unit, save, removeSaying } = useBuild()
  const sheetOf = (one: Run | null) => view.setups.find((s) => s.id === one?.setupId) ?? null
  const differences = useSheetDifferences()(sheetOf(run), sheetOf(before))
  const name = `Run ${run.order}`
  const health = runHealth(run, view.limits)
  const trouble = troubleOf(run, health)
  const put = (label: string, more: Partial<Run>) =>
    save(`${label}, ${name.toLowerCase()}`, [putEdit(view, 'run', { ...withoutVersion(run), ...more })])
  const facts = [
    run.driver || 'nobody named',
    run.kind !== 'laps' && RUN_KIND[run.kind],
    onWhat({ setupId: run.setupId, change: '' }, view.setups),
    run.time && `out at ${run.time}`,
    TRACK_STATE[run.track],
    run.air && formatQuantity(run.air.temperature, unit('temperature'), 0),
    run.fuel !== null && `${formatQuantity(run.fuel, unit('volume'), 0)} of fuel`,
    run.tyres && `${run.tyres}${run.tyreLaps === null ? '' : ` with ${run.tyreLaps} laps`}`,
  ].filter(Boolean)
  const isBetween = before !== null && !before.planned
  return (
    <li
      className={`rounded-[3px] border bg-panel p-3 ${run.planned ? 'border-dashed border-edge' : 'border-edge'}`}
      aria-label={name}
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h3 className="text-[18px]">
          {name}
          {run.session && `, ${run.session}`}{' '}
          <span className="text-[13.5px] font-normal text-muted">{RUN_PURPOSE[run.purpose]}</span>
        </h3>
        <span className="no-print">
          <RowButtons
            name={name}
            recordId={run.id}
            onChange={onChange}
            onRemove={() => removeSaying('run', run.id, name)}
          />
        </span>
      </div>
      <p className="text-[14px] text-muted">{facts.join(' · ')}</p>
      {run.change && (
        <p className="text-[15px]">
          Changed: <b className="font-medium">{run.change}</b>
        </p>
      )}
      {isBetween && differences.length > 1 && (
        <p className="text-[14px] text-ochre" data-testid="many-changes">
          {differences.length} things differ from run {before.order}, so no lap says which of them it was:{' '}
          {differences.map((d) => `${d.label} ${d.before} → ${d.after}`).join('; ')}.
        </p>
      )}
      {run.planned ? (
        <MayOnly right="log">
          <Button className="mt-2" onClick={() => put('Begin', { planned: false, time: clockNow() })}>
            Begin this run
          </Button>
        </MayOnly>
      ) : (
        <>
          {run.kind === 'stint' && <StintSays run={run} day={day} />}
          <LapStrip
            run={run}
            isEntered={isEntered}
            onLaps={(laps, label) => put(label, { laps: [...laps] })}
          />
          <DriverSays
            words={run.words}
            isEntered={isEntered}
            onWords={(words) => put('The driver says', { words })}
          />
          <ReadAfter run={run} />
          <HealthOf health={health} fault={run.fault} onRead={onChange} />
          {trouble && (
            <FaultToDo run={run} day={day} trouble={trouble} onFailure={() => onFailure(trouble)} />
          )}
          {isNewest && <AfterRun run={run} />}
        </>
      )}
      {!isNewest && !run.planned && (
        <MayOnly right="log">
          <Button
            look="quiet"
            className="no-print !px-0"
            aria-expanded={isOpen}
            onClick={() => setOpen(!isOpen)}
          >
            {isOpen ? 'Close it' : 'Add laps or words'}
            <span className="sr-only"> {name}</span>
          </Button>
        </MayOnly>
      )}
      {run.note && <p className="mt-1 text-[14px] text-muted">{run.note}</p>}
    </li>
  )
}

const clockNow = () => {
  const now = new Date()
  return [now.getHours(), now.getMinutes()].map((n) => String(n).padStart(2, '0')).join(':')
}
