import { Suspense, useState } from 'react'
import { DAYS_VIEWS } from '../../roomViews'
import type { FailureOf } from '../../sheets/ServiceSheet'
import { useBuild } from '../../store/useBuild'
import { later } from '../../ui/later'
import { RoomHead, type RoomAction } from '../../ui/RoomHead'
import { RoomViews, useRoomView } from '../../ui/RoomViews'
import { useChosenDay } from './useChosenDay'

const DayView = later(() => import('./day/DayView'), 'DayView')
const HelpedView = later(() => import('./helped/HelpedView'), 'HelpedView')
const LogsView = later(() => import('./logs/LogsView'), 'LogsView')
const SeasonView = later(() => import('./season/SeasonView'), 'SeasonView')
const LimitsView = later(() => import('./limits/LimitsView'), 'LimitsView')
const OutingSheet = later(() => import('../../sheets/OutingSheet'), 'OutingSheet')
const ServiceSheet = later(() => import('../../sheets/ServiceSheet'), 'ServiceSheet')
const RunSheet = later(() => import('./day/RunSheet'), 'RunSheet')
const LimitSheet = later(() => import('./limits/LimitSheet'), 'LimitSheet')

/** The sheet that is open, and the record it is about; a null id is a new one. */
type Sheet =
  | { readonly kind: 'day' | 'run' | 'limit'; readonly id: string | null }
  | { readonly kind: 'failure'; readonly from: FailureOf }

/** Days with their sessions, runs and laps; whether what was changed helped; the season; limits of readings. */
export function DaysRoom() {
  const { stage, ledger } = useBuild()
  const open = useRoomView(DAYS_VIEWS)
  const { day, choose } = useChosenDay()
  const [sheet, setSheet] = useState<Sheet | null>(null)
  const close = () => setSheet(null)
  const addDay: RoomAction = {
    label: 'Add a day',
    kind: 'outing',
    act: () => setSheet({ kind: 'day', id: null }),
  }
  const addRun: RoomAction = {
    label: 'Add a run',
    kind: 'run',
    act: () => setSheet({ kind: 'run', id: null }),
  }
  const addLimit: RoomAction = {
    label: 'Set a limit',
    kind: 'limit',
    act: () => setSheet({ kind: 'limit', id: null }),
  }
  const actions: Readonly<Record<typeof open, RoomAction>> = {
    day: day ? addRun : addDay,
    helped: day ? addRun : addDay,
    logs: day ? addRun : addDay,
    season: addDay,
    limits: addLimit,
  }
  return (
    <>
      <RoomHead title="Days" action={actions[open]}>
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}
      </RoomHead>
      <RoomViews label="Views of the days" views={DAYS_VIEWS} open={open} />
      <Suspense>
        {open === 'day' && (
          <DayView
            onDay={(id) => setSheet({ kind: 'day', id })}
            onRun={(id) => setSheet({ kind: 'run', id })}
            onFailure={(from) => setSheet({ kind: 'failure', from })}
          />
        )}
        {open === 'helped' && <HelpedView onDay={addDay.act} />}
        {open === 'logs' && <LogsView onDay={addDay.act} />}
        {open === 'season' && <SeasonView onDay={(id) => setSheet({ kind: 'day', id })} />}
        {open === 'limits' && <LimitsView onLimit={(id) => setSheet({ kind: 'limit', id })} />}
      </Suspense>
      <Suspense>
        {sheet?.kind === 'day' && (
          <OutingSheet key={sheet.id ?? 'new'} outingId={sheet.id} onClose={close} onSaved={choose} />
        )}
        {sheet?.kind === 'run' && day && (
          <RunSheet key={sheet.id ?? 'new'} runId={sheet.id} day={day} onClose={close} />
        )}
        {sheet?.kind === 'failure' && (
          <ServiceSheet serviceId={null} kind="failure" from={sheet.from} onClose={close} />
        )}
        {sheet?.kind === 'limit' && <LimitSheet key={sheet.id ?? 'new'} limitId={sheet.id} onClose={close} />}
      </Suspense>
    </>
  )
}
