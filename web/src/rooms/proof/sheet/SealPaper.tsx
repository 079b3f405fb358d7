import type { Seal } from '@bold-ballast/contract'
import { ProofPaper } from '../../../paper/ProofPaper'
import { usePaper } from './usePaper'

/** A sheet as it was signed once. */
export function SealPaper({ seal }: { seal: Seal }) {
  return <ProofPaper paper={usePaper(seal.figures, seal)} />
}
