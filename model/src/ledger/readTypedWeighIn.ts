import { stageSummaries, type WeighInReading } from '@bold-ballast/core'
import type { BuildDocument, WeighIn } from '@bold-ballast/contract'
import { ledgerIndex, stageInputs, type LedgerIndex } from './stageInputs'

/**
 * A weighing as it would be read once it is saved: beside the books of its day, with the scale that it names.
 *
 * @example readTypedWeighIn(document, typed)?.balance.verdict
 */
export function readTypedWeighIn(
  document: BuildDocument,
  typed: Omit<WeighIn, 'version'>,
  index: LedgerIndex = ledgerIndex(document),
): WeighInReading | null {
  const weighIns = [...document.weighIns.filter((w) => w.id !== typed.id), { ...typed, version: 0 }]
  const summary = stageSummaries(stageInputs({ ...document, weighIns }, index)).find(
    (s) => s.stageId === typed.stageId,
  )
  return summary?.weighIns.find((w) => w.id === typed.id) ?? null
}
