import { formatQuantity } from '@bold-ballast/core'
import { Suspense, useState } from 'react'
import { useBuild } from '../../store/useBuild'
import { later } from '../../ui/later'
import { RoomHead, type RoomAction } from '../../ui/RoomHead'
import { RoomViews, useRoomView } from '../../ui/RoomViews'
import { DRIVELINE_VIEWS } from '../../roomViews'
import { NotYet } from './NotYet'
import { useLiveCar } from '../../store/useCar'

const GearingView = later(() => import('./gearing/GearingView'), 'GearingView')
const LaunchView = later(() => import('./launch/LaunchView'), 'LaunchView')
const ChoicesView = later(() => import('./choices/ChoicesView'), 'ChoicesView')
const ShelfView = later(() => import('./shelf/ShelfView'), 'ShelfView')
const DriftView = later(() => import('./drift/DriftView'), 'DriftView')
const LinksView = later(() => import('./links/LinksView'), 'LinksView')
const LifeView = later(() => import('./life/LifeView'), 'LifeView')
const DrivetrainSheet = later(() => import('../../sheets/DrivetrainSheet'), 'DrivetrainSheet')
const ComponentSheet = later(() => import('./links/ComponentSheet'), 'ComponentSheet')
const GearsetSheet = later(() => import('./shelf/GearsetSheet'), 'GearsetSheet')
const CourseSheet = later(() => import('./shelf/CourseSheet'), 'CourseSheet')
const OutingSheet = later(() => import('../../sheets/OutingSheet'), 'OutingSheet')
const ServiceSheet = later(() => import('../../sheets/ServiceSheet'), 'ServiceSheet')
const ComponentImport = later(() => import('./links/ComponentImport'), 'ComponentImport')
const OutingImport = later(() => import('./life/OutingImport'), 'OutingImport')

/** The sheet that is open, and the record it is about; a null id is a new one. */
type Sheet =
  | { readonly kind: 'gears' | 'components' | 'days' }
  | {
      readonly kind: 'component' | 'wearing' | 'gearset' | 'course' | 'outing'
      readonly id: string | null
    }
  | { readonly kind: 'service' | 'failure'; readonly id: string | null }

/** Views that say something without gears and a curve. */
const WITHOUT_GEARS = ['life'] as const

/** From the crank to the road: gearing, where the tyres can be kept spinning, what breaks first and what wears. */
export function DrivelineRoom() {
  const { stage, ledger, unit } = useBuild()
  const open = useRoomView(DRIVELINE_VIEWS)
  const [sheet, setSheet] = useState<Sheet | null>(null)
  const { geared: car, lacks: missing } = useLiveCar()
  const close = () => setSheet(null)
  const gears: RoomAction = {
    label: 'Gears and grip',
    kind: 'drivetrain',
    act: () => setSheet({ kind: 'gears' }),
  }
  const needsGears = !(WITHOUT_GEARS as readonly string[]).includes(open)
  const actions: Readonly<Record<typeof open, RoomAction>> = {
    links: {
      label: 'Add a component',
      kind: 'component',
      act: () => setSheet({ kind: 'component', id: null }),
    },
    life: { label: 'Add what wears', kind: 'component', act: () => setSheet({ kind: 'wearing', id: null }) },
    shelf: { label: 'Add a set', kind: 'gearset', act: () => setSheet({ kind: 'gearset', id: null }) },
    gearing: gears,
    launch: gears,
    drift: gears,
    choices: gears,
  }
  const action = missing && needsGears ? gears : actions[open]
  return (
    <>
      <RoomHead title="Driveline" action={action}>
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}
        {car &&
          needsGears &&
          car.curveOf.stageId !== stage.id &&
          `, with the curve of ${ledger.stages.find((s) => s.id === car.curveOf.stageId)?.name}${
            car.curveOf.planned === null
              ? ''
              : ` brought to the ${formatQuantity(car.curveOf.planned, unit('power'), 0)} that is planned`
          }`}
      </RoomHead>
      <RoomViews label="Views of the driveline" views={DRIVELINE_VIEWS} open={open} />
      <Suspense>
        {open === 'life' && (
          <LifeView
            onComponent={(id) => setSheet({ kind: id ? 'component' : 'wearing', id })}
            onOuting={(id) => setSheet({ kind: 'outing', id })}
            onService={(id, kind) => setSheet({ kind, id })}
            onImport={(kind) => setSheet({ kind })}
          />
        )}
        {needsGears && missing && <NotYet missing={missing} onGears={gears.act} />}
        {needsGears && car && (
          <>
            {open === 'gearing' && <GearingView car={car} />}
            {open === 'launch' && <LaunchView car={car} />}
            {open === 'drift' && <DriftView car={car} />}
            {open === 'choices' && <ChoicesView car={car} />}
            {open === 'shelf' && (
              <ShelfView
                car={car}
                onSet={(id) => setSheet({ kind: 'gearset', id })}
                onCourse={(id) => setSheet({ kind: 'course', id })}
              />
            )}
            {open === 'links' && (
              <LinksView
                car={car}
                onOpen={(id) => setSheet({ kind: 'component', id })}
                onImport={() => setSheet({ kind: 'components' })}
              />
            )}
          </>
        )}
      </Suspense>
      <Suspense>
        {sheet?.kind === 'gears' && <DrivetrainSheet onClose={close} />}
        {sheet?.kind === 'components' && <ComponentImport onClose={close} />}
        {sheet?.kind === 'days' && <OutingImport onClose={close} />}
        {(sheet?.kind === 'component' || sheet?.kind === 'wearing') && (
          <ComponentSheet
            key={sheet.id ?? sheet.kind}
            componentId={sheet.id}
            wears={sheet.kind === 'wearing'}
            onClose={close}
          />
        )}
        {sheet?.kind === 'gearset' && (
          <GearsetSheet key={sheet.id ?? 'new'} gearsetId={sheet.id} onClose={close} />
        )}
        {sheet?.kind === 'course' && (
          <CourseSheet key={sheet.id ?? 'new'} courseId={sheet.id} onClose={close} />
        )}
        {sheet?.kind === 'outing' && (
          <OutingSheet key={sheet.id ?? 'new'} outingId={sheet.id} onClose={close} />
        )}
        {(sheet?.kind === 'service' || sheet?.kind === 'failure') && (
          <ServiceSheet key={sheet.id ?? sheet.kind} serviceId={sheet.id} kind={sheet.kind} onClose={close} />
        )}
      </Suspense>
    </>
  )
}
