import { Suspense, useState } from 'react'
import { useBuild } from '../../store/useBuild'
import { useLiveCar } from '../../store/useCar'
import { later } from '../../ui/later'
import { RoomHead, type RoomAction } from '../../ui/RoomHead'
import { RoomViews, useRoomView } from '../../ui/RoomViews'
import { STANCE_VIEWS } from '../../roomViews'

const SetupView = later(() => import('./setup/SetupView'), 'SetupView')
const SetupSheet = later(() => import('./setup/SetupSheet'), 'SetupSheet')
const SpringsView = later(() => import('./springs/SpringsView'), 'SpringsView')
const SuspensionSheet = later(() => import('../../sheets/SuspensionSheet'), 'SuspensionSheet')
const RollView = later(() => import('./roll/RollView'), 'RollView')
const TravelView = later(() => import('./travel/TravelView'), 'TravelView')
const AlignmentView = later(() => import('./alignment/AlignmentView'), 'AlignmentView')
const AlignmentSheet = later(() => import('./alignment/AlignmentSheet'), 'AlignmentSheet')
const TyresView = later(() => import('./tyres/TyresView'), 'TyresView')
const TyreSheet = later(() => import('./tyres/TyreSheet'), 'TyreSheet')
const BrakesView = later(() => import('./brakes/BrakesView'), 'BrakesView')
const BrakesSheet = later(() => import('./brakes/BrakesSheet'), 'BrakesSheet')
const BrakeReadingSheet = later(() => import('./brakes/BrakeReadingSheet'), 'BrakeReadingSheet')
const GeometryView = later(() => import('./geometry/GeometryView'), 'GeometryView')
const GeometrySheet = later(() => import('./geometry/GeometrySheet'), 'GeometrySheet')
const BodyCheckSheet = later(() => import('./geometry/BodyCheckSheet'), 'BodyCheckSheet')
const SteeringView = later(() => import('./steering/SteeringView'), 'SteeringView')
const SteeringSheet = later(() => import('./steering/SteeringSheet'), 'SteeringSheet')
const WheelsView = later(() => import('./wheels/WheelsView'), 'WheelsView')
const WheelsSheet = later(() => import('./wheels/WheelsSheet'), 'WheelsSheet')

/** The sheet that is open, and the record it is about; a null id is a new one. */
type Sheet =
  | { readonly kind: 'suspension' | 'brakes' | 'geometry' | 'steering' | 'wheels' }
  | {
      readonly kind: 'setup' | 'alignment' | 'tyres' | 'brakeReading' | 'bodyCheck'
      readonly id: string | null
    }

/** How the car stands on the ground: what is set, what follows from it, and what was measured of it. */
export function StanceRoom() {
  const { stage, ledger } = useBuild()
  const { setup } = useLiveCar()
  const open = useRoomView(STANCE_VIEWS)
  const [sheet, setSheet] = useState<Sheet | null>(null)
  const close = () => setSheet(null)
  const suspension: RoomAction = {
    label: 'Springs, bars, stops',
    kind: 'suspension',
    act: () => setSheet({ kind: 'suspension' }),
  }
  const actions: Readonly<Record<typeof open, RoomAction>> = {
    setup: {
      label: setup ? 'Next sheet' : 'First sheet',
      kind: 'setup',
      act: () => setSheet({ kind: 'setup', id: null }),
    },
    springs: suspension,
    roll: suspension,
    travel: suspension,
    alignment: {
      label: 'Measure alignment',
      kind: 'alignment',
      act: () => setSheet({ kind: 'alignment', id: null }),
    },
    tyres: { label: 'Read the tyres', kind: 'tyreReading', act: () => setSheet({ kind: 'tyres', id: null }) },
    brakes: { label: 'Brakes', kind: 'brakes', act: () => setSheet({ kind: 'brakes' }) },
    geometry: { label: 'Geometry', kind: 'geometry', act: () => setSheet({ kind: 'geometry' }) },
    steering: { label: 'Type measurements', kind: 'steering', act: () => setSheet({ kind: 'steering' }) },
    wheels: { label: 'Wheels and gaps', kind: 'fitment', act: () => setSheet({ kind: 'wheels' }) },
  }
  return (
    <>
      <RoomHead title="Stance" action={actions[open]}>
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}
        {setup && `, on set-up sheet ${setup.value.order}`}
        {setup && setup.from.id !== stage.id && ` of ${setup.from.name}`}
      </RoomHead>
      <RoomViews label="Views of the stance" views={STANCE_VIEWS} open={open} />
      <Suspense>
        {open === 'setup' && <SetupView onSheet={(id) => setSheet({ kind: 'setup', id })} />}
        {open === 'springs' && <SpringsView onChange={suspension.act} />}
        {open === 'roll' && <RollView onChange={suspension.act} />}
        {open === 'travel' && <TravelView onChange={suspension.act} />}
        {open === 'alignment' && <AlignmentView onSession={(id) => setSheet({ kind: 'alignment', id })} />}
        {open === 'tyres' && <TyresView onReading={(id) => setSheet({ kind: 'tyres', id })} />}
        {open === 'brakes' && (
          <BrakesView
            onChange={actions.brakes.act}
            onReading={(id) => setSheet({ kind: 'brakeReading', id })}
          />
        )}
        {open === 'geometry' && (
          <GeometryView
            onChange={actions.geometry.act}
            onCheck={(id) => setSheet({ kind: 'bodyCheck', id })}
          />
        )}
        {open === 'steering' && <SteeringView onChange={actions.steering.act} />}
        {open === 'wheels' && <WheelsView onChange={actions.wheels.act} />}
      </Suspense>
      <Suspense>
        {sheet?.kind === 'suspension' && <SuspensionSheet onClose={close} />}
        {sheet?.kind === 'brakes' && <BrakesSheet onClose={close} />}
        {sheet?.kind === 'geometry' && <GeometrySheet onClose={close} />}
        {sheet?.kind === 'steering' && <SteeringSheet onClose={close} />}
        {sheet?.kind === 'wheels' && <WheelsSheet onClose={close} />}
        {sheet?.kind === 'setup' && <SetupSheet key={sheet.id ?? 'new'} setupId={sheet.id} onClose={close} />}
        {sheet?.kind === 'alignment' && (
          <AlignmentSheet key={sheet.id ?? 'new'} sessionId={sheet.id} onClose={close} />
        )}
        {sheet?.kind === 'tyres' && (
          <TyreSheet key={sheet.id ?? 'new'} readingId={sheet.id} onClose={close} />
        )}
        {sheet?.kind === 'brakeReading' && (
          <BrakeReadingSheet key={sheet.id ?? 'new'} readingId={sheet.id} onClose={close} />
        )}
        {sheet?.kind === 'bodyCheck' && (
          <BodyCheckSheet key={sheet.id ?? 'new'} checkId={sheet.id} onClose={close} />
        )}
      </Suspense>
    </>
  )
}
