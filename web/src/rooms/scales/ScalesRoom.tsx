import { CORNERS, readScales, valueAt } from '@bold-ballast/core'
import { type Instrument, type TiltTest, type WeighIn, METHOD } from '@bold-ballast/contract'
import { csvOf } from '@bold-ballast/words'
import { format, parseISO } from 'date-fns'
import { Suspense, useMemo, useState } from 'react'
import { useBuild, useLiveBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { download } from '../../ui/download'
import { EmptyRoom } from '../../ui/EmptyRoom'
import { Figure } from '../../ui/Figure'
import { RoomHead, type RoomAction } from '../../ui/RoomHead'
import { RoomViews, useRoomView } from '../../ui/RoomViews'
import { SCALES_VIEWS } from '../../roomViews'
import { Repeats } from './weighIns/Repeats'
import { MissingMass } from './weighIns/MissingMass'
import { PlanWeighings } from './weighIns/PlanWeighings'
import { WeighTicket } from './weighIns/WeighTicket'
import { later } from '../../ui/later'
const WeighInSheet = later(() => import('./weighIns/WeighInSheet'), 'WeighInSheet')

const PerchView = later(() => import('./perches/PerchView'), 'PerchView')
const BallastView = later(() => import('./ballast/BallastView'), 'BallastView')
const HeightView = later(() => import('./height/HeightView'), 'HeightView')
const InstrumentsView = later(() => import('./instruments/InstrumentsView'), 'InstrumentsView')
const TiltSheet = later(() => import('./height/TiltSheet'), 'TiltSheet')

/** Four figures for the list; a weighbridge leaves them empty. */
const cornersOf = (weighIn: WeighIn) => {
  const { corners } = readScales(weighIn.readings, weighIn)
  return CORNERS.map((c) => corners?.[c] ?? '')
}

/** Weigh-ins of a stage, beside what the books predict for the same condition. */
export function ScalesRoom() {
  const { view, stage, ledger, unit, removeSaying } = useBuild()
  const { summary } = useLiveBuild()
  const [open, setOpen] = useState<WeighIn | 'new' | null>(null)
  const [tilting, setTilting] = useState<TiltTest | 'new' | null>(null)
  const [instrument, setInstrument] = useState<Instrument | 'new' | null>(null)
  const viewOpen = useRoomView(SCALES_VIEWS)
  const [chosen, setChosen] = useState<string | null>(null)
  const weighIns = useMemo(
    () => view.weighIns.filter((w) => w.stageId === stage.id).sort((a, b) => b.date.localeCompare(a.date)),
    [view.weighIns, stage.id],
  )
  const shown = weighIns.find((w) => w.id === chosen) ?? weighIns[0]
  const readings = useMemo(
    () => new Map(summary.weighIns.map((reading) => [reading.id, reading])),
    [summary.weighIns],
  )
  const others = view.weighIns.length - weighIns.length

  const remove = (weighIn: WeighIn) => {
    removeSaying('weighIn', weighIn.id, 'a weigh-in', 'Weigh-in removed.')
  }
  const saveCsv = () => {
    const header = [
      'date',
      'stage',
      'method',
      'front left (kg)',
      'front right (kg)',
      'rear left (kg)',
      'rear right (kg)',
      'fuel (l)',
      'driver (kg)',
      'note',
    ]
    const rows = view.weighIns.map((w) => [
      w.date,
      ledger.stages.find((s) => s.id === w.stageId)?.name,
      METHOD[w.readings.method],
      ...cornersOf(w),
      w.condition.fuel * 1000,
      w.condition.driver,
      w.note,
    ])
    download(`${view.build.name} weigh-ins.csv`, csvOf(header, rows), 'text/csv')
  }
  const log: RoomAction = { label: 'Log a weigh-in', kind: 'weighIn', act: () => setOpen('new') }
  const note: RoomAction = {
    label: 'Note a scale or dyno',
    kind: 'instrument',
    act: () => setInstrument('new'),
  }
  const tilt: RoomAction = { label: 'Log a tilt test', kind: 'tiltTest', act: () => setTilting('new') }
  const withPads = weighIns.find((w) => valueAt(readings, w.id).result.corners) ?? shown ?? null
  const padReading = withPads && valueAt(readings, withPads.id)
  return (
    <>
      <RoomHead
        title="Scales"
        action={viewOpen === 'height' ? tilt : viewOpen === 'instruments' ? note : log}
      >
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}: {weighIns.length}{' '}
        {weighIns.length === 1 ? 'weigh-in' : 'weigh-ins'}
        {others > 0 && `, ${others} in other stages`}
      </RoomHead>
      <RoomViews label="Views of the scales" views={SCALES_VIEWS} open={viewOpen} />
      <Suspense>
        {viewOpen === 'perches' && <PerchView weighIn={withPads} reading={padReading} />}
        {viewOpen === 'ballast' && <BallastView weighIn={withPads} reading={padReading} />}
        {viewOpen === 'height' && <HeightView onOpen={setTilting} />}
        {viewOpen === 'instruments' && <InstrumentsView open={instrument} onOpen={setInstrument} />}
      </Suspense>
      {viewOpen === 'weighIns' && !shown && (
        <EmptyRoom
          title="Not weighed at this stage"
          action={
            <Button look="main" onClick={log.act}>
              Log a weigh-in
            </Button>
          }
        >
          Put the car on four level pads at running tyre pressures, bars disconnected, and note the fuel and
          who sits in it. You get the total, the front, left and cross shares with their uncertainty, and
          whether the books balance.
          <p className="mt-2">
            Chock the wheels, and keep hands and feet clear while the car rolls onto the pads.
          </p>
        </EmptyRoom>
      )}
      {viewOpen === 'weighIns' && !shown && <PlanWeighings />}
      {viewOpen === 'weighIns' && shown && (
        <div className="grid items-start gap-6 @4xl:grid-cols-[minmax(0,1fr)_300px]">
          <div>
            <WeighTicket weighIn={shown} reading={valueAt(readings, shown.id)} books={summary} />
            <PlanWeighings />
            <MissingMass weighIn={shown} reading={valueAt(readings, shown.id)} />
          </div>
          <section aria-label="Weigh-ins of this stage">
            <div className="flex items-center justify-between">
              <h2 className="text-[19px]">Weigh-ins</h2>
              <Button look="quiet" onClick={saveCsv}>
                CSV
              </Button>
            </div>
            <ul>
              {weighIns.map((w) => (
                <li
                  key={w.id}
                  className={`border-t border-line py-2 ${w === shown ? 'border-l-4 border-l-blued pl-2' : ''}`}
                >
                  <button
                    className="prints flex w-full items-baseline justify-between gap-2 text-left"
                    aria-pressed={w === shown}
                    onClick={() => setChosen(w.id)}
                  >
                    <span>{format(parseISO(w.date), 'd MMM yyyy')}</span>
                    <Figure
                      known={valueAt(readings, w.id).result.total}
                      unit={unit('mass')}
                      className="text-[17px]"
                    />
                  </button>
                  <p className="text-[13px]">
                    {valueAt(readings, w.id).balance.verdict === 'balance' ? (
                      <span className="text-zinc">
                        {valueAt(readings, w.id).proves
                          ? 'the books balance'
                          : 'no contradiction: the books are too unsure to prove it'}
                      </span>
                    ) : (
                      <span className="text-oxide">the books are off</span>
                    )}
                    {valueAt(readings, w.id).state !== valueAt(readings, shown.id).state &&
                      ', another state of the car'}
                  </p>
                  {w.note && <p className="text-[13px] text-muted">{w.note}</p>}
                  <span className="flex gap-1">
                    <Button look="quiet" className="!px-0" onClick={() => setOpen(w)}>
                      Change
                    </Button>
                    <Button look="quiet" className="!text-muted" onClick={() => remove(w)}>
                      Remove
                    </Button>
                  </span>
                </li>
              ))}
            </ul>
            <Repeats
              weighIns={[...weighIns]
                .reverse()
                .filter((w) => valueAt(readings, w.id).state === valueAt(readings, shown.id).state)}
              readings={readings}
            />
          </section>
        </div>
      )}
      <Suspense>
        {tilting && (
          <TiltSheet
            key={tilting === 'new' ? 'new' : tilting.id}
            test={tilting === 'new' ? null : tilting}
            onClose={() => setTilting(null)}
          />
        )}
        {open && (
          <WeighInSheet
            key={open === 'new' ? 'new' : open.id}
            weighIn={open === 'new' ? null : open}
            onClose={() => setOpen(null)}
            onSaved={setChosen}
          />
        )}
      </Suspense>
    </>
  )
}
