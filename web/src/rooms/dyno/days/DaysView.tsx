import {
  airAt,
  checkPull,
  CORRECTION_NAMES,
  densityAltitude,
  formatNumber,
  formatQuantity,
  unitOf,
  usualLimits,
  type Correction,
} from '@bold-ballast/core'
import { type DynoDay, type Pull, BOOST_CONTROL, DYNO_KIND } from '@bold-ballast/contract'
import { format, parseISO } from 'date-fns'
import { Suspense, useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useDrive } from '../../../store/useDrive'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { gearName } from '@bold-ballast/words'
import { gearsOf } from './gears'
import { later } from '../../../ui/later'
import { PullTable } from './PullTable'

const PullCurves = later(() => import('./PullCurves'), 'PullCurves')

const KILOPASCAL = unitOf('pressure', 'kPa')
const METRE = unitOf('length', 'm')
const FOOT = unitOf('length', 'ft')

/** The dyno days of a stage: one at a time, with its pulls, their curves, and what looks wrong with them. */
export function DaysView({
  days,
  day,
  onChoose,
  onDay,
  onPull,
}: {
  days: readonly DynoDay[]
  day: DynoDay | null
  onChoose: (id: string) => void
  onDay: (day: DynoDay | 'new') => void
  onPull: (pull: Pull | 'new') => void
}) {
  const { view, units, unit, removeSaying } = useBuild()
  const drive = useDrive()
  const [correction, setCorrection] = useState<Correction>('j1349')
  const pulls = useMemo(
    () => (day ? view.pulls.filter((p) => p.dynoDayId === day.id).sort((a, b) => a.order - b.order) : []),
    [view.pulls, day],
  )
  const faults = useMemo(
    () =>
      day
        ? pulls.flatMap((pull) => {
            const limits = day.limits ?? usualLimits(day.boostControl !== 'none')
            return checkPull(pull, limits, gearsOf(drive, day)).map((fault) => ({ pull, fault }))
          })
        : [],
    [pulls, day, drive],
  )
  const removeDay = (gone: DynoDay) => {
    removeSaying('dynoDay', gone.id, `the dyno day of ${gone.date}`, 'Dyno day removed with its pulls.')
  }
  if (!day)
    return (
      <EmptyRoom
        title="No dyno day at this stage"
        action={
          <Button look="main" onClick={() => onDay('new')}>
            Log a dyno day
          </Button>
        }
      >
        Say which dyno, which fuel and what the air was like, then bring each pull from a CSV, read it live,
        click it off a picture, or type it. You get the curves overlaid, observed and corrected figures apart,
        what looks wrong with a pull, and the wheel power that stands for this stage.
        <Cautions />
      </EmptyRoom>
    )
  const air = airAt(day.air, null)
  const height = air && densityAltitude(air)
  const heightUnit = units.length === 'in' || units.length === 'ft' ? FOOT : METRE
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-2" role="group" aria-label="Dyno days">
        {days.map((d) => (
          <button
            key={d.id}
            aria-pressed={d === day}
            onClick={() => onChoose(d.id)}
            className={`prints rounded-[3px] border px-3 py-1 ${d === day ? 'border-blued bg-blued text-on-blued' : 'border-edge'}`}
          >
            {format(parseISO(d.date), 'd MMM yyyy')}, {d.dyno}
          </button>
        ))}
        <Button look="quiet" onClick={() => onDay('new')}>
          + Dyno day
        </Button>
      </div>
      <section
        aria-label="The day"
        className="mb-2 flex flex-wrap items-center gap-x-5 gap-y-1 border-y border-line py-2 text-[13px]"
      >
        <span className="font-medium">{DYNO_KIND[day.kind]}</span>
        <span>repeats to ±{(day.repeatability * 100).toFixed(1)} %</span>
        {day.gear !== null && <span>{gearName(day.gear - 1)}</span>}
        <span>
          {[
            day.fuel || 'fuel not stated',
            day.ethanol !== null && `ethanol measured ${(day.ethanol * 100).toFixed(0)} %`,
          ]
            .filter(Boolean)
            .join(', ')}
        </span>
        {day.boostControl !== 'none' && <span>{BOOST_CONTROL[day.boostControl].toLowerCase()}</span>}
        <span>
          {air && height !== null
            ? `${formatQuantity(air.temperature, unit('temperature'), 0)}, ${formatQuantity(air.pressure, KILOPASCAL, 1)}, ${(air.humidity * 100).toFixed(0)} % humidity: density altitude ${formatNumber(Math.round(height / heightUnit.factor / 10) * 10, 0)} ${heightUnit.symbol}`
            : 'air not written down'}
          {day.air.length > 1 && ` (mean of ${day.air.length} readings)`}
        </span>
        <span>
          {day.sheetCorrection === 'observed'
            ? 'sheet not corrected'
            : `sheet corrected by ${CORRECTION_NAMES[day.sheetCorrection]}`}
        </span>
        <span className="ml-auto flex gap-1">
          <Button look="quiet" onClick={() => onDay(day)}>
            Change the day
          </Button>
          <Button look="quiet" className="!text-muted" onClick={() => removeDay(day)}>
            Remove
          </Button>
        </span>
      </section>
      {pulls.length === 0 ? (
        <EmptyRoom
          title="No pull on this day yet"
          action={
            <Button look="main" onClick={() => onPull('new')}>
              Add a pull
            </Button>
          }
        >
          Bring a CSV with engine speed and torque or power, read the dyno live, click the curve off a
          picture, or type points or peaks from the sheet.
          <Cautions />
        </EmptyRoom>
      ) : (
        <>
          {faults.length > 0 && (
            <section aria-label="What looks wrong" className="mb-3 border-l-4 border-ochre pl-3">
              <h2 className="text-[17px]">What looks wrong</h2>
              <ul className="text-[13.5px]">
                {faults.map(({ pull, fault }) => (
                  <li key={`${pull.id} ${fault.kind} ${fault.says}`}>
                    <span className="font-medium">{pull.name}:</span> {fault.says}
                  </li>
                ))}
              </ul>
            </section>
          )}
          <Suspense fallback={<div className="h-[420px]" />}>
            <PullCurves pulls={pulls} day={day} correction={correction} onCorrection={setCorrection} />
          </Suspense>
          <PullTable pulls={pulls} day={day} correction={correction} onOpen={onPull} />
          <Cautions />
        </>
      )}
    </>
  )
}

function Cautions() {
  return (
    <p className="mt-3 text-[13px] text-muted">
      Strap the car as the dyno’s operator says, draw the exhaust gas out of the room, and keep everybody away
      from rollers, straps and shafts that turn. Fuel and nitrous: bottles and lines away from heat, a fire
      extinguisher at hand. Where the law asks for it, tuning is done by somebody licensed for it.
    </p>
  )
}
