import type { Rulebook } from '@bold-ballast/contract'
import { Suspense, useState } from 'react'
import { useBuild } from '../../store/useBuild'
import { later } from '../../ui/later'
import { RoomHead, type RoomAction } from '../../ui/RoomHead'
import { RoomViews, useRoomView } from '../../ui/RoomViews'
import { AERO_VIEWS } from '../../roomViews'

const LoadsView = later(() => import('./loads/LoadsView'), 'LoadsView')
const TrimView = later(() => import('./loads/TrimView'), 'TrimView')
const HoldsView = later(() => import('./holds/HoldsView'), 'HoldsView')
const RolledView = later(() => import('./measured/RolledView'), 'RolledView')
const CoastSheet = later(() => import('./measured/CoastSheet'), 'CoastSheet')
const RideSheet = later(() => import('./measured/RideSheet'), 'RideSheet')
const ClassView = later(() => import('./class/ClassView'), 'ClassView')
const RulebookSheet = later(() => import('./class/RulebookSheet'), 'RulebookSheet')
const ScrutinySheet = later(() => import('./class/ScrutinySheet'), 'ScrutinySheet')
const ElementImport = later(() => import('./loads/ElementImport'), 'ElementImport')
const RuleImport = later(() => import('./class/RuleImport'), 'RuleImport')
const ElementSheet = later(() => import('./loads/ElementSheet'), 'ElementSheet')

/** What the air does: loads by axle, balance, the trim that gives a wanted one, what has to hold it, whether it did so, and whether the class allows it. */
export function AeroRoom() {
  const { stage, ledger } = useBuild()
  const open = useRoomView(AERO_VIEWS)
  const [edited, setEdited] = useState<{ readonly id: string | null } | null>(null)
  const [coast, setCoast] = useState<{ readonly id: string | null } | null>(null)
  const [ride, setRide] = useState<{ readonly id: string | null } | null>(null)
  const [book, setBook] = useState<{ readonly id: string | null } | null>(null)
  const [rulesOf, setRulesOf] = useState<Rulebook | null>(null)
  const [isImportOpen, setImportOpen] = useState(false)
  const [isScrutinyOpen, setScrutinyOpen] = useState(false)
  const action: RoomAction =
    open === 'class'
      ? { label: 'Add a rulebook', kind: 'rulebook', act: () => setBook({ id: null }) }
      : open === 'rolled'
        ? { label: 'Log a coast-down', kind: 'coastDown', act: () => setCoast({ id: null }) }
        : { label: 'Add an element', kind: 'aeroElement', act: () => setEdited({ id: null }) }
  return (
    <>
      <RoomHead title="Aero" action={action}>
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}
      </RoomHead>
      <RoomViews label="Views of aero" views={AERO_VIEWS} open={open} />
      <Suspense>
        {open === 'sheet' && (
          <LoadsView onElement={(id) => setEdited({ id })} onImport={() => setImportOpen(true)} />
        )}
        {open === 'trim' && <TrimView />}
        {open === 'rolled' && (
          <RolledView onCoast={(id) => setCoast({ id })} onRide={(id) => setRide({ id })} />
        )}
        {open === 'class' && (
          <ClassView
            onRulebook={(id) => setBook({ id })}
            onScrutiny={() => setScrutinyOpen(true)}
            onImport={setRulesOf}
          />
        )}
        {open === 'holds' && <HoldsView onElement={(id) => setEdited({ id })} />}
      </Suspense>
      <Suspense>
        {edited && (
          <ElementSheet key={edited.id ?? 'new'} elementId={edited.id} onClose={() => setEdited(null)} />
        )}
        {book && <RulebookSheet key={book.id ?? 'new'} rulebookId={book.id} onClose={() => setBook(null)} />}
        {isImportOpen && <ElementImport onClose={() => setImportOpen(false)} />}
        {rulesOf && <RuleImport book={rulesOf} onClose={() => setRulesOf(null)} />}
        {isScrutinyOpen && <ScrutinySheet onClose={() => setScrutinyOpen(false)} />}
        {ride && <RideSheet key={ride.id ?? 'new'} testId={ride.id} onClose={() => setRide(null)} />}
        {coast && <CoastSheet key={coast.id ?? 'new'} coastId={coast.id} onClose={() => setCoast(null)} />}
      </Suspense>
    </>
  )
}
