import { Suspense, useState } from 'react'
import { useBuild } from '../../store/useBuild'
import { later } from '../../ui/later'
import { RoomHead } from '../../ui/RoomHead'
import { RoomViews, useRoomView } from '../../ui/RoomViews'
import { DRIVELINE_VIEWS } from '../../words/names'
import { NotYet } from './NotYet'
import { useGearing } from './useGearing'

const GearingView = later(() => import('./GearingView'), 'GearingView')
const ChoicesView = later(() => import('./ChoicesView'), 'ChoicesView')
const DriftView = later(() => import('./DriftView'), 'DriftView')
const LinksView = later(() => import('./LinksView'), 'LinksView')
const DrivetrainSheet = later(() => import('../../frame/DrivetrainSheet'), 'DrivetrainSheet')
const ComponentSheet = later(() => import('./ComponentSheet'), 'ComponentSheet')

/** From the crank to the road: gearing, where the tyres can be kept spinning, and what breaks first. */
export default function DrivelineRoom() {
  const { stage, ledger } = useBuild()
  const open = useRoomView(DRIVELINE_VIEWS)
  const [sheet, setSheet] = useState<'gears' | 'component' | null>(null)
  const [edited, setEdited] = useState<string | null>(null)
  const { car, missing } = useGearing()
  const openComponent = (id: string | null) => {
    setEdited(id)
    setSheet('component')
  }
  const gears = { label: 'Gears and grip', act: () => setSheet('gears') }
  const action = open === 'links' ? { label: 'Add a component', act: () => openComponent(null) } : gears
  return (
    <>
      <RoomHead title="Driveline" action={action}>
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}
        {car &&
          car.curveOf.stageId !== stage.id &&
          `, with the curve of ${ledger.stages.find((s) => s.id === car.curveOf.stageId)?.name}`}
      </RoomHead>
      <RoomViews label="Views of the driveline" views={DRIVELINE_VIEWS} open={open} />
      {missing ? (
        <NotYet missing={missing} onGears={gears.act} />
      ) : (
        <Suspense>
          {open === 'gearing' && <GearingView car={car!} />}
          {open === 'drift' && <DriftView car={car!} />}
          {open === 'choices' && <ChoicesView car={car!} />}
          {open === 'links' && <LinksView car={car!} onOpen={openComponent} />}
        </Suspense>
      )}
      <Suspense>
        {sheet === 'gears' && <DrivetrainSheet onClose={() => setSheet(null)} />}
        {sheet === 'component' && (
          <ComponentSheet key={edited ?? 'new'} componentId={edited} onClose={() => setSheet(null)} />
        )}
      </Suspense>
    </>
  )
}
