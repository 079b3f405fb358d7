import { toast } from '../ui/toast'
import type { Paper } from './ProofPaper'

/** Hands a proof sheet over as a PDF. What writes it, and the fonts, are fetched only now. */
export async function savePdf(paper: Paper): Promise<void> {
  try {
    const [{ proofPdf }, { paperFonts }, { download }] = await Promise.all([
      import('./proofPdf'),
      import('./paperFonts'),
      import('../ui/download'),
    ])
    download(
      `${paper.build} ${paper.stage} proof.pdf`,
      await proofPdf(paper, await paperFonts()),
      'application/pdf',
    )
  } catch (error) {
    toast(`The PDF could not be made: ${(error as Error).message}`)
  }
}
