import type { DynoDay, Pull } from '@bold-ballast/contract'
import { Suspense, useMemo, useState } from 'react'
import { useBuild } from '../../store/useBuild'
import { RoomHead, type RoomAction } from '../../ui/RoomHead'
import { later } from '../../ui/later'
import { RoomViews, useRoomView } from '../../ui/RoomViews'
import { DYNO_VIEWS } from '../../roomViews'
import { DaysView } from './days/DaysView'

const DynoDaySheet = later(() => import('./days/DynoDaySheet'), 'DynoDaySheet')
const PullSheet = later(() => import('./days/PullSheet'), 'PullSheet')
const CompareView = later(() => import('./compare/CompareView'), 'CompareView')
const WorthView = later(() => import('./worth/WorthView'), 'WorthView')
const DrivetrainSheet = later(() => import('../../sheets/DrivetrainSheet'), 'DrivetrainSheet')
const FuelView = later(() => import('./fuel/FuelView'), 'FuelView')
const AirView = later(() => import('./air/AirView'), 'AirView')
const CoolingView = later(() => import('./cooling/CoolingView'), 'CoolingView')
const ElectricsView = later(() => import('./electrics/ElectricsView'), 'ElectricsView')
const OptionsView = later(() => import('./options/OptionsView'), 'OptionsView')
const EngineSheet = later(() => import('./fuel/EngineSheet'), 'EngineSheet')
const CoolingSheet = later(() => import('./cooling/CoolingSheet'), 'CoolingSheet')
const CircuitSheet = later(() => import('./electrics/CircuitSheet'), 'CircuitSheet')
const OptionSheet = later(() => import('./options/OptionSheet'), 'OptionSheet')

type Sheet = 'day' | 'pull' | 'drivetrain' | 'engine' | 'cooling' | 'circuit' | 'options' | null

/** Dyno days and what follows from them: comparison, what the power is worth, and sizing for the mark. */
export function DynoRoom() {
  const { view, stage, ledger } = useBuild()
  const open = useRoomView(DYNO_VIEWS)
  const [sheet, setSheet] = useState<Sheet>(null)
  const [edited, setEdited] = useState<string | null>(null)
  const [chosen, setChosen] = useState<string | null>(null)
  const days = useMemo(
    () => view.dynoDays.filter((d) => d.stageId === stage.id).sort((a, b) => b.date.localeCompare(a.date)),
    [view.dynoDays, stage.id],
  )
  const day = days.find((d) => d.id === chosen) ?? days[0] ?? null
  const others = view.dynoDays.length - days.length

  const show = (which: Sheet, id: string | null = null) => {
    setEdited(id)
    setSheet(which)
  }
  const close = () => setSheet(null)
  const openDay = (of: DynoDay | 'new') => show('day', of === 'new' ? null : of.id)
  const openPull = (of: Pull | 'new') => show('pull', of === 'new' ? null : of.id)
  const addPull: RoomAction = { label: 'Add a pull', kind: 'pull', act: () => openPull('new') }
  const logDay: RoomAction = { label: 'Log a dyno day', kind: 'dynoDay', act: () => openDay('new') }
  const engine: RoomAction = { label: 'Engine, fuel and air', kind: 'sizing', act: () => show('engine') }
  const actions: Readonly<Record<typeof open, RoomAction>> = {
    days: day ? addPull : logDay,
    compare: day ? addPull : logDay,
    worth: { label: 'Gears and grip', kind: 'drivetrain', act: () => show('drivetrain') },
    fuel: engine,
    air: engine,
    cooling: { label: 'Cooling', kind: 'sizing', act: () => show('cooling') },
    electrics: { label: 'Add a circuit', kind: 'sizing', act: () => show('circuit') },
    options: { label: 'Compare for a job', kind: 'optionSet', act: () => show('options') },
  }
  return (
    <>
      <RoomHead title="Dyno" action={actions[open]}>
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}: {days.length}{' '}
        {days.length === 1 ? 'dyno day' : 'dyno days'}
        {others > 0 && `, ${others} in other stages`}
      </RoomHead>
      <RoomViews label="Views of the dyno room" views={DYNO_VIEWS} open={open} />
      {open === 'days' && (
        <DaysView days={days} day={day} onChoose={setChosen} onDay={openDay} onPull={openPull} />
      )}
      <Suspense>
        {open === 'compare' && <CompareView />}
        {open === 'worth' && <WorthView onGears={() => show('drivetrain')} />}
        {open === 'fuel' && <FuelView onOpen={() => show('engine')} />}
        {open === 'air' && <AirView onOpen={() => show('engine')} />}
        {open === 'cooling' && <CoolingView onOpen={() => show('cooling')} />}
        {open === 'electrics' && <ElectricsView onOpen={(id) => show('circuit', id)} />}
        {open === 'options' && <OptionsView onOpen={(id) => show('options', id)} />}
      </Suspense>
      <Suspense>
        {sheet === 'day' && (
          <DynoDaySheet key={edited ?? 'new'} dayId={edited} onClose={close} onSaved={setChosen} />
        )}
        {sheet === 'pull' && day && (
          <PullSheet
            key={edited ?? 'new'}
            pull={view.pulls.find((p) => p.id === edited) ?? null}
            day={day}
            onClose={close}
          />
        )}
        {sheet === 'drivetrain' && <DrivetrainSheet onClose={close} />}
        {sheet === 'engine' && <EngineSheet onClose={close} />}
        {sheet === 'cooling' && <CoolingSheet onClose={close} />}
        {sheet === 'circuit' && <CircuitSheet key={edited ?? 'new'} circuitId={edited} onClose={close} />}
        {sheet === 'options' && <OptionSheet key={edited ?? 'new'} setId={edited} onClose={close} />}
      </Suspense>
    </>
  )
}
