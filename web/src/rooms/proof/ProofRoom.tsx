import { Suspense } from 'react'
import { useBuild } from '../../store/useBuild'
import { later } from '../../ui/later'
import { RoomHead } from '../../ui/RoomHead'
import { RoomViews, useRoomView } from '../../ui/RoomViews'
import { PROOF_VIEWS } from '../../roomViews'

const ProofView = later(() => import('./sheet/ProofView'), 'ProofView')
const GainView = later(() => import('./gain/GainView'), 'GainView')
const HistoryView = later(() => import('./history/HistoryView'), 'HistoryView')
const AuditView = later(() => import('./claims/AuditView'), 'AuditView')

/** What was shown: the proof sheet of a stage, where its gain came from, what was done when, and how far claims were off. */
export function ProofRoom() {
  const { stage, ledger } = useBuild()
  const open = useRoomView(PROOF_VIEWS)
  return (
    <>
      <RoomHead title="Proof">
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}
      </RoomHead>
      <RoomViews label="Views of proof" views={PROOF_VIEWS} open={open} />
      <Suspense>
        {open === 'sheet' && <ProofView />}
        {open === 'gain' && <GainView />}
        {open === 'history' && <HistoryView />}
        {open === 'claims' && <AuditView />}
      </Suspense>
    </>
  )
}
