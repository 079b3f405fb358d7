import { CORRECTION_NAMES, formatQuantity, type Correction } from '@bold-ballast/core'
import { removalOf, type DynoDay, type Pull } from '@bold-ballast/contract'
import { format, parseISO } from 'date-fns'
import { Suspense, useMemo, useState } from 'react'
import { toast } from 'sonner'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { EmptyRoom } from '../../ui/EmptyRoom'
import { RoomHead } from '../../ui/RoomHead'
import { DYNO_KIND } from '../../words/names'
import { PullCurves } from './PullCurves'
import { PullTable } from './PullTable'
import { later } from '../../ui/later'

const DynoDaySheet = later(() => import('./DynoDaySheet'), 'DynoDaySheet')
const PullSheet = later(() => import('./PullSheet'), 'PullSheet')

/** Dyno days of a stage: pulls, their curves, and the figures observed and corrected, side by side. */
export default function DynoRoom() {
  const { view, stage, ledger, unit, save } = useBuild()
  const [dayOpen, setDayOpen] = useState<DynoDay | 'new' | null>(null)
  const [pullOpen, setPullOpen] = useState<Pull | 'new' | null>(null)
  const [chosen, setChosen] = useState<string | null>(null)
  const [correction, setCorrection] = useState<Correction>('j1349')
  const days = useMemo(
    () => view.dynoDays.filter((d) => d.stageId === stage.id).sort((a, b) => b.date.localeCompare(a.date)),
    [view.dynoDays, stage.id],
  )
  const day = days.find((d) => d.id === chosen) ?? days[0]
  const pulls = useMemo(
    () => (day ? view.pulls.filter((p) => p.dynoDayId === day.id).sort((a, b) => a.order - b.order) : []),
    [view.pulls, day],
  )
  const others = view.dynoDays.length - days.length

  const removeDay = (gone: DynoDay) => {
    save(`Remove the dyno day of ${gone.date}`, removalOf(view, 'dynoDay', gone.id))
    toast('Dyno day removed with its pulls. Ctrl+Z brings it back.')
  }
  const action = day
    ? { label: 'Add a pull', act: () => setPullOpen('new') }
    : { label: 'Log a dyno day', act: () => setDayOpen('new') }
  return (
    <>
      <RoomHead title="Dyno" action={action}>
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}: {days.length}{' '}
        {days.length === 1 ? 'dyno day' : 'dyno days'}
        {others > 0 && `, ${others} in other stages`}
      </RoomHead>
      {!day && (
        <EmptyRoom
          title="No dyno day at this stage"
          action={
            <Button look="main" onClick={() => setDayOpen('new')}>
              Log a dyno day
            </Button>
          }
        >
          Say which dyno, which fuel and what the air was like, then bring each pull from a CSV or type its
          peaks. You get the curves overlaid, observed and corrected figures apart, and the wheel power that
          stands for this stage.
          <p className="mt-2">Straps, fans and fire: the dyno operator’s rules come first.</p>
        </EmptyRoom>
      )}
      {day && (
        <>
          <div className="mb-3 flex flex-wrap items-center gap-2" role="group" aria-label="Dyno days">
            {days.map((d) => (
              <button
                key={d.id}
                aria-pressed={d === day}
                onClick={() => setChosen(d.id)}
                className={`rounded-[3px] border px-3 py-1 ${d === day ? 'border-blued bg-blued text-on-blued' : 'border-edge'}`}
              >
                {format(parseISO(d.date), 'd MMM yyyy')}, {d.dyno}
              </button>
            ))}
            <Button look="quiet" onClick={() => setDayOpen('new')}>
              + Dyno day
            </Button>
          </div>
          <section
            aria-label="The day"
            className="mb-2 flex flex-wrap items-center gap-x-5 gap-y-1 border-y border-line py-2 text-[13px]"
          >
            <span className="font-medium">{DYNO_KIND[day.kind]}</span>
            <span>repeats to ±{(day.repeatability * 100).toFixed(1)} %</span>
            <span>
              {[
                day.fuel || 'fuel not stated',
                day.ethanol !== null && `ethanol measured ${(day.ethanol * 100).toFixed(0)} %`,
              ]
                .filter(Boolean)
                .join(', ')}
            </span>
            <span>
              {day.ambient
                ? `${formatQuantity(day.ambient.temperature, unit('temperature'), 0)}, ${formatQuantity(day.ambient.pressure, { symbol: 'kPa', factor: 1000, decimals: 1, aliases: [] })}, ${(day.ambient.humidity * 100).toFixed(0)} % humidity`
                : 'air not written down'}
            </span>
            <span>
              {day.sheetCorrection === 'observed'
                ? 'sheet not corrected'
                : `sheet corrected by ${CORRECTION_NAMES[day.sheetCorrection]}`}
            </span>
            <span className="ml-auto flex gap-1">
              <Button look="quiet" onClick={() => setDayOpen(day)}>
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
                <Button look="main" onClick={() => setPullOpen('new')}>
                  Add a pull
                </Button>
              }
            >
              Bring a CSV with engine speed and torque or power, or type the peaks from the sheet.
            </EmptyRoom>
          ) : (
            <>
              <PullCurves pulls={pulls} day={day} correction={correction} onCorrection={setCorrection} />
              <PullTable pulls={pulls} day={day} correction={correction} onOpen={setPullOpen} />
            </>
          )}
        </>
      )}
      <Suspense>
        {dayOpen && (
          <DynoDaySheet
            key={dayOpen === 'new' ? 'new' : dayOpen.id}
            day={dayOpen === 'new' ? null : dayOpen}
            onClose={() => setDayOpen(null)}
            onSaved={setChosen}
          />
        )}
        {pullOpen && day && (
          <PullSheet
            key={pullOpen === 'new' ? 'new' : pullOpen.id}
            pull={pullOpen === 'new' ? null : pullOpen}
            day={day}
            onClose={() => setPullOpen(null)}
          />
        )}
      </Suspense>
    </>
  )
}
