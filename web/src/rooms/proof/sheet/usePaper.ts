import { recordCode, type Seal, type SealedFigures } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import type { Paper } from '../../../paper/ProofPaper'

/** The sheet of the open stage as it is put on paper. */
export function usePaper(figures: SealedFigures, seal: Seal | null): Paper {
  const { view, stage, ledger, units } = useBuild()
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
  }
}
