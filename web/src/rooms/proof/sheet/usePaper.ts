import { recordCode, type Seal, type SealedFigures } from '@bold-ballast/contract'
import { differingFigures, sealedFiguresOf } from '@bold-ballast/words'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import type { Paper } from '../../../paper/ProofPaper'

/** The sheet of the open stage as it is put on paper. */
export function usePaper(figures: SealedFigures, seal: Seal | null): Paper {
  const { view, stage, ledger, units } = useBuild()
  // A sheet that was signed before another is not held against today: the later one is.
  const isHeld = seal?.reopened === null
  const moved = useMemo(
    () => (isHeld ? differingFigures(figures, sealedFiguresOf(view, stage.id), units) : []),
    [isHeld, figures, view, stage.id, units],
  )
  const code = recordCode((seal ?? stage).id)
  return {
    build: view.build.name,
    stage: stage.name,
    place: ledger.stages.indexOf(stage) + 1,
    figures,
    signed: seal && { at: seal.at, author: seal.author },
    code,
    link: `${location.origin}/record/${code}`,
    units,
    moved,
  }
}
