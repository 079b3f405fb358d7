import { aboard, basePoint, pointsOf, type ForecastPart } from '@bold-ballast/core'
import type { BuildDocument } from '@bold-ballast/contract'
import { carFacts } from '../car/carFacts'
import { ledgerIndex, type LedgerIndex } from './stageInputs'

/**
 * Everything that makes up the car at the end of a stage, for the forecast: the car as bought, all lines up to
 * the stage, and what is aboard in the reference condition. What is still to come may grow.
 */
export function forecastParts(
  document: BuildDocument,
  stageId: string,
  index: LedgerIndex = ledgerIndex(document),
): ForecastPart[] {
  const upTo = index.stages.slice(0, index.stages.findIndex((s) => s.id === stageId) + 1)
  const lines = upTo.flatMap((stage) => index.swapsOf(stage.id).flatMap((swap) => swap.counted))
  return [
    { ...basePoint(document.build), id: document.build.id, grows: false },
    ...lines.flatMap((line) =>
      pointsOf(line).map((point): ForecastPart => ({
        ...point,
        id: line.id,
        grows: line.kind === 'on' && !line.fitted,
      })),
    ),
    ...aboard(document.build.reference, carFacts(document)).map((point, i): ForecastPart => ({
      ...point,
      id: `aboard-${i}`,
      grows: false,
    })),
  ]
}
