import { Suspense, useEffect, useState } from 'react'
import { SHOP_VIEWS } from '../../roomViews'
import { useWorkQuery } from '../../store/api'
import { useBuild } from '../../store/useBuild'
import { readyWorkHands } from '../../store/workHands'
import { later } from '../../ui/later'
import { RoomHead, type RoomAction } from '../../ui/RoomHead'
import { RoomViews, useRoomView } from '../../ui/RoomViews'

const JobsView = later(() => import('./jobs/JobsView'), 'JobsView')
const DateView = later(() => import('./date/DateView'), 'DateView')
const TodayView = later(() => import('./today/TodayView'), 'TodayView')
const PartsView = later(() => import('./parts/PartsView'), 'PartsView')
const MoneyView = later(() => import('./money/MoneyView'), 'MoneyView')
const StoreView = later(() => import('./store/StoreView'), 'StoreView')
const RecordView = later(() => import('./record/RecordView'), 'RecordView')
const CalendarView = later(() => import('./calendar/CalendarView'), 'CalendarView')
const JobSheet = later(() => import('./jobs/JobSheet'), 'JobSheet')
const PartSheet = later(() => import('./parts/PartSheet'), 'PartSheet')
const WaitSheet = later(() => import('./parts/WaitSheet'), 'WaitSheet')
const BudgetSheet = later(() => import('./money/BudgetSheet'), 'BudgetSheet')
const GuessSheet = later(() => import('./record/GuessSheet'), 'GuessSheet')
const HandSheet = later(() => import('./calendar/HandSheet'), 'HandSheet')
const DateSheet = later(() => import('./calendar/DateSheet'), 'DateSheet')

/** The sheet that is open, and the record it is about; a null id is a new one. */
interface Sheet {
  readonly kind: 'job' | 'part' | 'wait' | 'budget' | 'firstGuess' | 'hand' | 'fixedDate'
  readonly id: string | null
}

/** The work, the wait and the date: jobs, what they wait for, who does them when, what it costs, and what came off. */
export function ShopRoom() {
  const { stage, ledger } = useBuild()
  const open = useRoomView(SHOP_VIEWS)
  const [sheet, setSheet] = useState<Sheet | null>(null)
  // How work goes in the workshop, and who draws it, are got ready while the view is still being fetched.
  useWorkQuery()
  useEffect(readyWorkHands, [])
  const close = () => setSheet(null)
  const opens = (kind: Sheet['kind']) => (id: string | null) => setSheet({ kind, id })
  const action = (label: string, kind: Sheet['kind']): RoomAction => ({
    label,
    kind,
    act: () => opens(kind)(null),
  })
  const addJob = action('Take on a job', 'job')
  const addPart = action('Add a part', 'part')
  const actions: Readonly<Record<typeof open, RoomAction>> = {
    jobs: addJob,
    date: action('Fix a date', 'fixedDate'),
    today: addJob,
    parts: addPart,
    money: action('Set a budget', 'budget'),
    store: addPart,
    record: action('Guess', 'firstGuess'),
    calendar: action('Note somebody’s hours', 'hand'),
  }
  return (
    <>
      <RoomHead title="Shop" action={actions[open]}>
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}
      </RoomHead>
      <RoomViews label="Views of the shop" views={SHOP_VIEWS} open={open} />
      <Suspense>
        {open === 'jobs' && <JobsView onJob={opens('job')} />}
        {open === 'date' && <DateView onJob={addJob.act} onDate={() => opens('fixedDate')(null)} />}
        {open === 'today' && <TodayView onJob={opens('job')} onPart={opens('part')} onWait={opens('wait')} />}
        {open === 'parts' && <PartsView onPart={opens('part')} onWait={opens('wait')} />}
        {open === 'money' && <MoneyView onBudget={opens('budget')} />}
        {open === 'store' && <StoreView />}
        {open === 'record' && <RecordView onGuess={opens('firstGuess')} />}
        {open === 'calendar' && <CalendarView onHand={opens('hand')} onDate={opens('fixedDate')} />}
      </Suspense>
      <Suspense>
        {sheet?.kind === 'job' && <JobSheet key={sheet.id ?? 'new'} jobId={sheet.id} onClose={close} />}
        {sheet?.kind === 'part' && <PartSheet key={sheet.id ?? 'new'} partId={sheet.id} onClose={close} />}
        {sheet?.kind === 'wait' && <WaitSheet key={sheet.id ?? 'new'} waitId={sheet.id} onClose={close} />}
        {sheet?.kind === 'budget' && (
          <BudgetSheet key={sheet.id ?? 'new'} budgetId={sheet.id} onClose={close} />
        )}
        {sheet?.kind === 'firstGuess' && (
          <GuessSheet key={sheet.id ?? 'new'} guessId={sheet.id} onClose={close} />
        )}
        {sheet?.kind === 'hand' && <HandSheet key={sheet.id ?? 'new'} handId={sheet.id} onClose={close} />}
        {sheet?.kind === 'fixedDate' && (
          <DateSheet key={sheet.id ?? 'new'} dateId={sheet.id} onClose={close} />
        )}
      </Suspense>
    </>
  )
}
