import type { Mark } from '@bold-ballast/contract'
import { Suspense, useState } from 'react'
import { useBuild } from '../../store/useBuild'
import { later } from '../../ui/later'
import { RoomHead, type RoomAction } from '../../ui/RoomHead'
import { RoomViews, useRoomView } from '../../ui/RoomViews'
import { BOARD_VIEWS } from '../../roomViews'
import { MarksView } from './marks/MarksView'

const WhatIfView = later(() => import('./whatif/WhatIfView'), 'WhatIfView')
const TrySheet = later(() => import('./whatif/TrySheet'), 'TrySheet')

/** What a stage should reach, whether it does, and what it could be. */
export function BoardRoom() {
  const { stage, ledger, branch } = useBuild()
  const view = useRoomView(BOARD_VIEWS)
  const [mark, setMark] = useState<Mark | 'new' | null>(null)
  const [isTrying, setTrying] = useState(false)
  const action: RoomAction =
    view === 'whatif'
      ? { label: 'Try something', kind: 'branch', act: () => setTrying(true) }
      : { label: 'Set a mark', kind: 'mark', act: () => setMark('new') }
  return (
    <>
      <RoomHead title="Board" {...(view === 'whatif' && branch ? {} : { action })}>
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}
      </RoomHead>
      <RoomViews label="Views of the Board" views={BOARD_VIEWS} open={view} />
      <Suspense>
        {view === 'marks' && <MarksView open={mark} onOpen={setMark} />}
        {view === 'whatif' && <WhatIfView onTry={() => setTrying(true)} />}
        {isTrying && <TrySheet branch={null} onClose={() => setTrying(false)} />}
      </Suspense>
    </>
  )
}
